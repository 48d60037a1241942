package kalodyne.core.runsheet;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.route.Captured;
import kalodyne.core.route.Software;
import kalodyne.core.route.Software.About;
import kalodyne.core.route.Software.Choice;
import kalodyne.core.sums.Latency;
import kalodyne.core.units.Print;

/** What is chosen on each recorder: input, output, channels, tracks, monitoring; what is made quiet on a phone. */
final class ChoiceSteps implements SheetPart {
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        Recorders recorders = rig.recorders();
        for (String recorder : recorders.ids()) {
            Captured captured = recorders.captured(recorder);
            List<Choice> choices = Software.of(captured).stream()
                    .filter(choice -> choice.about() != About.LEAD && choice.about() != About.TRACK)
                    .map(choice -> choice.about() == About.FORMAT
                            ? new Choice(About.FORMAT, Software.words(RunTimes.format(rig, recorders, recorder)))
                            : choice)
                    .toList();
            choices.forEach(choice -> add(rig, recorders, recorder, choice, draft));
            if (rig.device(recorder).kind() != DeviceKind.CAMERA) {
                add(rig, recorders, recorder, tracks(rig, captured), draft);
            }
            recorders.senders(recorder).forEach(sender -> direct(rig, recorders, recorder, sender, draft));
        }
        recorders.onlyPlaying().forEach((host, player) -> plays(rig, host, player, draft));
    }

    /** A computer that only plays: what it plays on is chosen before the speakers are on. */
    private static void plays(SheetRig rig, String host, String player, SheetDraft draft) {
        String id = "choose:" + host + ":output";
        draft.add(Step.of(
                        id,
                        Section.RECORDER,
                        Act.CHOOSE,
                        rig.name(host) + ": system output: “" + rig.name(player) + "”",
                        reason(About.OUTPUT))
                .about(List.of(host, player)));
        PowerSteps.mustBeOn(rig, host, id, draft);
        PowerSteps.mustBeOn(rig, player, id, draft);
        draft.order(
                id,
                PowerSteps.isSpeakers(),
                Order.Strength.SAFETY,
                "What still plays elsewhere would come out at once, and loud.");
    }

    private static void direct(SheetRig rig, Recorders recorders, String recorder, String sender, SheetDraft draft) {
        if (recorders.canBeHeardDirectly(sender)) {
            recorders
                    .directSwitch(sender)
                    .ifPresent(control -> draft.add(Step.of(
                                    "direct:" + sender,
                                    Section.RECORDER,
                                    Act.SET_SWITCH,
                                    rig.name(sender) + ": " + control.name() + " on",
                                    "So you hear yourself at once, not after the computer's delay." + late(rig))
                            .about(sender)
                            .in(Steps.setUp(rig.name(recorder)))));
        }
    }

    /** What hearing oneself through the computer would cost, where somebody measured it. */
    private static String late(SheetRig rig) {
        OptionalDouble trip = rig.sessionPlan().roundTripMilliseconds();
        if (trip.isEmpty()) {
            return "";
        }
        double milliseconds = trip.getAsDouble();
        return " Through the computer it would come " + Print.decimal(milliseconds, 1) + " ms late, as from "
                + Print.decimal(Latency.metresOfAir(milliseconds), 1) + " m away: "
                + (milliseconds >= Latency.FELT_MILLISECONDS ? "players feel that." : "most players do not feel that.");
    }

    private static Choice tracks(SheetRig rig, Captured captured) {
        String each = captured.lines().stream()
                .map(line -> line.played() + (line.isStereo() ? ", stereo" : ", mono") + ", from "
                        + line.track().from()
                        + (line.track().carries().isEmpty()
                                ? ""
                                : " (" + line.track().carries() + ")"))
                .collect(Collectors.joining("; "));
        int count = captured.lines().size();
        return new Choice(
                About.TRACK,
                rig.name(captured.recorder()) + ": " + (count == 1 ? "one track" : count + " tracks") + ", armed; "
                        + each);
    }

    private static void add(SheetRig rig, Recorders recorders, String recorder, Choice choice, SheetDraft draft) {
        String id = id(recorder, choice.about(), draft);
        boolean isQuiet = choice.about() == About.QUIET;
        Step step = Step.of(
                        id,
                        isQuiet ? Section.BEFORE : Section.RECORDER,
                        isQuiet ? Act.SILENCE : Act.CHOOSE,
                        title(rig, recorder, choice.words()),
                        reason(choice.about()) + (choice.about() == About.MONITORING ? late(rig) : ""))
                .with(detail(choice.words()))
                .about(recorder)
                .in(isQuiet ? "" : Steps.setUp(rig.name(recorder)));
        draft.add(
                choice.about() == About.INPUT
                        ? step.noticing(Symptom.NOT_LISTED)
                        : choice.about() == About.FEEDBACK
                                ? step.with(new Caution(Severity.HARM, "howling hurts ears and speakers"))
                                : step);
        if (!isQuiet) {
            PowerSteps.mustBeOn(rig, recorder, id, draft);
            recorders.senders(recorder).stream()
                    .filter(sender -> !sender.equals(recorder))
                    .forEach(sender -> {
                        draft.order(
                                PowerSteps.poweredBy(rig, sender),
                                id,
                                Order.Strength.NEED,
                                "A device is in the list only when it is on.");
                        rig.links().stream()
                                .filter(link -> link.touches(sender) && link.touches(recorder))
                                .forEach(link -> draft.order(
                                        link.id(),
                                        id,
                                        Order.Strength.NEED,
                                        "It is in the list only when it is plugged."));
                    });
            draft.order(
                    id,
                    Steps.does(Act.SET_LEVEL, Act.TEST_TAKE, Act.TAKE),
                    Order.Strength.NEED,
                    "Meters show what is chosen, nothing else.");
        }
        if (choice.about() == About.MONITORING || choice.about() == About.FEEDBACK) {
            draft.order(
                    id,
                    PowerSteps.isSpeakers(),
                    Order.Strength.SAFETY,
                    "Open speakers and an open input howl: monitoring is settled before they are on.");
        }
    }

    /** "choose:laptop:input"; a second one of its kind is numbered. */
    private static String id(String recorder, About about, SheetDraft draft) {
        String plain = "choose:" + recorder + ":" + about.name().toLowerCase(Locale.ROOT);
        return IntStream.iterate(1, number -> number + 1)
                .mapToObj(number -> number == 1 ? plain : plain + "-" + number)
                .filter(id -> draft.step(id).isEmpty())
                .findFirst()
                .orElseThrow();
    }

    /** Behind this the details begin. */
    private static final Pattern SPLIT = Pattern.compile("; |\\. |, (?=else |not |and let )|: (?=some )");

    /** Up to the first point that splits it; what is chosen on another device begins with its name. */
    private static String title(SheetRig rig, String recorder, String words) {
        String first = SPLIT.split(words, 2)[0];
        boolean isNamed = first.contains(rig.name(recorder))
                || rig.devices().stream().map(rig::name).anyMatch(first::startsWith);
        return isNamed ? first : rig.name(recorder) + ": " + Print.withinSentence(first);
    }

    private static String detail(String words) {
        String[] parts = SPLIT.split(words, 2);
        return parts.length < 2
                ? ""
                : parts[1].substring(0, 1).toUpperCase(Locale.ROOT)
                        + parts[1].substring(1)
                        + (parts[1].endsWith(".") ? "" : ".");
    }

    private static String reason(About about) {
        return switch (about) {
            case INPUT -> "Else the built-in microphone is recorded: it is in there, but the app does not see it.";
            case OWN -> "What was plugged last may still be chosen.";
            case OUTPUT -> "Input and output are chosen apart; the one does not follow the other.";
            case MODE -> "What comes as one channel cannot be taken apart later.";
            case LEAD -> "Leads that only charge look alike.";
            case PERMISSION -> "Without it the app records silence.";
            case TRACK -> "Each source on its own track can be mixed later.";
            case MONITORING -> "What is heard twice sounds like an echo.";
            case FEEDBACK -> "A microphone that hears its own speaker howls.";
            case LEVEL -> "It is one more knob between you and the track, and easily forgotten.";
            case AUTOMATIC -> "It turns the level while you play.";
            case FORMAT -> "Two different rates play at the wrong speed, or not at all.";
            case QUIET -> "A call or a message would be in the take.";
        };
    }
}
