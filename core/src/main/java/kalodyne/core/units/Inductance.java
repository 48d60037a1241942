package kalodyne.core.units;

/**
 * The inductance of a coil, such as that of a pickup.
 *
 * @param henries 0 or more, finite
 */
public record Inductance(double henries) {
    public Inductance {
        Require.finiteFromZero("inductance", henries, "H");
    }

    /** For example "2.5 H". */
    @Override
    public String toString() {
        return Print.prefixed(henries, "H");
    }
}
