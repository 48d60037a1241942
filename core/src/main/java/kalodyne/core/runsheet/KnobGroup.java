package kalodyne.core.runsheet;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.Knob;

/**
 * Knobs that are turned to one place in one go: those of left and right.
 *
 * @param all of them, one at least
 */
record KnobGroup(List<Turned> all) {
    private static final double AT_MARK_DB = 0.3;

    KnobGroup {
        all = List.copyOf(all);
    }

    /** A knob in a run: where it acts, and what comes out of it once all stand as advised. */
    record Turned(Trace trace, Knob knob, LevelPlan plan, int point) {}

    Turned first() {
        return all.get(0);
    }

    Knob knob() {
        return first().knob();
    }

    LevelPlan plan() {
        return first().plan();
    }

    /** Mark of the device that they are on. */
    String station() {
        return plan().flow().points().get(first().point()).station();
    }

    String id() {
        return "level:" + all.stream().map(each -> each.knob().id().write()).collect(Collectors.joining("+"));
    }

    /** "gain 3 and gain 4". */
    String names() {
        return all.stream().map(each -> each.knob().control().name()).distinct().collect(Collectors.joining(" and "));
    }

    /** "gain 3 and gain 4 on Interface". */
    String namesWithOwner() {
        return names() + " on " + knob().owner();
    }

    /** The marks of all knobs along their runs. */
    Set<Spot> alongRuns() {
        return all.stream()
                .flatMap(turned -> turned.plan().knobs().stream())
                .map(Knob::id)
                .collect(Collectors.toSet());
    }

    /** A fader or level at 0 dB: nothing is played for it. */
    boolean isAtMark() {
        return isAtMark(knob());
    }

    static boolean isAtMark(Knob knob) {
        return (knob.duty() == Duty.MAIN || knob.duty() == Duty.CHANNEL)
                && !isStepped(knob)
                && Math.abs(knob.gain().db()) < AT_MARK_DB;
    }

    /** A camera's level at its lowest step: what stands before it makes the level. */
    boolean isAtLowestStep() {
        return isStepped() && isLowest() && knob().duty() != Duty.SOURCE;
    }

    boolean isLowest() {
        return knob().control().position() <= 0;
    }

    boolean isFull() {
        return knob().control().position() >= 1;
    }

    boolean isStepped() {
        return isStepped(knob());
    }

    private static boolean isStepped(Knob knob) {
        return knob.control().taper() instanceof SteppedTaper;
    }

    boolean makesGain() {
        return knob().duty() == Duty.GAIN || knob().duty() == Duty.TRIM;
    }

    /** " to 0 dB (1:12)". */
    String toMark() {
        return " to 0 dB" + (isFull() ? ", fully up" : " (" + knob().control().clock() + ")");
    }

    /** "10:45", "full (5:00)". */
    String place() {
        return place(knob());
    }

    static String place(Knob knob) {
        boolean isFull = knob.control().position() >= 1 && !isStepped(knob);
        return isFull ? "full (" + knob.control().clock() + ")" : knob.place();
    }
}
