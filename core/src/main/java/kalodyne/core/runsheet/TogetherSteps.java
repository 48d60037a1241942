package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.levels.LaterMix;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/**
 * What is checked once each level is set: all play together, and the meters along the way agree. Afterwards, how separate tracks are
 * mixed for the balance that is wished.
 */
final class TogetherSteps implements SheetPart {
    private static final Set<DeviceKind> WITH_METER = Set.of(DeviceKind.MIXER, DeviceKind.DJ);

    /** Where a meter in VU reads 0 dB; common practice. */
    private static final Level ZERO_VU = new Level(4);

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
        String id = "level:together:" + recorder;
        String play = isMixed ? "All play the loudest part together" : "Play the loudest part once more";
        draft.add(Step.of(
                        id,
                        Section.LEVELS,
                        Act.LISTEN,
                        play + (meters.isEmpty() ? ": look at the meter" : ": the meters agree"),
                        meters.isEmpty()
                                ? "Several at once are louder than each alone."
                                : "Two meters that agree prove the way between them.")
                .with(
                        meters.isEmpty()
                                ? ""
                                : String.join(", ", meters)
                                        + ". Where one is 3 dB or more off, a lead or a level between them is not as told.")
                .telling("meter " + plan.onScale(plan.endPeak()))
                .noticing(Symptom.TOO_LOUD, Symptom.TOO_QUIET, Symptom.ONE_SIDE)
                .about(List.of(recorder))
                .ofRun(plan.trace().key()));
        draft.order(Steps.does(Act.SET_LEVEL), id, Order.Strength.HABIT, "Each alone first, then all together.");
        draft.order(
                id, Steps.TEST_TAKE, Order.Strength.HABIT, "The test take is made with the levels as they will be.");
    }

    /** What the meters of mixers before the converter show: "Small mixer: +5.9 dBu at its mix, which is +2 dB on a meter whose 0 dB is +4 dBu". */
    private static List<String> meters(SheetRig rig, LevelPlan plan) {
        FlowLevels levels = plan.levels();
        List<String> meters = new ArrayList<>();
        String before = "";
        List<Integer> points = plan.trace().path().points();
        for (int i = points.size() - 1; i >= 0; i--) {
            Point point = levels.flow().points().get(points.get(i));
            boolean isMeter = WITH_METER.contains(rig.device(point.station()).kind()) && point.isBus();
            if (isMeter && !point.station().equals(before)) {
                before = point.station();
                Level peak = levels.peak(points.get(i));
                meters.add(
                        0,
                        rig.name(point.station()) + ": " + peak + " at its mix, which is "
                                + Print.signed(peak.above(ZERO_VU).db(), 0) + " dB on a meter whose 0 dB is "
                                + ZERO_VU);
            }
        }
        return meters;
    }

    private static void mixed(LaterMix mix, SheetDraft draft) {
        String id =
                "after:mix:" + mix.faders().stream().map(LaterMix.Fader::player).collect(Collectors.joining("+"));
        draft.add(Step.of(
                id,
                Section.AFTER,
                Act.MIX,
                "In the mix, set the faders: " + mix.words(),
                "That is the balance that you wanted; on the tracks each is as loud as it should be."));
        draft.order(Steps.does(Act.TAKE), id, Order.Strength.NEED, "There must be a take first.");
    }
}
