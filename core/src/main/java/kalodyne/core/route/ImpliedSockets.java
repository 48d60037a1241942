package kalodyne.core.route;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Mating;

/**
 * The two sockets that most people would look for first when somebody says "record this with that": what the plugs say, and nothing
 * else.
 *
 * @param out of the one
 * @param in of the other
 */
public record ImpliedSockets(Socket out, Socket in) {
    /** Of two devices; empty where one has no socket for that. */
    public static Optional<ImpliedSockets> of(Device from, Device to) {
        List<Socket> ins = sockets(to, Direction.OUT).toList();
        // What is printed first is tried first; plugs of one shape before that.
        return sockets(from, Direction.IN)
                .flatMap(out -> ins.stream().map(in -> new ImpliedSockets(out, in)))
                .min(Comparator.comparingInt(ImpliedSockets::unlikeness));
    }

    private static Stream<Socket> sockets(Device device, Direction except) {
        return device.sockets().stream().filter(socket -> socket.way() != except);
    }

    /** Sound before data; the same plug, then one that goes in, before one that does not. */
    private int unlikeness() {
        boolean isSound = out.signal().isSound() && in.signal().isSound();
        boolean isSame = out.connector() == in.connector();
        boolean goesIn = !Mating.of(out.connector(), in.connector()).isEmpty();
        int plugs = goesIn ? 1 : 2;
        return (isSound ? 0 : 10) + (isSame ? 0 : plugs);
    }
}
