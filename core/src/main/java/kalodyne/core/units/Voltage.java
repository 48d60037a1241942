package kalodyne.core.units;

/**
 * A direct voltage, such as that of phantom power.
 *
 * @param volts 0 or more, finite
 */
public record Voltage(double volts) {
    public Voltage {
        Require.finiteFromZero("voltage", volts, "V");
    }

    /** For example "48 V". */
    @Override
    public String toString() {
        return Print.prefixed(volts, "V");
    }
}
