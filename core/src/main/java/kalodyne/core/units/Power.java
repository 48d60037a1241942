package kalodyne.core.units;

/**
 * A power, such as an amplifier gives.
 *
 * @param watts 0 or more, finite
 */
public record Power(double watts) {
    public Power {
        Require.finiteFromZero("power", watts, "W");
    }

    /** For example "20 W". */
    @Override
    public String toString() {
        return Print.prefixed(watts, "W");
    }
}
