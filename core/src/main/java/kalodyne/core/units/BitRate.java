package kalodyne.core.units;

/**
 * How much data something makes.
 *
 * @param bitsPerSecond above 0, finite
 */
public record BitRate(double bitsPerSecond) {
    public BitRate {
        Require.finiteFromZero("bit rate", bitsPerSecond, "bit/s");
    }

    /** For example "28 Mbit/s". */
    @Override
    public String toString() {
        return Print.prefixed(bitsPerSecond, "bit/s");
    }
}
