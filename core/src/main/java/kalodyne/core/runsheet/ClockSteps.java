package kalodyne.core.runsheet;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.sums.Clocks;
import kalodyne.core.units.Print;

/** Who beats time and who follows, where something is plugged that carries the clock. */
final class ClockSteps implements SheetPart {
    /** A MIDI lead, from what gives to what takes. */
    private record Wire(Link link, String from, String to) {}

    /** Two that are joined both ways have one clock: where a computer is behind one of them, and can send there, that one's. */
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        List<Wire> wires = rig.links().stream()
                .filter(link -> link.isOf(SignalKind.MIDI))
                .flatMap(link -> wires(rig, link))
                .sorted(Comparator.comparing(wire -> !isOfComputer(rig, wire.from())))
                .toList();
        Set<Set<String>> told = new HashSet<>();
        wires.stream()
                .filter(wire -> told.add(Set.of(wire.from(), wire.to())))
                .forEach(wire -> add(rig, wire, wires, draft));
    }

    private static Stream<Wire> wires(SheetRig rig, Link link) {
        return at(rig, link, Direction.OUT)
                .flatMap(from -> at(rig, link, Direction.IN)
                        .filter(to -> !to.equals(from))
                        .map(to -> new Wire(link, from, to)));
    }

    private static Stream<String> at(SheetRig rig, Link link, Direction way) {
        return link.sockets().stream()
                .filter(spot -> rig.patch().socket(spot).orElseThrow().way() == way)
                .map(Spot::item)
                .distinct();
    }

    private static boolean isOfComputer(SheetRig rig, String id) {
        return rig.isHost(rig.recorders().host(id));
    }

    private static void add(SheetRig rig, Wire wire, List<Wire> all, SheetDraft draft) {
        String beats = rig.recorders().host(wire.from());
        String follows = isOfComputer(rig, wire.to()) ? rig.recorders().host(wire.to()) : wire.to();
        String id = "clock:" + beats + ">" + follows;
        boolean isPassed = !beats.equals(wire.from());
        String port = isPassed
                ? "In its app send clock, start and stop to “" + rig.name(wire.from()) + "”"
                : "Send clock, start and stop there";
        draft.add(Step.of(
                        id,
                        Section.RECORDER,
                        Act.CHOOSE,
                        rig.name(beats) + " sets the tempo, " + rig.name(follows) + " follows its clock",
                        "Two that keep their own time drift apart; two that follow wait for each other.")
                .with(port + "; choose external clock on " + rig.name(follows) + ". "
                        + tempo(rig.sessionPlan().beatsPerMinute()) + notes(rig, wire, all))
                .about(List.of(beats, follows))
                .in(Steps.setUp(rig.name(beats))));
        PowerSteps.mustBeOn(rig, beats, id, draft);
        PowerSteps.mustBeOn(rig, follows, id, draft);
        draft.order(wire.link().id(), id, Order.Strength.NEED, "The clock goes through this lead.");
        draft.order(id, Steps.does(Act.TEST_TAKE, Act.TAKE), Order.Strength.NEED, "What is out of step stays so.");
    }

    /** The lead back brings what is played to the computer, whose own sounds can be played by it. */
    private static String notes(SheetRig rig, Wire wire, List<Wire> all) {
        return all.stream()
                .filter(back -> back.from().equals(wire.to()) && back.to().equals(wire.from()))
                .filter(back -> isOfComputer(rig, back.to()))
                .findFirst()
                .map(back -> " The lead back carries notes: as the MIDI input of an instrument track “"
                        + rig.name(back.to()) + "” lets " + rig.name(back.from()) + " play the sounds of the app.")
                .orElse("");
    }

    private static String tempo(OptionalDouble beats) {
        return "MIDI has " + Clocks.PULSES_OF_QUARTER + " pulses a quarter"
                + (beats.isPresent()
                        ? ": at " + Print.plain(beats.getAsDouble()) + " beats a minute one every "
                                + Print.decimal(1000 * Clocks.secondsOfPulse(beats.getAsDouble()), 1) + " ms."
                        : ".");
    }
}
