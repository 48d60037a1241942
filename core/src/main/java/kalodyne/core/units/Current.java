package kalodyne.core.units;

/**
 * A direct current, such as a device draws from a port.
 *
 * @param amperes 0 or more, finite
 */
public record Current(double amperes) {
    public Current {
        Require.finiteFromZero("current", amperes, "A");
    }

    /** For example "500 mA". */
    @Override
    public String toString() {
        return Print.prefixed(amperes, "A");
    }
}
