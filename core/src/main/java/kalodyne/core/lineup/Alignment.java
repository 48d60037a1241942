package kalodyne.core.lineup;

import kalodyne.core.units.Gain;

/**
 * How two recordings of the same sound lie to each other.
 *
 * @param clock how the other's clock goes against the reference's
 * @param offsetUncertaintySeconds 95 of 100 true offsets lie so near
 * @param driftUncertaintyPpm 95 of 100 true drifts lie so near
 * @param agreeing at how many places both agree about it
 * @param heard how many places were listened at
 * @param isInverted whether the other one is upside down
 * @param levelDifference how much louder the other one has what both have, channels averaged
 */
public record Alignment(
        ClockLine clock,
        double offsetUncertaintySeconds,
        double driftUncertaintyPpm,
        int agreeing,
        int heard,
        boolean isInverted,
        Gain levelDifference) {
    private static final double MILLION = 1e6;

    public double offsetSeconds() {
        return clock.offsetSeconds();
    }

    public double driftPpm() {
        return MILLION * clock.drift();
    }

    /** Of the places that were listened at, how many agree: from 0 to 1. */
    public double confidence() {
        return heard == 0 ? 0 : (double) agreeing / heard;
    }
}
