package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.SocketPower;

/**
 * A socket of a device while its circuit is built: its nodes by what they carry, and which of them give and which receive. A
 * headset's socket does both, and so does the phone's socket that it goes into.
 */
final class SocketModel {
    /** Between a contact and the device's own ground. */
    private static final double CONTACT_OHMS = 0.01;

    /** What a winding that is tied to nothing has against the ground, as common practice. */
    private static final double STRAY_OHMS = 10e6;

    private static final double STRAY_FARADS = 100e-12;

    private final Board board;
    private final Spot spot;
    private final Patch patch;
    private final Device device;
    private final Socket socket;

    SocketModel(Board board, Spot spot, Patch patch) {
        this.board = board;
        this.spot = spot;
        this.patch = patch;
        this.device = patch.devices().get(spot.item());
        this.socket = patch.socket(spot).orElseThrow();
    }

    Board board() {
        return board;
    }

    Spot spot() {
        return spot;
    }

    Device device() {
        return device;
    }

    Socket socket() {
        return socket;
    }

    /** The first node that carries something. */
    Optional<String> node(Carries carries) {
        return nodes(carries).stream().findFirst();
    }

    List<String> nodes(Carries carries) {
        List<String> nodes = new ArrayList<>();
        for (Contact contact : socket.connector().contacts()) {
            if (socket.contacts().get(contact) == carries) {
                nodes.add(board.node(spot, contact));
            }
        }
        return nodes;
    }

    /** The device's own ground, common to all its sockets. */
    String ground() {
        return board.node(spot.item() + " ground");
    }

    /** What single signals are told against: the ground, or the far end of a winding. */
    String common() {
        boolean isWinding = Usual.isFloating(socket) && node(Carries.HOT).isEmpty();
        return isWinding ? board.node(spot.write() + " winding") : ground();
    }

    /** Ties the contacts that carry no signal to where they belong. */
    void tieGrounds() {
        if (!common().equals(ground())) {
            stray(common());
        }
        for (Carries carries :
                List.of(Carries.COMMON, Carries.SHIELD, Carries.NEGATIVE, Carries.GROUND, Carries.EARTH)) {
            // Shields lie on the case; what currents come back by hangs with what they came from.
            boolean isReturn = carries == Carries.COMMON || carries == Carries.NEGATIVE || carries == Carries.GROUND;
            String to = isReturn ? common() : ground();
            boolean isCut = carries == Carries.SHIELD && isLifted();
            nodes(carries).forEach(node -> {
                if (isCut) {
                    stray(node);
                } else {
                    board.resistor(node, to, CONTACT_OHMS);
                }
            });
        }
    }

    /** A ground lift cuts the shield of what leaves the device. */
    private boolean isLifted() {
        return socket.way() == Direction.OUT
                && device.controls().stream()
                        .filter(control -> control.kind() == ControlKind.GROUND_LIFT)
                        .flatMap(control -> patch.position(spot.item(), control).stream())
                        .anyMatch(position -> position > 0);
    }

    void stray(String node) {
        board.resistor(node, ground(), STRAY_OHMS);
        board.capacitor(node, ground(), STRAY_FARADS);
    }

    /** What a winding between two contacts has against the ground, both its ends alike. */
    void strayOf(String one, String other) {
        List.of(one, other).forEach(node -> {
            board.resistor(node, ground(), 2 * STRAY_OHMS);
            board.capacitor(node, ground(), STRAY_FARADS / 2);
        });
    }

    /** Joins the contacts that carry the same. */
    void join(List<String> nodes, String to) {
        nodes.stream().filter(node -> !node.equals(to)).forEach(node -> board.resistor(node, to, CONTACT_OHMS));
    }

    // --- which way ---------------------------------------------------------------------------------------------

    /** Whether what a contact carries comes out of this socket. */
    boolean gives(Carries carries) {
        return switch (socket.way()) {
            case OUT -> carries != Carries.RETURN;
            case IN -> carries == Carries.SEND;
            case BOTH ->
                socket.isHost()
                        ? carries != Carries.MIC && carries != Carries.RETURN
                        : carries == Carries.MIC || carries == Carries.SEND;
        };
    }

    Optional<SocketPower> power(PowerKind kind) {
        return socket.power().stream().filter(each -> each.kind() == kind).findFirst();
    }

    Optional<SocketPower> power(PowerKind kind, PowerRole role) {
        return power(kind).filter(each -> each.role() == role);
    }

    /** What is fed here, unless it is known to be switched off. */
    Optional<SocketPower> fed(PowerKind kind) {
        return power(kind, PowerRole.GIVES).filter(each -> !patch.isOff(spot, each));
    }

    boolean has(Balance balance) {
        return socket.balance().filter(balance::equals).isPresent();
    }

    /** A coil or ribbon between two contacts, tied to nothing else. */
    boolean isWinding() {
        boolean isPassiveMicrophone = socket.signal() == SignalKind.MIC
                && device.kind() == DeviceKind.MICROPHONE
                && device.powering().isEmpty()
                && power(PowerKind.PHANTOM, PowerRole.NEEDS).isEmpty()
                && power(PowerKind.PLUG_IN, PowerRole.NEEDS).isEmpty();
        return Usual.isFloating(socket) || isPassiveMicrophone;
    }
}
