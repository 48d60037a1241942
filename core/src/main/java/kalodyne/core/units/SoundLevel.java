package kalodyne.core.units;

/**
 * A sound pressure level re 20 µPa. What it is weighted with, or given per, is told by the quantity that it is read and
 * printed as.
 *
 * @param db finite
 */
public record SoundLevel(double db) {
    public SoundLevel {
        if (!Double.isFinite(db)) {
            throw new IllegalArgumentException("sound level must be a number of dB, got " + Print.plain(db));
        }
    }
}
