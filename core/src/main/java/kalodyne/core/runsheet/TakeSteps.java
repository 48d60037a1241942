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
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.route.Captured;
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
                .with("Listen on headphones for " + listenFor(rig) + "."
                        + (filming(rig, rig.recorders()).isEmpty()
                                ? ""
                                : " Film a minute of it too, and look whether picture and sound are there."))
                .telling(peaks.getCount() == 0 ? "goes to Takes" : "peaks " + words(peaks))
                .noticing(Symptom.NO_SIGNAL, Symptom.ONE_SIDE, Symptom.TOO_LOUD, Symptom.TOO_QUIET, Symptom.HUM));
        draft.order(
                Steps.does(Act.SET_LEVEL, Act.LISTEN, Act.CHOOSE).and(step -> step.section() != Section.TEST),
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
            draft.add(take(rig, "take", "The take", recorders)
                    .with((tempo + files(rig) + " " + loop(rig) + film(rig, recorders)).strip()));
        }
        String before = "";
        for (int i = 0; i < passes.size(); i++) {
            SessionPlan.Pass pass = passes.get(i);
            String source = played(rig, pass);
            Step step = take(
                            rig,
                            "take:" + (i + 1),
                            "Pass " + (i + 1) + " of " + passes.size() + ": " + source + ", " + pass.part() + " alone",
                            recorders)
                    .with((tempo + "Mute the other parts. " + loop(rig)).strip());
            draft.add(step);
            if (!before.isEmpty()) {
                draft.order(before, step.id(), Order.Strength.HABIT, "As they were listed.");
            }
            before = step.id();
        }
    }

    /** What is no longer plugged is called by its mark. */
    private static String played(SheetRig rig, SessionPlan.Pass pass) {
        return rig.has(pass.source()) ? rig.name(pass.source()) : pass.source();
    }

    /** Where speakers and an open microphone share a room, each take goes round like this. */
    private static String loop(SheetRig rig) {
        return rig.loud().isEmpty() || rig.microphones().isEmpty()
                ? ""
                : "Each time: mute the speakers, record, stop, disarm the track, unmute, listen. ";
    }

    private static String film(SheetRig rig, Recorders recorders) {
        return filming(rig, recorders).isEmpty()
                ? ""
                : "Start the film first, then the recording; clap once where the camera sees it.";
    }

    /** The name of what films beside another recording: both are lined up by a sound that both have. */
    private static Optional<String> filming(SheetRig rig, Recorders recorders) {
        return rig.devices().stream()
                .filter(id -> recorders.ids().size() > 1)
                .filter(recorders::isFilm)
                .map(rig::name)
                .findFirst();
    }

    /** How long each take is: passes share what is planned. */
    private static Step take(SheetRig rig, String id, String title, Recorders recorders) {
        int passes = Math.max(1, rig.sessionPlan().passes().size());
        return Step.of(
                        id,
                        Section.TAKE,
                        Act.TAKE,
                        title + (hasCopy(rig, recorders) ? ": start the safety copy on the card too" : ""),
                        "This is what all of it is for.")
                .telling(Spans.words(
                        Duration.ofMinutes(rig.sessionPlan().minutes()).dividedBy(passes)));
    }

    /** Whether a recorder with a card stands between, and can keep a copy. */
    private static boolean hasCopy(SheetRig rig, Recorders recorders) {
        return recorders.ids().stream()
                .flatMap(recorder -> recorders.senders(recorder).stream().filter(sender -> !sender.equals(recorder)))
                .anyMatch(sender -> WITH_CARD.contains(rig.device(sender).kind()));
    }

    // --- afterwards --------------------------------------------------------------------------------------------

    private static void after(SheetRig rig, Recorders recorders, SheetDraft draft) {
        draft.add(Step.of(
                Steps.STOP,
                Section.AFTER,
                Act.FINISH,
                "Stop recording, see that it is saved",
                "What is pulled or copied while it still records is a broken file."));
        draft.order(Steps.does(Act.TAKE), Steps.STOP, Order.Strength.NEED, "First the take.");
        then(
                draft,
                Steps.STOP,
                Step.of(
                                "after:listen",
                                Section.AFTER,
                                Act.CHECK,
                                "Listen to the whole take on headphones",
                                "While everything stands it can be made again in five minutes; tomorrow in an hour.")
                        .with(
                                isMixed(recorders)
                                        ? "Judge the mix there, not in the room: what is loud in the room may be missing on it."
                                        : "Not clean? Make another one now."),
                "What is still being written cannot be listened to.");
        then(
                draft,
                "after:listen",
                Step.of(
                                "after:name",
                                Section.AFTER,
                                Act.NAME,
                                "Name the takes while you know which is which",
                                "In a month nobody knows what “Audio 1” was.")
                        .with(names(rig, recorders)),
                "Only what is worth keeping gets a name.");
        then(
                draft,
                "after:name",
                Step.of(
                                "after:back-up",
                                Section.AFTER,
                                Act.BACK_UP,
                                "Copy the takes to two other places, and open one of the copies",
                                "One copy is no backup. A copy that was never opened is none either.")
                        .with(new Caution(Severity.WRONG, "before anything is cleared")),
                "Under its name it is found again.");
        draft.order(
                "after:back-up",
                Steps.does(Act.TRIM, Act.LINE_UP, Act.MIX, Act.CLEAR),
                Order.Strength.SAFETY,
                "What is cut or cleared without a copy is gone.");
        clear(rig, recorders, draft);
        afterwards(
                draft,
                Step.of(
                        "after:trim",
                        Section.AFTER,
                        Act.TRIM,
                        "Cut top and tail, on a copy",
                        "Talk before and chairs after are not music. Never cut into the last sound as it fades."));
        List<String> mixes = recorders.ids().stream()
                .flatMap(id -> recorders.senders(id).stream())
                .filter(sender -> recorders.mixes(sender).size() > 1)
                .map(rig::name)
                .toList();
        if (!mixes.isEmpty()) {
            afterwards(
                    draft,
                    Step.of(
                                    "after:match",
                                    Section.AFTER,
                                    Act.MIX,
                                    "Bring both mixes of " + String.join(", ", mixes) + " to the same level",
                                    "Raised afterwards nothing can clip on the way; +6 dB is 200 %.")
                            .about(recorders.ids().stream().toList()));
        }
        boolean isTwice = recorders.ids().size() > 1 || hasCopy(rig, recorders);
        if (isTwice) {
            afterwards(
                    draft,
                    Step.of(
                                    "after:line-up",
                                    Section.AFTER,
                                    Act.LINE_UP,
                                    "Line up what was recorded twice",
                                    "Two clocks drift apart: 35 ppm are 126 ms an hour.")
                            .with(filming(rig, recorders)
                                    .map(film -> "By the clap, at the start and at the end. Then mute the sound of "
                                            + film + ": both together sound like an echo.")
                                    .orElse("")));
        }
    }

    private static void then(SheetDraft draft, String before, Step step, String why) {
        draft.add(step);
        draft.order(before, step.id(), Order.Strength.NEED, why);
    }

    private static void afterwards(SheetDraft draft, Step step) {
        draft.add(step.in("Then, with the copies safe"));
        draft.order(Steps.STOP, step.id(), Order.Strength.NEED, "What is still being written cannot be copied or cut.");
    }

    private static boolean isMixed(Recorders recorders) {
        return recorders.ids().stream()
                .flatMap(id -> recorders.captured(id).lines().stream())
                .anyMatch(Captured.Line::isMix);
    }

    /** One name a track; a film is one file, whatever it hears. */
    private static String names(SheetRig rig, Recorders recorders) {
        if (!rig.sessionPlan().passes().isEmpty()) {
            return rig.sessionPlan().passes().stream()
                            .map(pass -> TakeFileNames.of(rig.title(), played(rig, pass), pass.part(), 1))
                            .collect(Collectors.joining(", "))
                    + ".";
        }
        List<String> names = recorders.ids().stream()
                .flatMap(recorder -> recorders.isFilm(recorder)
                        ? Stream.of(TakeFileNames.film(rig.title(), 1))
                        : recorders.captured(recorder).lines().stream().map(line -> name(rig, recorders, line)))
                .distinct()
                .toList();
        return String.join(", ", names) + ".";
    }

    /** Two mixes that come at once are told apart by what is on them. */
    private static String name(SheetRig rig, Recorders recorders, Captured.Line line) {
        return line.track()
                .sender()
                .filter(sender -> recorders.mixes(sender).size() > 1)
                .map(sender -> TakeFileNames.of(rig.title(), line.track().carries(), "", 1))
                .orElseGet(() -> TakeFileNames.of(rig.title(), line, 1));
    }

    private static void clear(SheetRig rig, Recorders recorders, SheetDraft draft) {
        recorders.ids().stream()
                .flatMap(recorder -> Stream.concat(Stream.of(recorder), recorders.senders(recorder).stream()))
                .distinct()
                .filter(id -> WITH_CARD.contains(rig.device(id).kind()))
                .forEach(id -> afterwards(
                        draft,
                        Step.of(
                                        "after:clear:" + id,
                                        Section.AFTER,
                                        Act.CLEAR,
                                        "Clear the card of " + rig.name(id),
                                        "Next time begins with an empty card.")
                                .about(id)));
    }

    /** What is one file: a song, a side of a record, a whole set. */
    private static String files(SheetRig rig) {
        boolean isSet = rig.devices().stream()
                .anyMatch(id -> rig.device(id).kind() == DeviceKind.DJ
                        && !rig.device(id).controls().isEmpty());
        boolean isRecord = rig.devices().stream().anyMatch(id -> rig.device(id).kind() == DeviceKind.TURNTABLE);
        return isSet
                ? "Let the set run through: one file."
                : isRecord ? "Let a side run through: one file a side." : "Stop after each song: one file a song.";
    }
}
