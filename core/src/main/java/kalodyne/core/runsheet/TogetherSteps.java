package kalodyne.core.runsheet;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.joint.SourceLevel;
import kalodyne.core.levels.LaterMix;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;

/**
 * What is checked once each level is set: all play together, and the meters along the way agree. Afterwards, how separate tracks are
 * mixed for the balance that is wished.
 */
final class TogetherSteps implements SheetPart {
    private static final String TOGETHER = "level:together:";

    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        Set<String> told = new LinkedHashSet<>();
        for (Trace trace : rig.recorded()) {
            LevelPlan plan = LevelPlan.of(trace, rig.advised());
            List<String> meters = meters(rig, plan);
            boolean isMixed = !trace.with().isEmpty();
            if ((isMixed || !meters.isEmpty()) && told.add(rig.last(trace))) {
                together(rig, plan, meters, isMixed, draft);
            }
        }
        rig.levels().wishedMixes().forEach(mix -> mixed(mix, draft));
    }

    private static void together(SheetRig rig, LevelPlan plan, List<String> meters, boolean isMixed, SheetDraft draft) {
        String recorder = rig.last(plan.trace());
        String id = TOGETHER + recorder;
        String play = isMixed ? "All play the loudest part together" : "Play the loudest part once more";
        draft.add(Step.of(
                        id,
                        Section.LEVELS,
                        Act.LISTEN,
                        play + (meters.isEmpty() ? ": look at the meter" : ": compare the meters"),
                        meters.isEmpty()
                                ? "Several at once are louder than each alone."
                                : "Two meters that agree prove the way between them.")
                .with(
                        meters.isEmpty()
                                ? ""
                                : String.join(", ", meters) + ", on a scale whose 0 dB is " + SourceLevel.METER_ZERO
                                        + ". Where one is 3 dB or more off, a lead or a level between them is not as told.")
                .telling("meter " + plan.onScale(plan.endPeak()))
                .noticing(Symptom.TOO_LOUD, Symptom.TOO_QUIET, Symptom.ONE_SIDE)
                .about(List.of(recorder))
                .ofRun(plan.trace().key()));
        draft.order(Steps.does(Act.SET_LEVEL), id, Order.Strength.HABIT, "Each alone first, then all together.");
        draft.order(
                id,
                Steps.does(Act.LISTEN)
                        .and(Steps.in(Section.LEVELS))
                        .and(step -> !step.id().startsWith(TOGETHER)),
                Order.Strength.HABIT,
                "What is recorded is set first; what is heard follows it.");
        draft.order(
                id, Steps.TEST_TAKE, Order.Strength.HABIT, "The test take is made with the levels as they will be.");
    }

    /** What they show: "Small mixer +2 dB". */
    private static List<String> meters(SheetRig rig, LevelPlan plan) {
        return Meters.along(rig, plan).stream()
                .map(meter -> rig.name(meter.station()) + " "
                        + Meters.words(plan.levels().peak(meter.point())))
                .toList();
    }

    private static void mixed(LaterMix mix, SheetDraft draft) {
        String id =
                "after:mix:" + mix.faders().stream().map(LaterMix.Fader::player).collect(Collectors.joining("+"));
        draft.add(Step.of(
                        id,
                        Section.AFTER,
                        Act.MIX,
                        "In the mix, set the faders: " + mix.words(),
                        "That is the balance that you wanted; on the tracks each is as loud as it should be.")
                .in("Then, with the copies safe"));
        draft.order(Steps.does(Act.TAKE), id, Order.Strength.NEED, "There must be a take first.");
    }
}
