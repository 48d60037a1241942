package kalodyne.core.joint.rules;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;

/** A box that is owned, put between. */
final class BoxBetween {
    private BoxBetween() {}

    /** A box that is owned and free, put between. */
    static List<Cure> of(Trial trial, Ends ends) {
        Wiring free = trial.without();
        return trial.devices().stream()
                .filter(box -> box.kind() == DeviceKind.BOX || box.kind() == DeviceKind.PREAMP)
                .filter(box -> !box.id().equals(ends.from().item())
                        && !box.id().equals(ends.to().item()))
                .flatMap(box -> sockets(free, box, Direction.IN)
                        .flatMap(in ->
                                sockets(free, box, Direction.OUT).flatMap(out -> trial.between(ends, box, in, out))))
                .toList();
    }

    private static Stream<Spot> sockets(Wiring free, Device box, Direction way) {
        return box.sockets().stream()
                .filter(socket -> socket.way() == way && free.isFree(box, socket))
                .filter(socket -> socket.ties().parallelTo().isEmpty())
                .map(socket -> new Spot(box.id(), socket.id()));
    }
}
