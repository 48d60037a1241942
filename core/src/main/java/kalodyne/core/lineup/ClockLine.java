package kalodyne.core.lineup;

/**
 * How the clock of one recording goes against that of another: a straight line.
 *
 * @param offsetSeconds where the beginning of the reference is in the other one
 * @param drift by how much the other clock counts more, as a ratio: 35e-6 is 35 ppm
 */
public record ClockLine(double offsetSeconds, double drift) {
    /** Where a moment of the reference is in the other recording. */
    public double inOther(double seconds) {
        return seconds * (1 + drift) + offsetSeconds;
    }

    /** Where a moment of the other recording is in the reference. */
    public double inReference(double seconds) {
        return (seconds - offsetSeconds) / (1 + drift);
    }
}
