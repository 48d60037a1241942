package kalodyne.core.sums;

import java.time.Duration;

/**
 * What a recording makes of a card or disk.
 *
 * @param bytesPerSecond above 0
 * @param words what is recorded: "48 kHz, 24 bits, 4 channels"
 */
public record Stored(long bytesPerSecond, String words) {
    private static final double BITS_OF_BYTE = 8;

    /** A film, picture and sound together. */
    public static Stored film(double bitsPerSecond, String words) {
        return new Stored(Math.max(1, Math.round(bitsPerSecond / BITS_OF_BYTE)), words);
    }

    /** What a recording of some length takes. */
    public long bytes(Duration length) {
        return Math.round(bytesPerSecond * (length.toMillis() / 1000.0));
    }

    /** How long free space lasts. */
    public Duration lasting(long freeBytes) {
        return Duration.ofSeconds(freeBytes / bytesPerSecond);
    }
}
