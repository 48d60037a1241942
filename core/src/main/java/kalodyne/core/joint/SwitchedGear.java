package kalodyne.core.joint;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;

/**
 * A device as its switches stand: what a socket is can hang on them. An instrument switch at "line" makes a line input of an
 * instrument's, a turntable at "phono" gives what its cartridge gives. Of switches of which nobody said how they stand nothing is
 * taken: a socket then is what is printed beside it.
 */
public final class SwitchedGear {
    private final String id;
    private final Device device;
    private final List<Switched> switched;

    private SwitchedGear(String id, Device device, List<Switched> switched) {
        this.id = id;
        this.device = device;
        this.switched = switched;
    }

    static Device of(String id, Device device, List<Switched> switched) {
        SwitchedGear gear = new SwitchedGear(id, device, switched);
        List<Socket> sockets = device.sockets().stream().map(gear::asSwitched).toList();
        return sockets.equals(device.sockets()) ? device : device.withSockets(sockets);
    }

    /** The switch of a device that makes a socket something else than is printed beside it. */
    public static Stream<DeviceControl> choosing(Device device, Socket socket) {
        return device.controls().stream()
                .filter(control -> socket.states().stream()
                                .anyMatch(state -> state.control().equals(control.id()))
                        || siblings(device, socket, control).findAny().isPresent());
    }

    /** The switch of a device that can make an input one of another kind; empty where it is of that kind, or none can. */
    public static Optional<DeviceControl> towards(Device device, Socket input, SignalKind kind) {
        return input.signal() == kind
                ? Optional.empty()
                : device.controls().stream()
                        .filter(control -> control.kind() == ControlKind.INPUT_SELECT
                                && control.positions().contains(kind.word())
                                && isActingOn(device, control, input))
                        .findFirst();
    }

    private Socket asSwitched(Socket socket) {
        Optional<Socket> told = socket.states().stream()
                .filter(state -> at(state.control()).filter(state.at()::equals).isPresent())
                .findFirst()
                .map(state -> state.of(socket));
        return told.or(() -> choosing(device, socket)
                        .flatMap(control -> at(control.id()).stream()
                                .filter(at -> !at.equals(socket.signal().word()))
                                .flatMap(at -> siblings(device, socket, control)
                                        .filter(other -> other.signal().word().equals(at))))
                        .findFirst()
                        .map(other -> socket.with()
                                .signal(other.signal())
                                .facts(socket.facts().overlaid(other.facts()))
                                .build()))
                .orElse(socket);
    }

    /** Inputs of another kind in the same hole, between which a switch chooses by the names of their kinds. */
    private static Stream<Socket> siblings(Device device, Socket socket, DeviceControl control) {
        boolean isNamed = control.kind() == ControlKind.INPUT_SELECT
                && control.positions().contains(socket.signal().word());
        return isNamed
                ? device.sockets().stream()
                        .filter(socket::isSameHole)
                        .filter(other -> other.signal() != socket.signal()
                                && control.positions().contains(other.signal().word()))
                        .filter(other -> isActingOn(device, control, other))
                : Stream.empty();
    }

    private static boolean isActingOn(Device device, DeviceControl control, Socket socket) {
        return device.stages().stream()
                .filter(stage -> stage.controls().contains(control.id()))
                .flatMap(stage -> stage.from().stream())
                .anyMatch(from -> Stage.fedBy(from).equals(socket.id()));
    }

    private Optional<String> at(String control) {
        return Switched.standing(switched, new Spot(id, control));
    }
}
