package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.End;
import kalodyne.core.units.Print;

/** How loud it is heard: headphones, then speakers; where a microphone is open, these only once the test take is played on them. */
final class HearingSteps {
    private final SheetRig rig;
    private final SheetDraft draft;
    private final KnobGroups knobs;

    /**
     * Steps for a rig.
     *
     * @param knobs those that are left once what is recorded is set
     */
    HearingSteps(SheetRig rig, SheetDraft draft, KnobGroups knobs) {
        this.rig = rig;
        this.draft = draft;
        this.knobs = knobs;
    }

    void all() {
        Map<List<String>, List<Trace>> byEars = new LinkedHashMap<>();
        // A subwoofer joins the speakers.
        rig.heard().stream()
                .sorted(Comparator.comparing(trace -> rig.end(trace).kind() == End.Kind.SUBWOOFER))
                .forEach(trace -> byEars.computeIfAbsent(knobs.listeners(rig.last(trace)), key -> new ArrayList<>())
                        .add(trace));
        byEars.forEach(this::heard);
        if (rig.recording().isEmpty() && !rig.heard().isEmpty()) {
            known();
        }
    }

    private void heard(List<String> listeners, List<Trace> traces) {
        // What stands full or at a mark makes nothing loud while the rest is down; the last knob is the one within
        // reach.
        List<KnobGroup> groups = knobs.along(traces).stream()
                .sorted(Comparator.comparing((KnobGroup group) -> !group.isAtMark() && !group.isFull())
                        .thenComparing(group -> !listeners.contains(group.station())))
                .toList();
        for (int i = 0; i < groups.size(); i++) {
            heard(listeners, groups.get(i), i == groups.size() - 1);
        }
    }

    private void heard(List<String> listeners, KnobGroup group, boolean isLast) {
        String listener = listeners.get(0);
        boolean isLoud = rig.device(listener).kind() == DeviceKind.SPEAKER;
        boolean canHowl = isLast && isLoud && !rig.microphones().isEmpty();
        boolean isSubwoofer = group.plan().end().kind() == End.Kind.SUBWOOFER;
        Step step = Step.of(
                        group.id(),
                        canHowl ? Section.TEST : Section.LEVELS,
                        Act.LISTEN,
                        Print.listed(listeners.stream().map(rig::name).toList()) + ": "
                                + (listeners.contains(group.station()) ? group.names() : group.namesWithOwner())
                                + raised(group, isLast),
                        "What is heard is set after what is recorded: its level changes nothing in the track.")
                .with(isLast && !isSubwoofer ? how(isLoud, canHowl) : "")
                .telling(isLast ? heardAs(group.plan()) : "")
                .noticing(
                        isLoud
                                ? new Symptom[] {Symptom.HOWL, Symptom.NO_SIGNAL}
                                : new Symptom[] {Symptom.NO_SIGNAL, Symptom.ONE_SIDE})
                .about(List.of(listener, group.station()))
                .ofRun(group.first().trace().key())
                .in("Set how loud you hear it on the " + (isLoud ? "speakers" : "headphones"));
        draft.add(
                canHowl ? step.with(new Caution(Severity.HARM, "mute the speakers while a microphone is open")) : step);
        order(listener, group.station(), step, isLoud, canHowl);
    }

    private void order(String listener, String turned, Step step, boolean isLoud, boolean canHowl) {
        draft.order(
                Steps.does(Act.SET_LEVEL),
                step.id(),
                Order.Strength.HABIT,
                "What is recorded is set first; what is heard follows it.");
        draft.order(
                PowerSteps.poweredBy(rig, turned), step.id(), Order.Strength.NEED, "Nothing is heard before it is on.");
        if (isLoud) {
            draft.order(
                    PowerSteps.poweredBy(rig, listener),
                    step.id(),
                    Order.Strength.NEED,
                    "Nothing is heard before it is on.");
        }
        if (canHowl) {
            draft.order(
                    Steps.TEST_TAKE,
                    step.id(),
                    Order.Strength.SAFETY,
                    "While a microphone is open the speakers stay down: a take is played on them, not the microphone.");
            draft.order(step.id(), Steps.does(Act.TAKE), Order.Strength.HABIT, "The take is listened to on them.");
        } else {
            draft.order(step.id(), Steps.TEST_TAKE, Order.Strength.HABIT, "The test take is listened to on them.");
        }
    }

    /** Only the last knob opens the way to the ears; what stands before it is set while nothing is heard. */
    private static String raised(KnobGroup group, boolean isLast) {
        if (group.isAtMark()) {
            return group.toMark();
        }
        return (isLast ? " slowly up to " : " to ") + group.place() + (isLast && group.isFull() ? " at most" : "");
    }

    private static String how(boolean isLoud, boolean canHowl) {
        if (canHowl) {
            return "Close the microphones first: tracks disarmed, direct monitoring off. Play the test take, stop where it is comfortable. Mute them again before the take.";
        }
        return isLoud ? "" : "Now put them on. Stop where it is comfortable.";
    }

    private static String heardAs(LevelPlan plan) {
        return plan.end().kind() == End.Kind.SUBWOOFER
                ? "as loud as the speakers"
                : "about " + Print.decimal(plan.endAverage(), 0) + " dB SPL";
    }

    /** Where nothing is recorded, something that is known shows whether it is plugged right. */
    private void known() {
        draft.add(Step.of(
                        "level:known",
                        Section.LEVELS,
                        Act.CHECK,
                        "Play a piece that you know: left comes from the left, and both sides are as loud",
                        "Crossed sides and a lost side are heard at once in a piece that one knows.")
                .noticing(Symptom.ONE_SIDE, Symptom.NO_SIGNAL, Symptom.HUM));
        draft.order(Steps.does(Act.LISTEN), "level:known", Order.Strength.NEED, "Nothing is heard before it is up.");
    }
}
