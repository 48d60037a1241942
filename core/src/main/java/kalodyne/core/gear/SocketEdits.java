package kalodyne.core.gear;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.units.UnreadableQuantity;

/** Changes which sockets a device has, with all that points at them. */
public final class SocketEdits {
    private static final int LONGEST_STEM = 50;

    private static final int MOST_SOCKETS = 200;

    private SocketEdits() {}

    /** The device with a socket that stands in for the one of the same mark. */
    public static Device changed(Device device, Socket socket) {
        return rewritten(
                device.withSockets(replaced(device.sockets(), socket)),
                from -> Stream.of(isSideOf(socket, from) && !carriesSide(socket, from) ? socket.id() : from));
    }

    /**
     * The device with one more socket like one it has, fed by the same, feeding the same.
     *
     * @throws UnreadableQuantity where it has as many as it may have
     */
    public static Device another(Device device, Socket like) {
        if (device.sockets().size() >= MOST_SOCKETS) {
            throw new UnreadableQuantity(
                    "A device has " + MOST_SOCKETS + " sockets at most.", "Describe the rest as another device.");
        }
        String id = freeMark(device, like.id());
        Socket more = like.named(id, freeName(device, like.name())).withTies(Socket.Ties.NONE);
        List<Socket> sockets = new ArrayList<>(device.sockets());
        sockets.add(place(sockets, like.id()) + 1, more);
        return rewritten(
                device.withSockets(sockets),
                from -> isOf(like.id(), from)
                        ? Stream.of(from, id + from.substring(like.id().length()))
                        : Stream.of(from));
    }

    /** The device without a socket; what heard it, hears nothing in its stead. */
    public static Device without(Device device, String socketId) {
        List<Stage> stages = stages(device, from -> isOf(socketId, from) ? Stream.empty() : Stream.of(from));
        List<Socket> sockets = device.sockets().stream()
                .filter(socket -> !socket.id().equals(socketId))
                .map(socket -> socket.withTies(socket.ties().without(socketId)))
                .toList();
        return device.withSockets(sockets, stages);
    }

    private static List<Socket> replaced(List<Socket> sockets, Socket by) {
        return sockets.stream()
                .map(socket -> socket.id().equals(by.id()) ? by : socket)
                .toList();
    }

    private static Device rewritten(Device device, Function<String, Stream<String>> from) {
        return device.withStages(stages(device, from));
    }

    private static List<Stage> stages(Device device, Function<String, Stream<String>> from) {
        return device.stages().stream()
                .map(stage -> stage.withFrom(
                        stage.from().stream().flatMap(from).distinct().toList()))
                .toList();
    }

    /** Whether a stage's reference is to this socket or to a side of it. */
    private static boolean isOf(String socketId, String reference) {
        return reference.equals(socketId) || reference.startsWith(socketId + ":");
    }

    private static boolean isSideOf(Socket socket, String reference) {
        return reference.startsWith(socket.id() + ":");
    }

    private static boolean carriesSide(Socket socket, String reference) {
        String side = reference.substring(socket.id().length() + 1);
        return socket.contacts().values().stream()
                .anyMatch(carries -> carries.word().equals(side));
    }

    private static int place(List<Socket> sockets, String id) {
        for (int i = 0; i < sockets.size(); i++) {
            if (sockets.get(i).id().equals(id)) {
                return i;
            }
        }
        throw new IllegalArgumentException("there is no socket “" + id + "”");
    }

    /** "in-1" gives "in-2", "out" gives "out-2", or the next number that is free. */
    private static String freeMark(Device device, String like) {
        Set<String> taken = Stream.concat(
                        device.sockets().stream().map(Socket::id),
                        device.stages().stream().map(Stage::id))
                .collect(Collectors.toSet());
        return free(like.replaceFirst("-\\d+$", ""), "-", taken);
    }

    private static String freeName(Device device, String like) {
        Set<String> taken = device.sockets().stream().map(Socket::name).collect(Collectors.toSet());
        return free(like.replaceFirst(" \\d+$", ""), " ", taken);
    }

    private static String free(String stem, String joint, Set<String> taken) {
        // Short enough for the number behind it.
        String begun = stem.length() > LONGEST_STEM ? stem.substring(0, LONGEST_STEM) : stem;
        int number = 2;
        while (taken.contains(begun + joint + number)) {
            number++;
        }
        return begun + joint + number;
    }
}
