package kalodyne.core.runsheet;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Phantom;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Print;

/** Phantom power: off while anything is plugged, on for what needs it, never where it harms, off and a wait before unplugging. */
final class PhantomSteps implements SheetPart {
    /** The capacitors of an input are empty by then; common practice. */
    static final Duration WAIT = Duration.ofSeconds(30);

    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        for (PhantomSwitch each : rig.phantoms()) {
            if (each.isFixed()) {
                fixed(rig, each, draft);
            } else {
                switched(rig, each, draft);
            }
        }
    }

    private static void switched(SheetRig rig, PhantomSwitch each, SheetDraft draft) {
        String words = each.words(rig);
        draft.add(Step.of(
                        Steps.phantomOff(each.id()),
                        Section.QUIET,
                        Act.SET_SWITCH,
                        words + ": off",
                        "It stands as it was left. A plug that goes in with it on sends up to 48 V where it should not.")
                .about(each.device())
                .in(Steps.ALL_DOWN));
        each.links()
                .forEach(link -> draft.order(
                        Steps.phantomOff(each.id()),
                        link.id(),
                        Order.Strength.SAFETY,
                        "Never plug with phantom power on."));
        if (each.isNeeded() && each.harms()) {
            conflict(rig, each, draft);
        } else if (each.isNeeded()) {
            on(rig, each, draft);
            offAgain(rig, each, draft);
        } else if (each.harms()) {
            leaveOff(rig, each, draft);
        }
    }

    // --- on ----------------------------------------------------------------------------------------------------

    private static void on(SheetRig rig, PhantomSwitch each, SheetDraft draft) {
        String id = Steps.phantomOn(each.id());
        draft.add(Step.of(
                        id,
                        Section.PHANTOM,
                        Act.PHANTOM_ON,
                        each.words(rig) + ": on",
                        rig.names(each.needing()) + (each.needing().size() == 1 ? " works" : " work")
                                + " only with it.")
                .with("It pops once, and the microphone needs some seconds.")
                .telling("for " + rig.names(each.needing()))
                .noticing(Symptom.NO_SIGNAL)
                .about(each.device()));
        each.links()
                .forEach(
                        link -> draft.order(
                                link.id(),
                                id,
                                Order.Strength.SAFETY,
                                "First connect, then phantom power: a plug that goes in with it on gets up to 48 V on one leg."));
        draft.order(
                PowerSteps.poweredBy(rig, each.device()),
                id,
                Order.Strength.NEED,
                rig.name(each.device()) + " gives it only when it is on.");
        draft.order(
                Steps.quietly(Act.TURN_DOWN, Act.EARS_OFF, Act.SWITCH_OFF),
                id,
                Order.Strength.SAFETY,
                "It pops when it comes on.");
        draft.order(
                id,
                PowerSteps.isSpeakers(),
                Order.Strength.SAFETY,
                "It pops when it comes on, and they would play it.");
        draft.order(id, levelsOf(rig, each), Order.Strength.NEED, "Without it the microphone gives nothing.");
        draft.order(
                id,
                Steps.does(Act.TEST_TAKE, Act.TAKE),
                Order.Strength.NEED,
                "Without it the microphone gives nothing.");
    }

    private static Predicate<Step> levelsOf(SheetRig rig, PhantomSwitch each) {
        List<String> runs = rig.recorded().stream()
                .filter(trace -> each.needing().contains(rig.source(trace)))
                .map(trace -> trace.key())
                .toList();
        return Steps.does(Act.SET_LEVEL)
                .and(step -> step.run().filter(runs::contains).isPresent());
    }

    // --- off ---------------------------------------------------------------------------------------------------

    private static void leaveOff(SheetRig rig, PhantomSwitch each, SheetDraft draft) {
        Finding worst = each.harmed().get(0);
        String id = Steps.phantomOn(each.id());
        draft.add(Step.of(id, Section.PHANTOM, Act.LEAVE_PHANTOM_OFF, "Leave " + each.words(rig) + " off", worst.text())
                .with(
                        each.sockets().size() > 1
                                ? "One switch feeds " + each.sockets().size() + " inputs; nothing on them needs it."
                                : "Nothing on it needs it.")
                .telling(each.harmedWords(rig))
                .with(new Caution(each.worst(), "48 V harms " + each.harmedWords(rig)))
                .about(each.device()));
        each.links()
                .forEach(link -> draft.order(
                        link.id(), id, Order.Strength.HABIT, "Looked at again once everything is plugged."));
        draft.order(
                id,
                Steps.does(Act.SET_LEVEL),
                Order.Strength.HABIT,
                "Its lamp is looked at before anything gets loud.");
    }

    /** Needed on one input and harmful on another of one switch: it stays off, and what would solve it is told. */
    private static void conflict(SheetRig rig, PhantomSwitch each, SheetDraft draft) {
        String needing = rig.names(each.needing());
        String harmed = each.harmedWords(rig);
        String remedy = otherInput(rig, each)
                .map(socket -> "Move " + needing + " to " + socket)
                .orElse(
                        isOnBattery(rig, each)
                                ? "Run " + needing + " on its battery"
                                : "Record them one after the other, or use another preamp for one of them");
        draft.add(new Finding(
                FindingCode.SHEET_PHANTOM_CONFLICT,
                Severity.HARM,
                new Place.Plugged(each.device(), each.sockets().get(0).part()),
                new Figure(Phantom.VOLTS, "V"),
                "One switch, two needs",
                needing + " needs phantom power, " + harmed + " must not get it, and " + each.words(rig)
                        + " feeds both.",
                Optional.of(Remedy.byHand(remedy))));
        draft.add(Step.of(
                        Steps.phantomOn(each.id()),
                        Section.PHANTOM,
                        Act.STOP,
                        "Stop: " + Print.withinSentence(remedy),
                        needing + " needs phantom power, " + harmed + " must not get it; one switch feeds both.")
                .with("Until then " + each.words(rig) + " stays off and " + needing + " gives nothing.")
                .with(new Caution(Severity.HARM, "48 V harms " + harmed))
                .about(each.device()));
        each.links()
                .forEach(link -> draft.order(
                        Steps.phantomOn(each.id()),
                        link.id(),
                        Order.Strength.SAFETY,
                        "It is solved before these are plugged."));
    }

    /** A free input of the same device that takes the same plug and is fed by another switch. */
    private static Optional<String> otherInput(SheetRig rig, PhantomSwitch each) {
        List<Socket> used = each.sockets().stream()
                .map(spot -> rig.patch().socket(spot).orElseThrow())
                .toList();
        return rig.device(each.device()).sockets().stream()
                .filter(socket -> !rig.patch().isTaken(new Spot(each.device(), socket.id())))
                .filter(socket -> used.stream().anyMatch(one -> one.connector() == socket.connector()))
                .filter(socket -> socket.power().stream()
                        .anyMatch(power -> power.kind() == PowerKind.PHANTOM
                                && power.role() == PowerRole.GIVES
                                && !power.control()
                                        .map(control -> each.device() + "." + control)
                                        .equals(Optional.of(each.id()))))
                .map(Socket::name)
                .findFirst();
    }

    private static boolean isOnBattery(SheetRig rig, PhantomSwitch each) {
        return each.needing().stream()
                .allMatch(
                        id -> rig.device(id).powering().stream().anyMatch(way -> way.source() == PowerSource.BATTERY));
    }

    // --- always on ---------------------------------------------------------------------------------------------

    private static void fixed(SheetRig rig, PhantomSwitch each, SheetDraft draft) {
        each.links()
                .forEach(link -> draft.order(
                        link.id(),
                        PowerSteps.poweredBy(rig, each.device()),
                        Order.Strength.SAFETY,
                        "Its phantom power cannot be switched off: plug before it is on."));
        if (each.isNeeded()) {
            draft.order(
                    PowerSteps.poweredBy(rig, each.device()),
                    levelsOf(rig, each),
                    Order.Strength.NEED,
                    "Without phantom power the microphone gives nothing.");
        }
        each.harmed().stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .findFirst()
                .ifPresent(draft::add);
    }

    // --- taking down -------------------------------------------------------------------------------------------

    private static void offAgain(SheetRig rig, PhantomSwitch each, SheetDraft draft) {
        String id = Steps.phantomOffAgain(each.id());
        draft.add(Step.of(
                        id,
                        Section.DOWN,
                        Act.PHANTOM_OFF,
                        each.words(rig) + ": off",
                        "A plug that is pulled with phantom power on gets up to 48 V on one leg.")
                .about(each.device()));
        draft.add(Step.of(
                        Steps.PHANTOM_WAIT,
                        Section.DOWN,
                        Act.WAIT,
                        "Wait " + WAIT.toSeconds() + " s: phantom power fades",
                        "Capacitors in the input hold it for a while after the switch (common practice).")
                .waiting(WAIT));
        draft.order(id, Steps.PHANTOM_WAIT, Order.Strength.NEED, "It fades only after the switch.");
        draft.order(Steps.STOP, id, Order.Strength.NEED, "The pop would be in the take.");
        draft.order(
                step -> step.id().equals(Steps.SPEAKERS_DOWN) || step.id().equals("down:ears"),
                id,
                Order.Strength.SAFETY,
                "It pops when it goes off.");
        draft.order(
                Steps.PHANTOM_WAIT,
                Steps.does(Act.UNPLUG),
                Order.Strength.SAFETY,
                "Never pull a lead with phantom power on, nor before it has faded.");
        draft.order(
                Steps.PHANTOM_WAIT,
                Steps.off(each.device()),
                Order.Strength.HABIT,
                "Its lamp shows that phantom power is off only while it has power.");
    }
}
