package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.units.Print;

/** Level setting station by station: where each knob should stand as advised, and what its meter should then show. */
final class LevelSteps implements SheetPart {
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        KnobGroups knobs = new KnobGroups(rig);
        new Setting(rig, draft, knobs).all();
        new HearingSteps(rig, draft, knobs).all();
    }

    /** What is recorded, source by source. */
    private static final class Setting {
        private final SheetRig rig;
        private final SheetDraft draft;
        private final KnobGroups knobs;
        private final FlowLevels advised;

        Setting(SheetRig rig, SheetDraft draft, KnobGroups knobs) {
            this.rig = rig;
            this.draft = draft;
            this.knobs = knobs;
            this.advised = rig.advised();
        }

        void all() {
            Map<String, List<Trace>> bySource = new LinkedHashMap<>();
            rig.recorded()
                    .forEach(trace -> bySource.computeIfAbsent(rig.source(trace), key -> new ArrayList<>())
                            .add(trace));
            bySource.forEach(this::recorded);
        }

        private void recorded(String source, List<Trace> traces) {
            List<KnobGroup> groups = knobs.along(traces);
            String before = "";
            int firstGain = IntStream.range(0, groups.size())
                    .filter(i -> groups.get(i).makesGain())
                    .findFirst()
                    .orElse(-1);
            for (int i = 0; i < groups.size(); i++) {
                KnobGroup group = groups.get(i);
                Step step = step(source, group, isLast(group, groups.subList(i + 1, groups.size())));
                step = i == firstGain ? step.with((playing(group) + " " + step.detail()).strip()) : step;
                draft.add(step);
                if (!before.isEmpty()) {
                    draft.order(
                            before,
                            step.id(),
                            Order.Strength.HABIT,
                            "What stands before it in the line is set first: it changes what arrives here.");
                }
                before = step.id();
            }
            if (groups.isEmpty()) {
                looked(source, traces.get(0));
            }
        }

        private void looked(String source, Trace trace) {
            draft.add(Step.of(
                            "level:" + trace.key(),
                            Section.LEVELS,
                            Act.LISTEN,
                            rig.name(source) + ": play the loudest part and look at the meter",
                            "No knob is left to turn for it here.")
                    .telling(end(LevelPlan.of(trace, advised)))
                    .noticing(Symptom.NO_SIGNAL, Symptom.TOO_LOUD, Symptom.TOO_QUIET)
                    .about(source)
                    .ofRun(trace.key()));
        }

        /** Whether what is set later is on other ways: then the track's meter shows what it should. */
        private static boolean isLast(KnobGroup group, List<KnobGroup> later) {
            Set<Spot> ahead = later.stream()
                    .flatMap(each -> each.all().stream())
                    .map(turned -> turned.knob().id())
                    .collect(Collectors.toSet());
            return group.alongRuns().stream().noneMatch(ahead::contains);
        }

        private Step step(String source, KnobGroup group, boolean isLast) {
            String name = rig.name(source);
            boolean isMark = group.isAtMark() || group.isAtLowestStep();
            String tell = isLast ? end(group.plan()) : onMeter(group);
            boolean isPlayed = !tell.isEmpty() && (isLast || !isMark);
            String where = group.station().equals(source) ? "its " + group.names() : group.namesWithOwner();
            Step step = Step.of(
                            group.id(),
                            Section.LEVELS,
                            Act.SET_LEVEL,
                            isMark && !isPlayed
                                    ? group.namesWithOwner()
                                            + (group.isAtMark() ? group.toMark() : turning(group, false))
                                    : name + ": " + (isPlayed ? "play the loudest part, " : "") + where
                                            + turning(group, isPlayed),
                            reason(group))
                    .with(isLast ? ifMore(group) : "")
                    .telling(isPlayed ? tell : "")
                    .noticing(Symptom.NO_SIGNAL, Symptom.TOO_LOUD, Symptom.TOO_QUIET)
                    .about(List.of(source, group.station()))
                    .ofRun(group.first().trace().key())
                    .in("Set the level of " + name);
            return isLast && !group.plan().isTolerated() ? step.with(miss(group.plan())) : step;
        }

        private static String reason(KnobGroup group) {
            if (group.isAtMark()) {
                return "There it moves finely, and the gains before it make the level.";
            }
            return group.isAtLowestStep()
                    ? "Its own gain is the noisiest; what stands before it makes the level."
                    : "Here the loudest part lands where it should, with the least noise.";
        }

        /** What is cut off is spoilt; what is only off its aim can be used. */
        private static Caution miss(LevelPlan plan) {
            double miss = plan.miss().db();
            return new Caution(
                    plan.endPeak() >= 0 ? Severity.WRONG : Severity.WEAK,
                    Print.decimal(Math.abs(miss), 1) + " dB too " + (miss > 0 ? "hot" : "quiet") + " even so");
        }

        /** " up to 10:45", " to its lowest step, 0 dB", " stays at its lowest (7:00)". */
        private static String turning(KnobGroup group, boolean isPlayed) {
            if (group.isStepped()) {
                return " to " + (group.isLowest() ? "its lowest step, " : "") + group.place();
            }
            if (group.isLowest()) {
                return (group.all().size() > 1 ? " stay at their lowest (" : " stays at its lowest (") + group.place()
                        + ")";
            }
            return (isPlayed ? " up to " : " to ") + group.place();
        }

        /** How and how near a microphone is sung or played into while its gain is set. */
        private String playing(KnobGroup group) {
            return rig.levels()
                    .micSound(group.plan())
                    .map(sound -> "From where you will sit, as loud as you will get: " + sound.words() + ".")
                    .orElse("");
        }

        private static String ifMore(KnobGroup group) {
            return group.isStepped()
                    ? "If the meter shows more, go back a step."
                    : "If the meter shows more, go back a little: a quarter of an hour is "
                            + Print.decimal(
                                    group.knob().control().perQuarterHour().db(), 1) + " dB here.";
        }

        /** It is set while nobody else plays. */
        private static String end(LevelPlan plan) {
            return "meter " + plan.onScale(plan.endPeakAlone());
        }

        /** What a meter of the same device should show, once the last knob before it is set. */
        private String onMeter(KnobGroup group) {
            return Meters.along(rig, group.plan()).stream()
                    .filter(meter -> meter.station().equals(group.station()))
                    .filter(meter -> isLastBefore(group, meter))
                    .map(meter -> group.knob().owner() + " reads about "
                            + Meters.words(
                                    advised.peak(meter.point(), group.plan().player())))
                    .findFirst()
                    .orElse("");
        }

        /** Whether every other knob between the source and a meter stands at its mark already, or is set before. */
        private boolean isLastBefore(KnobGroup group, Meters.Meter meter) {
            List<Integer> points = group.first().trace().path().points();
            int own = points.indexOf(group.first().point());
            return own <= meter.place()
                    && points.subList(own + 1, meter.place() + 1).stream()
                            .map(index -> advised.flow().points().get(index))
                            .filter(point -> point.station().equals(meter.station()))
                            .flatMap(point -> point.knob().stream().boxed())
                            .map(advised.flow().knobs()::get)
                            .allMatch(knob -> KnobGroup.isAtMark(knob)
                                    || knob.duty() == Duty.PAN
                                    || SwitchSteps.SWITCHES.contains(knob.kind()));
        }
    }
}
