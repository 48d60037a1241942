package kalodyne.core.route;

import java.util.List;
import java.util.function.Predicate;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;

/**
 * A way into a device or out of it.
 *
 * @param device its mark; of a pair of loudspeakers that of the left one
 * @param sockets one, or two for left and right
 * @param shape what it has in common with others
 */
record Port(String device, List<Spot> sockets, Shape shape) {
    Port {
        sockets = List.copyOf(sockets);
    }

    static Port of(Device device, List<Socket> sockets, int channels) {
        return new Port(
                device.id(),
                sockets.stream()
                        .map(socket -> new Spot(device.id(), socket.id()))
                        .toList(),
                new Shape(
                        sockets.stream().map(Socket::connector).toList(),
                        sockets.stream().map(Socket::form).toList(),
                        sockets.get(0).signal(),
                        channels));
    }

    /** A port for each of some sockets of a device. */
    static List<Port> each(Device device, Predicate<Socket> which, int channels) {
        return device.sockets().stream()
                .filter(which)
                .map(socket -> of(device, List.of(socket), channels))
                .toList();
    }

    /** The marks of its sockets within the device. */
    List<String> parts() {
        return sockets.stream().map(Spot::part).toList();
    }
}
