package kalodyne.core.units;

/**
 * A frequency.
 *
 * @param hertz 0 or more, finite
 */
public record Frequency(double hertz) {
    public Frequency {
        Require.finiteFromZero("frequency", hertz, "Hz");
    }

    /** For example "80 Hz". */
    @Override
    public String toString() {
        return Print.prefixed(hertz, "Hz");
    }
}
