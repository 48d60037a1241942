package kalodyne.core.runsheet;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.sums.Clocks;
import kalodyne.core.units.Print;

/** Who beats time and who follows, where something is plugged that carries the clock. */
final class ClockSteps implements SheetPart {
    /** Two that are joined both ways have one clock: where a computer is behind one of them, that one's. */
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        Set<Set<String>> told = new HashSet<>();
        rig.links().stream()
                .filter(link -> link.isOf(SignalKind.MIDI))
                .sorted(Comparator.comparing(link -> !isOfComputer(rig, beats(rig, link))))
                .filter(link -> told.add(Set.copyOf(link.devices())))
                .forEach(link -> add(rig, link, draft));
    }

    private static boolean isOfComputer(SheetRig rig, String id) {
        return rig.isHost(id) || rig.device(id).kind() == DeviceKind.MIDI;
    }

    /** The computer beats, where one is plugged to it; else what gives. */
    private static String beats(SheetRig rig, Link link) {
        List<String> devices = link.devices();
        return devices.stream()
                .filter(rig::isHost)
                .findFirst()
                .or(() -> devices.stream().filter(id -> gives(rig, link, id)).findFirst())
                .orElse(devices.get(0));
    }

    private static void add(SheetRig rig, Link link, SheetDraft draft) {
        List<String> devices = link.devices();
        String beats = beats(rig, link);
        devices.stream().filter(id -> !id.equals(beats)).forEach(follows -> {
            String id = "clock:" + beats + ">" + follows;
            draft.add(Step.of(
                            id,
                            Section.RECORDER,
                            Act.CHOOSE,
                            rig.name(beats) + " sets the tempo, " + rig.name(follows) + " follows its clock",
                            "Two that keep their own time drift apart; two that follow wait for each other.")
                    .with("Send clock, start and stop there; choose external clock here. "
                            + tempo(rig.sessionPlan().beatsPerMinute()))
                    .about(List.of(beats, follows)));
            for (String device : List.of(beats, follows)) {
                draft.order(
                        PowerSteps.poweredBy(rig, device),
                        id,
                        Order.Strength.NEED,
                        rig.name(device) + " must be on for it.");
            }
            draft.order(link.id(), id, Order.Strength.NEED, "The clock goes through this lead.");
            draft.order(id, Steps.does(Act.TEST_TAKE, Act.TAKE), Order.Strength.NEED, "What is out of step stays so.");
        });
    }

    private static boolean gives(SheetRig rig, Link link, String id) {
        return link.sockets().stream()
                .filter(spot -> spot.item().equals(id))
                .flatMap(spot -> rig.patch().socket(spot).stream())
                .map(Socket::way)
                .anyMatch(way -> way == Direction.OUT);
    }

    private static String tempo(OptionalDouble beats) {
        return "MIDI has " + Clocks.PULSES_OF_QUARTER + " pulses a quarter"
                + (beats.isPresent()
                        ? ": at " + Print.plain(beats.getAsDouble()) + " beats a minute one every "
                                + Print.decimal(1000 * Clocks.secondsOfPulse(beats.getAsDouble()), 1) + " ms."
                        : ".");
    }
}
