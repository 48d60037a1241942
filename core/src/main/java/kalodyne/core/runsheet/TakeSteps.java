package kalodyne.core.runsheet;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.sums.Spans;
import kalodyne.core.units.Print;

/** The test take with what to listen for, the takes with their file names, and what is done with them. */
final class TakeSteps implements SheetPart {
    /** What a finding before the take makes one listen for in it. */
    private static final Map<FindingCode, String> LISTEN = Map.of(
            FindingCode.LEVEL_CANCELS, "parts that vanish in mono",
            FindingCode.BALANCED_HALF, "a quiet sound with hum",
            FindingCode.GAIN_FEEDBACK, "ringing",
            FindingCode.JOINT_LOADING, "a thin, quiet sound");

    /** The same, by what it is about. */
    private static final Map<String, String> LISTEN_TO_TOPIC = Map.of(
            "hum", "hum in the pauses",
            "noise", "hiss in the pauses",
            "stereo", "one side only",
            "response", "missing treble or bass",
            "riaa", "missing or doubled bass");

    private static final List<String> ALWAYS = List.of("hum in the pauses", "distortion in the loudest part");
    private static final int MOST_TOLD = 3;

    /** What several play into one track. */
    private static final String MIX = "mix";

    private static final Set<DeviceKind> WITH_CARD = Set.of(DeviceKind.RECORDER, DeviceKind.CAMERA);

    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        Recorders recorders = rig.recorders();
        if (recorders.ids().isEmpty()) {
            return;
        }
        test(rig, draft);
        takes(rig, recorders, draft);
        after(rig, recorders, draft);
    }

    private static void test(SheetRig rig, SheetDraft draft) {
        DoubleSummaryStatistics peaks = rig.recorded().stream()
                .map(trace -> LevelPlan.of(trace, rig.advised()))
                .mapToDouble(LevelPlan::endPeak)
                .filter(Double::isFinite)
                .summaryStatistics();
        draft.add(Step.of(
                        Steps.TEST_TAKE,
                        Section.TEST,
                        Act.TEST_TAKE,
                        "Test take of 30 s: the loudest part, then 10 s of silence",
                        "A recording shows what the room hides. It costs half a minute; a spoilt take costs the evening.")
                .with("Listen on headphones for " + listenFor(rig) + ".")
                .telling(peaks.getCount() == 0 ? "goes to Takes" : "peaks " + words(peaks))
                .noticing(Symptom.NO_SIGNAL, Symptom.ONE_SIDE, Symptom.TOO_LOUD, Symptom.TOO_QUIET, Symptom.HUM));
        draft.order(
                Steps.does(Act.SET_LEVEL, Act.LISTEN, Act.CHOOSE),
                Steps.TEST_TAKE,
                Order.Strength.NEED,
                "It tests the levels as they will be.");
        draft.order(
                Steps.TEST_TAKE,
                Steps.does(Act.TAKE),
                Order.Strength.NEED,
                "The test take says whether it will be clean.");
    }

    private static String words(DoubleSummaryStatistics peaks) {
        String low = Print.signed(peaks.getMin(), 0);
        String high = Print.signed(peaks.getMax(), 0);
        return (low.equals(high) ? low : low + " to " + high) + " dBFS";
    }

    static String listenFor(SheetRig rig) {
        Set<String> all = new LinkedHashSet<>();
        Stream.concat(
                        rig.joints().stream().flatMap(joint -> joint.findings().stream()),
                        rig.recorded().stream().flatMap(trace -> rig.levels().run(trace).findings().stream()))
                .sorted(Comparator.comparing(Finding::severity))
                .map(Finding::code)
                .flatMap(code -> Stream.of(
                                Optional.ofNullable(LISTEN.get(code)),
                                Optional.ofNullable(LISTEN_TO_TOPIC.get(code.topic())))
                        .flatMap(Optional::stream))
                .forEach(all::add);
        List<String> worst = new ArrayList<>(all).subList(0, Math.min(MOST_TOLD, all.size()));
        return Stream.concat(worst.stream(), ALWAYS.stream()).distinct().collect(Collectors.joining(", "));
    }

    // --- takes -------------------------------------------------------------------------------------------------

    private static void takes(SheetRig rig, Recorders recorders, SheetDraft draft) {
        List<SessionPlan.Pass> passes = rig.sessionPlan().passes();
        String tempo = rig.sessionPlan().beatsPerMinute().isPresent()
                ? "At " + Print.plain(rig.sessionPlan().beatsPerMinute().getAsDouble())
                        + " beats a minute, with one bar of count-in. "
                : "";
        if (passes.isEmpty()) {
            draft.add(take(rig, "take", "The take", recorders).with(tempo + names(rig, recorders)));
        }
        String before = "";
        for (int i = 0; i < passes.size(); i++) {
            SessionPlan.Pass pass = passes.get(i);
            String source = rig.devices().contains(pass.source()) ? rig.name(pass.source()) : pass.source();
            Step step = take(
                            rig,
                            "take:" + (i + 1),
                            "Pass " + (i + 1) + " of " + passes.size() + ": " + source + ", " + pass.part() + " alone",
                            recorders)
                    .with(tempo + "Mute the other parts. File: "
                            + TakeFileNames.of(rig.title(), source, pass.part(), 1));
            draft.add(step);
            if (!before.isEmpty()) {
                draft.order(before, step.id(), Order.Strength.HABIT, "As they were listed.");
            }
            before = step.id();
        }
    }

    private static Step take(SheetRig rig, String id, String title, Recorders recorders) {
        boolean hasCopy = recorders.ids().stream()
                .flatMap(recorder -> recorders.senders(recorder).stream().filter(sender -> !sender.equals(recorder)))
                .anyMatch(sender -> WITH_CARD.contains(rig.device(sender).kind()));
        return Step.of(
                        id,
                        Section.TAKE,
                        Act.TAKE,
                        title + (hasCopy ? ": start the safety copy on the card too" : ""),
                        "This is what all of it is for.")
                .telling(Spans.words(Duration.ofMinutes(rig.sessionPlan().minutes())));
    }

    /** Two mixes that come at once are two files. */
    private static String names(SheetRig rig, Recorders recorders) {
        List<String> names = recorders.ids().stream()
                .flatMap(recorder -> recorders.senders(recorder).stream())
                .filter(sender -> recorders.mixes(sender).size() > 1)
                .flatMap(sender -> recorders.mixes(sender).stream()
                        .map(ChannelPair::carries)
                        .map(carries -> TakeFileNames.of(rig.title(), rig.name(sender), carries, 1)))
                .toList();
        if (!names.isEmpty()) {
            return "Record all channels at once. Files: " + String.join(", ", names) + ".";
        }
        List<String> each = rig.recorded().stream()
                .map(trace -> trace.with().isEmpty() ? rig.name(rig.source(trace)) : MIX)
                .distinct()
                .map(played -> TakeFileNames.of(rig.title(), played, "", 1))
                .toList();
        return each.isEmpty()
                ? "File: " + TakeFileNames.of(rig.title(), "take", "", 1) + "."
                : (each.size() == 1 ? "File: " : "Files: ") + String.join(", ", each) + ".";
    }

    // --- afterwards --------------------------------------------------------------------------------------------

    private static void after(SheetRig rig, Recorders recorders, SheetDraft draft) {
        draft.add(Step.of(
                "after:trim",
                Section.AFTER,
                Act.TRIM,
                "Cut top and tail, on a copy",
                "Talk before and chairs after are not music. Never cut into the last sound as it fades."));
        boolean isTwice = recorders.ids().size() > 1
                || rig.devices().stream()
                        .anyMatch(id -> rig.device(id).kind() == DeviceKind.CAMERA
                                && !recorders.ids().contains(id));
        if (isTwice) {
            draft.add(Step.of(
                    "after:line-up",
                    Section.AFTER,
                    Act.LINE_UP,
                    "Line up what was recorded twice",
                    "Two clocks drift apart: 35 ppm are 126 ms an hour."));
            draft.order(Steps.does(Act.TAKE), "after:line-up", Order.Strength.NEED, "There must be a take first.");
        }
        draft.add(Step.of(
                        "after:back-up",
                        Section.AFTER,
                        Act.BACK_UP,
                        "Copy the takes to a second place, and open one of the copies",
                        "One copy is no backup. A copy that was never opened is none either.")
                .with(new Caution(Severity.WRONG, "before anything is cleared")));
        draft.order(Steps.does(Act.TAKE), "after:trim", Order.Strength.NEED, "There must be a take first.");
        draft.order(Steps.does(Act.TAKE), "after:back-up", Order.Strength.NEED, "There must be a take first.");
        recorders.ids().stream()
                .flatMap(recorder -> Stream.concat(Stream.of(recorder), recorders.senders(recorder).stream()))
                .distinct()
                .filter(id -> WITH_CARD.contains(rig.device(id).kind()))
                .forEach(id -> {
                    draft.add(Step.of(
                                    "after:clear:" + id,
                                    Section.AFTER,
                                    Act.CLEAR,
                                    "Clear the card of " + rig.name(id),
                                    "Next time begins with an empty card.")
                            .about(id));
                    draft.order(
                            "after:back-up",
                            "after:clear:" + id,
                            Order.Strength.SAFETY,
                            "What is cleared without a copy is gone.");
                });
    }
}
