package kalodyne.core.runsheet;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.sums.RecordingFormat;
import kalodyne.core.sums.Spans;
import kalodyne.core.sums.Stored;
import kalodyne.core.units.Print;

/** What is made ready before anything is plugged: leads, batteries, space. */
final class Preparing implements SheetPart {
    /** One sees at a glance what so many leads are. */
    private static final int MOST_NAMED = 8;

    private static final String READY = "Make ready: leads, power, space";

    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        leads(rig, draft);
        stands(rig, draft);
        for (String id : rig.devices()) {
            if (rig.runsOn(id, PowerSource.BATTERY) && !rig.isCharged(id)) {
                battery(rig, id, draft);
            } else if (rig.battery(id).isPresent() && !rig.isCharged(id)) {
                instead(rig, id, draft);
            }
            if (rig.isPowerBank(id)) {
                draft.add(charge(
                        id, rig.name(id) + ": charged", "It feeds what hangs on it, and nothing else does.", ""));
            }
        }
        Recorders recorders = rig.recorders();
        recorders.ids().forEach(id -> space(rig, recorders, id, draft));
        draft.order(
                Steps.does(Act.LAY_READY, Act.CHARGE, Act.MAKE_ROOM),
                Steps.does(Act.PLUG),
                Order.Strength.HABIT,
                "What is missing shows now, not mid-take.");
        draft.order(
                Steps.does(Act.CHARGE, Act.MAKE_ROOM),
                Steps.does(Act.TAKE),
                Order.Strength.NEED,
                "A take that ends early is lost.");
    }

    private static void leads(SheetRig rig, SheetDraft draft) {
        List<Link> links = rig.links();
        List<String> leads = links.stream()
                .flatMap(link -> link.leads().stream())
                .map(mark -> rig.patch().leads().get(mark).name())
                .toList();
        if (leads.isEmpty()) {
            return;
        }
        String names = leads.size() <= MOST_NAMED ? Link.counted(leads) : "";
        draft.add(Step.of(
                        "ready:leads",
                        Section.BEFORE,
                        Act.LAY_READY,
                        names.isEmpty()
                                ? "Lay the " + leads.size() + " leads and adapters ready"
                                : "Lay ready: " + names,
                        "Every lead is named in its step. Look at each: bent pins, cracked shells and thin spots go to the bench.")
                .with(
                        "Look at each for bent pins, cracked shells and thin spots. A plug goes in all the way; never force one.")
                .telling(names.isEmpty() ? "" : Print.counted(leads.size(), "lead"))
                .in(READY)
                .about(links.stream().flatMap(link -> link.leads().stream()).toList()));
    }

    private static void battery(SheetRig rig, String id, SheetDraft draft) {
        Duration needed = RunTimes.neededAwake(rig);
        Optional<Duration> lasting = RunTimes.battery(rig, id);
        draft.add(charge(
                        id,
                        rig.name(id) + ": full battery, for " + Spans.words(needed),
                        "It runs on its battery: no ground loop through its supply, but it can run out.",
                        lasting.map(span -> "lasts " + Spans.words(span)).orElse("how long is not known"))
                .with(loop(rig, id)));
        lasting.filter(span -> span.compareTo(needed) < 0)
                .ifPresent(span -> draft.add(new Finding(
                        FindingCode.SHEET_BATTERY_SHORT,
                        Severity.WRONG,
                        new Place.Shelf(id),
                        new Figure(span.toMinutes(), "min"),
                        "The battery of " + rig.name(id) + " runs out",
                        "It lasts " + Spans.words(span) + "; recording and setting up take about " + Spans.words(needed)
                                + ".",
                        Optional.of(Remedy.byHand("Lay spare batteries ready, or run it on mains")))));
    }

    /** Where a device's supply hums its battery is the cure, as long as it lasts. */
    private static void instead(SheetRig rig, String id, SheetDraft draft) {
        Duration needed = RunTimes.neededAwake(rig);
        boolean isTooShort = rig.battery(id)
                .flatMap(battery -> RunTimes.lasting(rig.device(id), battery))
                .filter(span -> span.compareTo(needed) < 0)
                .isPresent();
        rig.hum(id)
                .filter(hum -> !isTooShort)
                .ifPresent(hum -> draft.add(charge(
                        id,
                        rig.name(id) + ": on its battery for the takes, full for " + Spans.words(needed),
                        "On its supply " + Print.withinSentence(hum.title()) + ". " + hum.text(),
                        "the supply stays out of its socket")));
    }

    /** A computer is counted as on its charger: where that hums, the battery is the cure. */
    private static String loop(SheetRig rig, String id) {
        return rig.groundLoop()
                .filter(finding -> rig.device(id).kind() == DeviceKind.COMPUTER)
                .map(finding -> "Pull its charger for the takes. " + finding.text())
                .orElse("");
    }

    private static Step charge(String id, String title, String reason, String tell) {
        return Step.of("charge:" + id, Section.BEFORE, Act.CHARGE, title, reason)
                .telling(tell)
                .about(id)
                .in(READY);
    }

    /** What stands on legs, or hangs on an arm. */
    private static void stands(SheetRig rig, SheetDraft draft) {
        List<String> standing =
                rig.devices().stream().filter(id -> rig.isOnStand(id)).toList();
        if (!standing.isEmpty()) {
            draft.add(Step.of(
                            "stands",
                            Section.BEFORE,
                            Act.LAY_READY,
                            "Stands and arms tight: " + rig.names(standing),
                            "A stand that tips over, or an arm that sinks, breaks what is under it.")
                    .with(
                            rig.microphones().isEmpty()
                                    ? ""
                                    : "A microphone hears what stands behind it, and the room: turn it away from fans, keys and walls.")
                    .with(new Caution(Severity.HARM, "nothing heavy over people or instruments"))
                    .in(READY)
                    .about(standing));
        }
    }

    private static void space(SheetRig rig, Recorders recorders, String id, SheetDraft draft) {
        Stored format = RunTimes.stored(rig, recorders, id);
        Duration length = Duration.ofMinutes(rig.sessionPlan().minutes());
        long needed = format.bytes(length);
        draft.add(Step.of(
                        "room:" + id,
                        Section.BEFORE,
                        Act.MAKE_ROOM,
                        rig.name(id) + ": " + Spans.bytes(needed) + " free for " + Spans.words(length),
                        "A full card or disk ends a take early.")
                .with(format.words()
                        + (needed > RecordingFormat.MOST_OF_PLAIN_WAV
                                ? ". More than 4 GB in one file: split the takes, or choose a format without that limit."
                                : "."))
                .telling(Optional.ofNullable(rig.sessionPlan().freeBytes().get(id))
                        .map(free -> "room for " + Spans.words(format.lasting(free)))
                        .orElse("look how much is free"))
                .about(id)
                .in(READY));
        Optional.ofNullable(rig.sessionPlan().freeBytes().get(id))
                .filter(free -> free < needed)
                .ifPresent(free -> draft.add(new Finding(
                        FindingCode.SHEET_SPACE_SHORT,
                        Severity.WRONG,
                        new Place.Shelf(id),
                        new Figure(free / 1e9, "GB"),
                        rig.name(id) + " has too little room",
                        Spans.bytes(free) + " are free, " + Spans.words(length) + " take " + Spans.bytes(needed) + ".",
                        Optional.of(Remedy.byHand("Back up and clear, or record fewer tracks or bits")))));
    }
}
