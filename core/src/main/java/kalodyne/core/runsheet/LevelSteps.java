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
            // Pan pots and switches are set by parts of their own.
            advised.flow().knobs().stream()
                    .filter(knob -> knob.duty() == Duty.PAN || SwitchSteps.SWITCHES.contains(knob.kind()))
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
            if (rig.recording().isEmpty() && !rig.heard().isEmpty()) {
                known();
            }
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
            draft.order(
                    Steps.does(Act.LISTEN), "level:known", Order.Strength.NEED, "Nothing is heard before it is up.");
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
                Step step = recorded(source, group, isLast(group, steps.subList(i + 1, steps.size())));
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

        /** Whether what is set later is on other ways: then the track's meter shows what it should. */
        private static boolean isLast(List<Turned> group, List<List<Turned>> later) {
            Set<Spot> ahead = later.stream()
                    .flatMap(List::stream)
                    .map(turned -> turned.knob().id())
                    .collect(Collectors.toSet());
            return group.stream()
                    .flatMap(turned -> turned.plan().knobs().stream())
                    .map(Knob::id)
                    .noneMatch(ahead::contains);
        }

        private Step recorded(String source, List<Turned> group, boolean isLast) {
            Turned first = group.get(0);
            String name = rig.name(source);
            String where = first.at().station().equals(source)
                    ? "its " + names(group)
                    : names(group) + " on " + first.knob().owner();
            boolean isMark = isAtMark(first) || isAtLowestStep(first);
            String tell = isLast ? end(first.plan()) : onMeter(first);
            boolean isPlayed = !tell.isEmpty() && (isLast || !isMark);
            Step step = Step.of(
                            id(group),
                            Section.LEVELS,
                            Act.SET_LEVEL,
                            isMark && !isPlayed
                                    ? names(group) + " on " + first.knob().owner()
                                            + (isAtMark(first) ? mark(first.knob()) : turning(group, false))
                                    : name + ": " + (isPlayed ? "play the loudest part, " : "") + where
                                            + turning(group, isPlayed),
                            isMark
                                    ? isAtMark(first)
                                            ? "There it moves finely, and the gains before it make the level."
                                            : "Its own gain is the noisiest; what stands before it makes the level."
                                    : "Here the loudest part lands where it should, with the least noise.")
                    .with(detail(first, isLast))
                    .telling(isPlayed ? tell : "")
                    .noticing(Symptom.NO_SIGNAL, Symptom.TOO_LOUD, Symptom.TOO_QUIET)
                    .about(List.of(source, first.at().station()))
                    .ofRun(first.trace().key())
                    .in("Set the level of " + name);
            return isLast && !first.plan().isTolerated() ? step.with(miss(first.plan())) : step;
        }

        /** What is cut off is spoilt; what is only off its aim can be used. */
        private static Caution miss(LevelPlan plan) {
            double miss = plan.miss().db();
            return new Caution(
                    plan.endPeak() >= 0 ? Severity.WRONG : Severity.WEAK,
                    Print.decimal(Math.abs(miss), 1) + " dB too " + (miss > 0 ? "hot" : "quiet") + " even so");
        }

        /** " up to 10:45", " to its lowest step (0 dB)", " stays at its lowest (7:00)". */
        private static String turning(List<Turned> group, boolean isPlayed) {
            Knob knob = group.get(0).knob();
            boolean isLowest = knob.control().position() <= 0;
            if (isStepped(knob)) {
                return " to " + (isLowest ? "its lowest step, " : "") + place(knob);
            }
            if (isLowest) {
                return (group.size() > 1 ? " stay at their lowest (" : " stays at its lowest (") + knob.place() + ")";
            }
            return (isPlayed ? " up to " : " to ") + place(knob);
        }

        /** How and how near a microphone is sung or played into while its gain is set. */
        private String playing(Turned turned) {
            return rig.levels()
                    .micSound(turned.plan())
                    .map(sound -> "From where you will sit, as loud as you will get: " + sound.words() + ".")
                    .orElse("");
        }

        private static boolean makesGain(Knob knob) {
            return knob.duty() == Duty.GAIN || knob.duty() == Duty.TRIM;
        }

        private static String joined(String one, String other) {
            return (one + " " + other).strip();
        }

        private static String detail(Turned turned, boolean isLast) {
            if (isStepped(turned.knob())) {
                return isLast ? "If the meter shows more, go back a step." : "";
            }
            return isLast
                    ? "If the meter shows more, go back a little: a quarter of an hour is "
                            + Print.decimal(
                                    turned.knob().control().perQuarterHour().db(), 1) + " dB here."
                    : "";
        }

        /** It is set while nobody else plays. */
        private static String end(LevelPlan plan) {
            return "meter " + plan.onScale(plan.endPeakAlone());
        }

        /** What a meter of the same device should show, once the last knob before it is set. */
        private String onMeter(Turned turned) {
            return Meters.along(rig, turned.plan()).stream()
                    .filter(meter -> meter.station().equals(turned.at().station()))
                    .filter(meter -> isLastBefore(turned, meter))
                    .map(meter -> turned.knob().owner() + " reads about "
                            + Meters.words(
                                    advised.peak(meter.point(), turned.plan().player())))
                    .findFirst()
                    .orElse("");
        }

        /** Whether every other knob between the source and a meter stands at its mark already, or is set before. */
        private boolean isLastBefore(Turned turned, Meters.Meter meter) {
            List<Integer> points = turned.trace().path().points();
            int own = points.indexOf(turned.point());
            return own <= meter.place()
                    && points.subList(own + 1, meter.place() + 1).stream()
                            .map(index -> advised.flow().points().get(index))
                            .filter(point -> point.station().equals(meter.station()))
                            .flatMap(point -> point.knob().stream().boxed())
                            .map(advised.flow().knobs()::get)
                            .allMatch(knob -> isAtMark(knob)
                                    || knob.duty() == Duty.PAN
                                    || SwitchSteps.SWITCHES.contains(knob.kind()));
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
            List<List<Turned>> steps = grouped(traces);
            // What stands full or at a mark makes nothing loud while the rest is down; the last knob is the one within
            // reach.
            steps.sort(Comparator.comparing((List<Turned> group) -> !isAtRest(group.get(0)))
                    .thenComparing(
                            group -> !listeners.contains(group.get(0).at().station())));
            for (List<Turned> group : steps) {
                heard(listeners, group, group == steps.get(steps.size() - 1));
            }
        }

        private static boolean isAtRest(Turned turned) {
            return isAtMark(turned) || turned.knob().control().position() >= 1;
        }

        private void heard(List<String> listeners, List<Turned> group, boolean isLast) {
            String listener = listeners.get(0);
            Turned first = group.get(0);
            boolean isLoud = rig.device(listener).kind() == DeviceKind.SPEAKER;
            boolean canHowl = isLast && isLoud && !rig.microphones().isEmpty();
            Step step = Step.of(
                            id(group),
                            canHowl ? Section.TEST : Section.LEVELS,
                            Act.LISTEN,
                            Print.listed(listeners.stream().map(rig::name).toList()) + ": " + names(group)
                                    + (listeners.contains(first.at().station())
                                            ? ""
                                            : " on " + first.knob().owner())
                                    + raised(first, isLast),
                            "What is heard is set after what is recorded: its level changes nothing in the track.")
                    .with(isLast && first.plan().end().kind() != End.Kind.SUBWOOFER ? how(isLoud, canHowl) : "")
                    .telling(isLast ? heardAs(first.plan()) : "")
                    .noticing(
                            isLoud
                                    ? new Symptom[] {Symptom.HOWL, Symptom.NO_SIGNAL}
                                    : new Symptom[] {Symptom.NO_SIGNAL, Symptom.ONE_SIDE})
                    .about(List.of(listener, first.at().station()))
                    .ofRun(first.trace().key())
                    .in("Set how loud you hear it: "
                            + Print.listed(listeners.stream().map(rig::name).toList()));
            draft.add(
                    canHowl
                            ? step.with(new Caution(Severity.HARM, "mute the speakers while a microphone is open"))
                            : step);
            heardInOrder(listener, first.at().station(), step, isLoud, canHowl);
        }

        private void heardInOrder(String listener, String turned, Step step, boolean isLoud, boolean canHowl) {
            draft.order(
                    Steps.does(Act.SET_LEVEL),
                    step.id(),
                    Order.Strength.HABIT,
                    "What is recorded is set first; what is heard follows it.");
            draft.order(
                    PowerSteps.poweredBy(rig, turned),
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
        private static String raised(Turned turned, boolean isLast) {
            if (isAtMark(turned)) {
                return mark(turned.knob());
            }
            boolean isFull = turned.knob().control().position() >= 1;
            return (isLast ? " slowly up to " : " to ") + place(turned.knob()) + (isLast && isFull ? " at most" : "");
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
            ordered.sort(Comparator.comparing(
                            (List<Turned> group) -> !isAtMark(group.get(0)) && !isAtLowestStep(group.get(0)))
                    .thenComparing(group -> group.get(0).point()));
            return ordered;
        }

        /** A fader or level at 0 dB: nothing is played for it. */
        private static boolean isAtMark(Turned turned) {
            return isAtMark(turned.knob());
        }

        private static boolean isAtMark(Knob knob) {
            return (knob.duty() == Duty.MAIN || knob.duty() == Duty.CHANNEL)
                    && !isStepped(knob)
                    && Math.abs(knob.gain().db()) < AT_MARK_DB;
        }

        /** A camera's level at its lowest step: what stands before it makes the level. */
        private static boolean isAtLowestStep(Turned turned) {
            return isStepped(turned.knob())
                    && turned.knob().control().position() <= 0
                    && turned.knob().duty() != Duty.SOURCE;
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

        private static boolean isStepped(Knob knob) {
            return knob.control().taper() instanceof SteppedTaper;
        }

        private static String place(Knob knob) {
            boolean isFull = knob.control().position() >= 1 && !isStepped(knob);
            return isFull ? "full (" + knob.control().clock() + ")" : knob.place();
        }
    }
}
