package kalodyne.core.route;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.ChannelPair;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;

/** The ways into a device and out of it, single sockets and pairs for left and right. */
final class Ports {
    private static final Set<SignalKind> AUDIO = EnumSet.of(
            SignalKind.MIC,
            SignalKind.INSTRUMENT,
            SignalKind.LINE,
            SignalKind.PHONO,
            SignalKind.HEADPHONE,
            SignalKind.HEADSET);
    private final Device device;
    private final Inside inside;
    private final List<Port> outlets;
    private final List<Port> inlets;
    private final Optional<Port> dataOut;
    private final List<Port> dataIns;

    Ports(Device device) {
        this.device = device;
        this.inside = new Inside(device);
        this.outlets = ports(device.sockets().stream().filter(this::gives).toList(), true);
        this.inlets = ports(device.sockets().stream().filter(this::takes).toList(), false);
        this.dataOut = findDataOut();
        this.dataIns = findDataIns();
    }

    Inside inside() {
        return inside;
    }

    // --- signals -----------------------------------------------------------------------------------------------

    /** Where signals come out; pairs first. */
    List<Port> outlets() {
        return outlets;
    }

    /** How many different signals it gives: on the headphones of what has a mono output both sides are the same. */
    int sides() {
        List<Port> others = outlets.stream()
                .filter(port -> port.shape().signal() != SignalKind.HEADPHONE)
                .toList();
        return (others.isEmpty() ? outlets : others)
                .stream().mapToInt(port -> port.shape().channels()).max().orElse(1);
    }

    /** Whether something comes out for headphones only, and the same elsewhere at line level. */
    boolean isHeadphonesBesideLines(Port out) {
        return out.shape().signal() == SignalKind.HEADPHONE
                && outlets.stream().anyMatch(other -> other.shape().signal() == SignalKind.LINE);
    }

    /** Where signals go in; pairs first. */
    List<Port> inlets() {
        return inlets;
    }

    private boolean gives(Socket socket) {
        return isAudio(socket)
                && (socket.way() == Direction.OUT
                        || (socket.way() == Direction.BOTH && !isHost(socket) && isHeadset(socket)));
    }

    private boolean takes(Socket socket) {
        return isAudio(socket)
                && device.kind() != DeviceKind.HEADPHONES
                && (socket.way() == Direction.IN || (socket.way() == Direction.BOTH && isHost(socket)));
    }

    private static boolean isAudio(Socket socket) {
        return AUDIO.contains(socket.signal());
    }

    private static boolean isHeadset(Socket socket) {
        return socket.signal() == SignalKind.HEADSET;
    }

    /** The phone's side of a headset's plug. */
    private static boolean isHost(Socket socket) {
        return socket.has(PowerKind.PLUG_IN, PowerRole.GIVES);
    }

    private List<Port> ports(List<Socket> sockets, boolean isOut) {
        List<Port> ports = new ArrayList<>();
        for (int i = 0; i < sockets.size(); i++) {
            Socket left = sockets.get(i);
            if (channels(left) == 1) {
                sockets.subList(i + 1, sockets.size()).stream()
                        .filter(right -> isPair(left, right, isOut))
                        .findFirst()
                        .ifPresent(right -> ports.add(Port.of(device, List.of(left, right), 2)));
            }
        }
        sockets.forEach(socket -> ports.add(Port.of(device, List.of(socket), channels(socket))));
        return ports;
    }

    private int channels(Socket socket) {
        boolean hasBoth = socket.contacts().containsValue(Carries.LEFT)
                && socket.contacts().containsValue(Carries.RIGHT);
        return hasBoth && !isHeadset(socket) ? 2 : 1;
    }

    /** Named left and right; of inputs also any two of a kind that are holes of their own. */
    private boolean isPair(Socket left, Socket right, boolean isOut) {
        boolean isAlike = left.connector() == right.connector()
                && left.signal() == right.signal()
                && channels(right) == 1
                && !left.isSameHole(right);
        Optional<String> base = base(left.id(), "left");
        boolean isNamed = base.isPresent() && base.equals(base(right.id(), "right"));
        boolean isNumbered = base.isEmpty()
                && base(right.id(), "right").isEmpty()
                && (!isOut || device.kind() == DeviceKind.INTERFACE);
        return isAlike && (isNamed || isNumbered);
    }

    /** "out" of "out-left", or "out" of "out-left-xlr". */
    private static Optional<String> base(String id, String side) {
        int at = id.indexOf("-" + side);
        return at < 0 ? Optional.empty() : Optional.of(id.substring(0, at) + id.substring(at + 1 + side.length()));
    }

    // --- data --------------------------------------------------------------------------------------------------

    private Stream<Socket> data() {
        return device.sockets().stream().filter(Socket::carriesData);
    }

    /** Where recorded channels leave as data. */
    Optional<Port> dataOut() {
        return dataOut;
    }

    private Optional<Port> findDataOut() {
        if (isHub()) {
            return device.upstream().map(socket -> Port.of(device, List.of(socket), 2));
        }
        return data().filter(
                        socket -> !isComputer() && recorded(socket).findAny().isPresent())
                .findFirst()
                .map(socket -> Port.of(device, List.of(socket), 2));
    }

    /** Where recorded channels come in as data: every port of a computer, the near side of a hub. */
    List<Port> dataIns() {
        return dataIns;
    }

    private List<Port> findDataIns() {
        if (isHub()) {
            return data().filter(socket -> !device.isUpstream(socket) && !needsPower(socket))
                    .map(socket -> Port.of(device, List.of(socket), 2))
                    .toList();
        }
        return isComputer()
                ? data().map(socket -> Port.of(device, List.of(socket), 2)).toList()
                : List.of();
    }

    /** Where a hub or adapter is fed: sockets that need power and lead to no computer. */
    List<Port> feeds() {
        return isHub()
                ? device.sockets().stream()
                        .filter(socket -> socket.signal() == SignalKind.DIGITAL && needsPower(socket))
                        .filter(socket -> !device.isUpstream(socket))
                        .map(socket -> Port.of(device, List.of(socket), 1))
                        .toList()
                : List.of();
    }

    /** Where a charger or power bank gives what it has. */
    List<Port> supplies() {
        return device.kind() == DeviceKind.HUB && !isHub()
                ? data().filter(socket -> givesPower(socket))
                        .map(socket -> Port.of(device, List.of(socket), 1))
                        .toList()
                : List.of();
    }

    private static boolean needsPower(Socket socket) {
        return socket.has(PowerKind.BUS, PowerRole.NEEDS);
    }

    private static boolean givesPower(Socket socket) {
        return socket.has(PowerKind.BUS, PowerRole.GIVES);
    }

    private boolean isComputer() {
        return device.kind().isHost();
    }

    private boolean isHub() {
        return device.kind() == DeviceKind.HUB
                && data().count() > 1
                && device.upstream().isPresent();
    }

    /** Channels that are recorded, as the socket lists them; notes and clock are none. */
    static Stream<ChannelPair> recorded(Socket socket) {
        return socket.channels().stream()
                .filter(pair -> pair.way() == Direction.OUT
                        && isAsciiDigit(pair.channels().charAt(0)));
    }

    private static boolean isAsciiDigit(char letter) {
        return letter >= '0' && letter <= '9';
    }

    /** Whether something that comes in is recorded or sent on as data here. */
    boolean converts(Port in) {
        return inside.tracks(in) > 0;
    }
}
