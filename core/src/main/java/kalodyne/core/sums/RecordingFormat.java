package kalodyne.core.sums;

import kalodyne.core.units.Print;

/**
 * What uncompressed sound (PCM) takes up: sample rate · bytes a sample · channels.
 *
 * @param sampleRateHz per channel, above 0
 * @param bits per sample, 8 to 64; kept in whole bytes
 * @param channels 1 or more
 */
public record RecordingFormat(int sampleRateHz, int bits, int channels) {
    private static final int BITS_OF_BYTE = 8;

    /** A plain WAV file tells its length in 32 bits, in bytes. */
    public static final long MOST_OF_PLAIN_WAV = (1L << 32) - 1;

    public RecordingFormat {
        if (sampleRateHz < 1 || bits < 1 || bits > 64 || channels < 1) {
            throw new IllegalArgumentException("a recording needs a sample rate, 1 to 64 bits and channels, got "
                    + sampleRateHz + " Hz, " + bits + " bits, " + channels + " channels");
        }
    }

    public long bytesPerSecond() {
        int bytes = (bits + BITS_OF_BYTE - 1) / BITS_OF_BYTE;
        return (long) sampleRateHz * bytes * channels;
    }

    /** What that makes of a card or disk. */
    public Stored stored() {
        return new Stored(bytesPerSecond(), words());
    }

    /** "48 kHz, 24 bits, 4 channels". */
    public String words() {
        return Print.plain(sampleRateHz / 1000.0) + " kHz, " + bits + " bits, " + channels
                + (channels == 1 ? " channel" : " channels");
    }
}
