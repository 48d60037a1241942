package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.units.Print;

/** Level setting station by station: where each knob should stand as advised, and what its meter should then show. */
final class LevelSteps implements SheetPart {
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        new Setting(rig, draft).all();
    }

    /** A knob in a run: where it acts, and what comes out of it once all stand as advised. */
    private record Turned(Trace trace, Knob knob, LevelPlan plan, int point) {
        Point at() {
            return plan.flow().points().get(point);
        }
    }

    private static final double AT_MARK_DB = 0.3;

    private static final class Setting {
        private final SheetRig rig;
        private final SheetDraft draft;
        private final FlowLevels advised;
        private final Set<Spot> done = new HashSet<>();

        Setting(SheetRig rig, SheetDraft draft) {
            this.rig = rig;
            this.draft = draft;
            this.advised = rig.advised();
        }

        void all() {
            // Pan pots are set by a part of their own.
            advised.flow().knobs().stream()
                    .filter(knob -> knob.duty() == Duty.PAN)
                    .forEach(knob -> done.add(knob.id()));
            Map<String, List<Trace>> bySource = new LinkedHashMap<>();
            rig.recorded()
                    .forEach(trace -> bySource.computeIfAbsent(rig.source(trace), key -> new ArrayList<>())
                            .add(trace));
            bySource.forEach(this::recorded);
            Map<List<String>, List<Trace>> byEars = new LinkedHashMap<>();
            // A subwoofer joins the speakers.
            rig.heard().stream()
                    .sorted(Comparator.comparing(trace -> rig.end(trace).kind() == End.Kind.SUBWOOFER))
                    .forEach(trace -> byEars.computeIfAbsent(listeners(rig.last(trace)), key -> new ArrayList<>())
                            .add(trace));
            byEars.forEach(this::heard);
        }

        // --- recorded ------------------------------------------------------------------------------------------

        private void recorded(String source, List<Trace> traces) {
            List<List<Turned>> steps = grouped(traces);
            String before = "";
            int firstGain = IntStream.range(0, steps.size())
                    .filter(i -> makesGain(steps.get(i).get(0).knob()))
                    .findFirst()
                    .orElse(-1);
            for (int i = 0; i < steps.size(); i++) {
                List<Turned> group = steps.get(i);
                Step step = recorded(source, group, i == steps.size() - 1);
                step = i == firstGain ? step.with(joined(playing(group.get(0)), step.detail())) : step;
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
            if (steps.isEmpty()) {
                Trace trace = traces.get(0);
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
        }

        private Step recorded(String source, List<Turned> group, boolean isLast) {
            Turned first = group.get(0);
            String name = rig.name(source);
            boolean isOwn = first.at().station().equals(source);
            String where = isOwn
                    ? "its " + names(group)
                    : names(group) + " on " + first.knob().owner();
            boolean isMark = isAtMark(first);
            Step step = Step.of(
                            id(group),
                            Section.LEVELS,
                            Act.SET_LEVEL,
                            isMark
                                    ? names(group) + " on " + first.knob().owner() + mark(first.knob())
                                    : name + ": " + turning(group, where, isOwn),
                            isMark
                                    ? "There it moves finely, and the gains before it make the level."
                                    : "Here the loudest part lands where it should, with the least noise.")
                    .with(detail(first, isLast))
                    .telling(isMark && !isLast ? "" : isLast || atTrack(first) ? end(first.plan()) : behind(first))
                    .noticing(Symptom.NO_SIGNAL, Symptom.TOO_LOUD, Symptom.TOO_QUIET)
                    .about(List.of(source, first.at().station()))
                    .ofRun(first.trace().key());
            double miss = first.plan().miss().db();
            return isLast && miss != 0
                    ? step.with(new Caution(
                            Severity.WRONG,
                            Print.decimal(Math.abs(miss), 1) + " dB too " + (miss > 0 ? "hot" : "quiet") + " even so"))
                    : step;
        }

        /** "play the loudest part, gain 1 on Interface up to 10:45". */
        private static String turning(List<Turned> group, String where, boolean isOwn) {
            Knob knob = group.get(0).knob();
            boolean isLowest = knob.control().position() <= 0 && !isSwitch(knob);
            if (isLowest) {
                return "play the loudest part, " + where
                        + (group.size() > 1 ? " stay at their lowest (" : " stays at its lowest (") + knob.place()
                        + ")";
            }
            return isOwn || isSwitch(knob)
                    ? where + " to " + place(knob)
                    : "play the loudest part, " + where + " up to " + place(knob);
        }

        /** How and how near a microphone is sung or played into while its gain is set. */
        private String playing(Turned turned) {
            return rig.levels()
                    .micSound(turned.plan())
                    .map(sound -> "As loud as it will get: " + sound.words() + ".")
                    .orElse("");
        }

        private static boolean makesGain(Knob knob) {
            return knob.duty() == Duty.GAIN || knob.duty() == Duty.TRIM;
        }

        private static String joined(String one, String other) {
            return (one + " " + other).strip();
        }

        private static String detail(Turned turned, boolean isLast) {
            if (isSwitch(turned.knob())) {
                return "";
            }
            return isLast
                    ? "If the meter shows more, go back a little: a quarter of an hour is "
                            + Print.decimal(
                                    turned.knob().control().perQuarterHour().db(), 1) + " dB here."
                    : "";
        }

        private boolean atTrack(Turned turned) {
            return rig.last(turned.trace()).equals(turned.at().station());
        }

        /** It is set while nobody else plays. */
        private static String end(LevelPlan plan) {
            return "meter " + plan.onScale(plan.endPeakAlone());
        }

        private String behind(Turned turned) {
            return advised.peak(turned.point(), turned.plan().player()) + " behind it";
        }

        // --- heard ---------------------------------------------------------------------------------------------

        /** Speakers that hear the same are set alike. */
        private List<String> listeners(String last) {
            return rig.loudGroups().stream()
                    .filter(group -> group.contains(last))
                    .findFirst()
                    .orElse(List.of(last));
        }

        private void heard(List<String> listeners, List<Trace> traces) {
            String listener = listeners.get(0);
            String names = listeners.stream().map(rig::name).collect(Collectors.joining(" and "));
            boolean isLoud = rig.device(listener).kind() != DeviceKind.HEADPHONES;
            List<List<Turned>> steps = grouped(traces);
            for (List<Turned> group : steps) {
                Turned first = group.get(0);
                LevelPlan plan = first.plan();
                boolean isOwn = listeners.contains(first.at().station());
                Step step = Step.of(
                                id(group),
                                Section.LEVELS,
                                Act.LISTEN,
                                names + ": " + names(group)
                                        + (isOwn ? "" : " on " + first.knob().owner())
                                        + (isAtMark(first)
                                                ? mark(first.knob())
                                                : " slowly up to " + place(first.knob())),
                                "What is heard is set after what is recorded: its level changes nothing in the track.")
                        .with(isLoud ? "" : "Now put them on. Stop where it is comfortable.")
                        .telling(group == steps.get(steps.size() - 1) ? heardAs(plan) : "")
                        .noticing(
                                isLoud
                                        ? new Symptom[] {Symptom.HOWL, Symptom.NO_SIGNAL}
                                        : new Symptom[] {Symptom.NO_SIGNAL, Symptom.ONE_SIDE})
                        .about(List.of(listener, first.at().station()))
                        .ofRun(first.trace().key());
                boolean canHowl = isLoud && !rig.microphones().isEmpty();
                draft.add(
                        canHowl
                                ? step.with(new Caution(Severity.HARM, "mute the speakers while a microphone is open"))
                                : step);
                draft.order(
                        Steps.does(Act.SET_LEVEL),
                        step.id(),
                        Order.Strength.HABIT,
                        "What is recorded is set first; what is heard follows it.");
                draft.order(
                        PowerSteps.poweredBy(rig, first.at().station()),
                        step.id(),
                        Order.Strength.NEED,
                        "Nothing is heard before it is on.");
                if (isLoud) {
                    draft.order(
                            PowerSteps.poweredBy(rig, listener),
                            step.id(),
                            Order.Strength.NEED,
                            "Nothing is heard before it is on.");
                }
                draft.order(step.id(), Steps.TEST_TAKE, Order.Strength.HABIT, "The test take is listened to on them.");
            }
        }

        private static String heardAs(LevelPlan plan) {
            return plan.end().kind() == End.Kind.SUBWOOFER
                    ? "as loud as the speakers"
                    : "about " + Print.decimal(plan.endAverage(), 0) + " dB SPL";
        }

        // --- knobs ---------------------------------------------------------------------------------------------

        /** The knobs along runs of one source, in the order of the signal; those of left and right that go the same way are one. */
        private List<List<Turned>> grouped(List<Trace> traces) {
            Map<List<Object>, List<Turned>> groups = new LinkedHashMap<>();
            for (Trace trace : traces) {
                LevelPlan plan = LevelPlan.of(trace, advised);
                int place = 0;
                for (int index : trace.path().points()) {
                    OptionalInt knob = plan.flow().points().get(index).knob();
                    if (knob.isPresent()) {
                        Knob turned = plan.flow().knobs().get(knob.getAsInt());
                        if (done.add(turned.id())) {
                            groups.computeIfAbsent(
                                            List.of(
                                                    place,
                                                    listeners(plan.flow()
                                                            .points()
                                                            .get(index)
                                                            .station()),
                                                    turned.kind(),
                                                    place(turned)),
                                            key -> new ArrayList<>())
                                    .add(new Turned(trace, turned, plan, index));
                        }
                        place++;
                    }
                }
            }
            List<List<Turned>> ordered = new ArrayList<>(groups.values());
            // What stands at a mark is set before anybody plays: the gains are then set by the meter.
            ordered.sort(Comparator.comparing((List<Turned> group) -> !isAtMark(group.get(0)))
                    .thenComparing(group -> group.get(0).point()));
            return ordered;
        }

        /** A fader or level at 0 dB: nothing is played for it. */
        private static boolean isAtMark(Turned turned) {
            Duty duty = turned.knob().duty();
            return (duty == Duty.MAIN || duty == Duty.CHANNEL)
                    && !isSwitch(turned.knob())
                    && Math.abs(turned.knob().gain().db()) < AT_MARK_DB;
        }

        /** " to 0 dB (1:12)". */
        private static String mark(Knob knob) {
            return " to 0 dB"
                    + (knob.control().position() >= 1
                            ? ", fully up"
                            : " (" + knob.control().clock() + ")");
        }

        private static String id(List<Turned> group) {
            return "level:"
                    + group.stream().map(each -> each.knob().id().write()).collect(Collectors.joining("+"));
        }

        private static String names(List<Turned> group) {
            return group.stream()
                    .map(each -> each.knob().control().name())
                    .distinct()
                    .collect(Collectors.joining(" and "));
        }

        private static boolean isSwitch(Knob knob) {
            return knob.kind() == ControlKind.INPUT_SELECT
                    || knob.kind() == ControlKind.PAD
                    || knob.control().taper() instanceof SteppedTaper;
        }

        private static String place(Knob knob) {
            boolean isFull = knob.control().position() >= 1 && !isSwitch(knob);
            return isFull ? "full (" + knob.control().clock() + ")" : knob.place();
        }
    }
}
