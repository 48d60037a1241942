package kalodyne.core.units;

/**
 * The length of a lead.
 *
 * @param metres 0 or more, finite
 */
public record Length(double metres) {
    public Length {
        Require.finiteFromZero("length", metres, "m");
    }

    /** For example "3 m". */
    @Override
    public String toString() {
        return Print.plain(metres) + " m";
    }
}
