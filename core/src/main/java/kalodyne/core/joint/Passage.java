package kalodyne.core.joint;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.units.Gain;

/**
 * A winding or a divider between two sockets of a box, without power: each side feels what is plugged into the other.
 *
 * @param in the socket that a signal comes into
 * @param received which of its signals
 * @param out the socket that it leaves by
 * @param given as which of its signals
 * @param stage the winding or the resistors
 */
record Passage(Spot in, Carries received, Spot out, Carries given, Stage stage) {
    /** In this order a signal without a side is looked for. */
    private static final List<Carries> UNSIDED = List.of(Carries.HOT, Carries.SIGNAL, Carries.MIC);

    /** All that a device has. Stages that are fed by other stages are amplified, and pass nothing back. */
    static List<Passage> of(String id, Device device) {
        return device.stages().stream()
                .filter(stage -> stage.kind() == StageKind.TRANSFORMER || stage.kind() == StageKind.RESISTORS)
                .flatMap(stage -> stage.from().stream().flatMap(from -> of(id, device, stage, from)))
                .toList();
    }

    private static Stream<Passage> of(String id, Device device, Stage stage, String from) {
        Optional<Socket> in = device.socket(Stage.fedBy(from));
        Optional<String> side = Stage.sideOf(from);
        Optional<Carries> received = in.filter(socket -> socket.way() != Direction.OUT)
                .flatMap(socket -> side.isPresent()
                        ? Stream.of(Carries.values())
                                .filter(each -> each.word().equals(side.get()))
                                .findFirst()
                        : unsided(socket));
        return received.isEmpty()
                ? Stream.empty()
                : device.sockets().stream()
                        .filter(socket ->
                                socket.way() != Direction.IN && socket.from().contains(stage.id()))
                        .flatMap(socket -> given(socket, stage).stream()
                                .map(given -> new Passage(
                                        new Spot(id, in.get().id()),
                                        received.get(),
                                        new Spot(id, socket.id()),
                                        given,
                                        stage)));
    }

    private static Optional<Carries> given(Socket socket, Stage stage) {
        return stage.side()
                .filter(side -> socket.contacts().containsValue(side))
                .or(() -> unsided(socket));
    }

    private static Optional<Carries> unsided(Socket socket) {
        return UNSIDED.stream().filter(socket.contacts()::containsValue).findFirst();
    }

    boolean isWinding() {
        return stage.kind() == StageKind.TRANSFORMER;
    }

    /** From its input to its output with nothing plugged there, with its switches as they stand. */
    Gain gain(Patch patch) {
        Gain fixed = stage.facts().quantity(Fact.STAGE_GAIN).orElse(Gain.NONE);
        Gain switched = patch.devices().get(in.item()).controls().stream()
                .filter(control -> stage.controls().contains(control.id()))
                .flatMap(control -> patch.switchedGain(in.item(), control).stream())
                .reduce(Gain.NONE, Gain::plus);
        return fixed.plus(switched);
    }
}
