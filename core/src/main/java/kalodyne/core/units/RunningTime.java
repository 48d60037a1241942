package kalodyne.core.units;

/**
 * How long something runs.
 *
 * @param hours 0 or more, finite
 */
public record RunningTime(double hours) {
    public RunningTime {
        Require.finiteFromZero("time", hours, "h");
    }

    /** For example "5.5 h". */
    @Override
    public String toString() {
        return Print.plain(hours) + " h";
    }
}
