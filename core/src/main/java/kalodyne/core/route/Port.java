package kalodyne.core.route;

import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;

/**
 * A way into a device or out of it.
 *
 * @param device its mark
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

    /** The marks of its sockets within the device. */
    List<String> parts() {
        return sockets.stream().map(Spot::part).toList();
    }
}
