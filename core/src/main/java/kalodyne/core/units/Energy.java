package kalodyne.core.units;

/**
 * What a battery holds.
 *
 * @param wattHours 0 or more, finite
 */
public record Energy(double wattHours) {
    public Energy {
        Require.finiteFromZero("energy", wattHours, "Wh");
    }

    /** For example "37 Wh". */
    @Override
    public String toString() {
        return Print.plain(wattHours) + " Wh";
    }
}
