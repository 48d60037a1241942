package kalodyne.core.joint;

import java.util.List;
import java.util.Set;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SocketPower;
import kalodyne.core.joint.circuit.Element.Drive;
import kalodyne.core.units.Current;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Voltage;

/**
 * Puts what a socket is at rest into a circuit: the direct voltages that it feeds to microphones, and what such voltages find
 * at the other end. Everything that can be switched on is on, unless it is known to be off. Inputs keep direct voltages out, and so
 * do outputs of which it is told that a capacitor is in series; other outputs have nothing between their amplifier and the contact.
 */
final class DcModel {
    /** Common practice for small microphone inputs and headset sockets. */
    private static final double PLUG_IN_VOLTS = 2.5;

    private static final double PLUG_IN_OHMS = 2200;
    private static final double MICROPHONE_AMPERES = 3e-3;
    private static final double ELECTRET_AMPERES = 0.3e-3;
    private static final double ELECTRET_VOLTS = 2;

    /** A current loop of MIDI 1.0: 5 V through 220 Ω on each side; the receiver's lamp takes 1.3 V. */
    private static final double MIDI_VOLTS = 5;

    private static final double MIDI_OHMS = 220;
    private static final double MIDI_LAMP_VOLTS = 1.3;

    /** USB 2.0: 5 V; what a port has in series, as common practice. */
    private static final double BUS_VOLTS = 5;

    private static final double BUS_OHMS = 0.1;

    private static final double CLOSED = 1e9;

    private final SocketModel socket;
    private final Board board;

    DcModel(SocketModel socket) {
        this.socket = socket;
        this.board = socket.board();
    }

    /**
     * Puts it there.
     *
     * @param passed signals whose contacts resistors lead on to another socket
     */
    void put(Set<Carries> passed) {
        socket.tieGrounds();
        socket.fed(PowerKind.PHANTOM).ifPresent(this::phantom);
        socket.fed(PowerKind.PLUG_IN).ifPresent(this::plugIn);
        socket.power(PowerKind.BUS).ifPresent(this::bus);
        midi();
        for (Carries carries : List.of(
                Carries.HOT,
                Carries.COLD,
                Carries.SIGNAL,
                Carries.LEFT,
                Carries.RIGHT,
                Carries.MIC,
                Carries.SEND,
                Carries.RETURN,
                Carries.POSITIVE)) {
            socket.node(carries).ifPresent(node -> {
                socket.join(socket.nodes(carries), node);
                board.resistor(node, socket.common(), CLOSED);
            });
        }
        boolean isCoupled = socket.socket().facts().get(Fact.COUPLING_CAPACITOR).isPresent();
        if (socket.gives(Carries.HOT) && !isCoupled && !passed.contains(Carries.HOT)) {
            socket.node(Carries.HOT).ifPresent(this::pair);
        }
        for (Carries carries :
                List.of(Carries.SIGNAL, Carries.LEFT, Carries.RIGHT, Carries.MIC, Carries.SEND, Carries.POSITIVE)) {
            if (passed.contains(carries)) {
                continue;
            }
            if (socket.gives(carries)) {
                if (!isCoupled) {
                    socket.node(carries).ifPresent(this::single);
                }
            } else if (isDriver(carries)) {
                socket.node(carries)
                        .ifPresent(node -> board.resistor(
                                node, socket.common(), Usual.loadOhms(socket.device(), socket.socket())));
            }
        }
    }

    /** Coils of headphones and loudspeakers let direct current through. */
    private boolean isDriver(Carries carries) {
        return socket.device().facts().get(Fact.DRIVER_IMPEDANCE).isPresent() && carries != Carries.MIC;
    }

    // --- what feeds --------------------------------------------------------------------------------------------

    private void phantom(SocketPower power) {
        double volts = volts(power, Phantom.VOLTS);
        double ohms = ohms(power, Phantom.OHMS);
        String supply = board.node(socket.spot().write() + " phantom");
        board.voltage(supply, socket.ground(), Drive.ofDc(volts));
        List.of(Carries.HOT, Carries.COLD)
                .forEach(carries -> socket.node(carries).ifPresent(node -> board.resistor(supply, node, ohms)));
    }

    private void plugIn(SocketPower power) {
        String supply = board.node(socket.spot().write() + " plug in");
        board.voltage(supply, socket.ground(), Drive.ofDc(volts(power, PLUG_IN_VOLTS)));
        List<Carries> fed = socket.node(Carries.MIC).isPresent()
                ? List.of(Carries.MIC)
                : List.of(Carries.SIGNAL, Carries.LEFT, Carries.RIGHT);
        fed.forEach(carries ->
                socket.node(carries).ifPresent(node -> board.resistor(supply, node, ohms(power, PLUG_IN_OHMS))));
    }

    /** A port of a computer; what hangs on it draws nothing yet. */
    private void bus(SocketPower power) {
        socket.node(Carries.POWER).ifPresent(node -> {
            if (power.role() == PowerRole.GIVES) {
                String supply = board.node(socket.spot().write() + " bus power");
                board.voltage(supply, socket.common(), Drive.ofDc(volts(power, BUS_VOLTS)));
                board.resistor(supply, node, BUS_OHMS);
            } else {
                board.resistor(node, socket.common(), CLOSED);
            }
        });
    }

    /** What a device draws of the bus, the same whatever is left of the voltage, once all is plugged and something feeds it. */
    void draw() {
        socket.power(PowerKind.BUS, PowerRole.NEEDS)
                .flatMap(power -> power.facts().quantity(Fact.SUPPLY_CURRENT))
                .ifPresent(needed -> socket.node(Carries.POWER)
                        .filter(board::isFed)
                        .ifPresent(node -> board.current(node, socket.common(), Drive.ofDc(needed.amperes()))));
    }

    private static double volts(SocketPower power, double otherwise) {
        return power.facts().quantity(Fact.SUPPLY_VOLTAGE).map(Voltage::volts).orElse(otherwise);
    }

    private static double ohms(SocketPower power, double otherwise) {
        return power.facts()
                .quantity(Fact.SUPPLY_RESISTANCE)
                .map(Impedance::ohms)
                .orElse(otherwise);
    }

    // --- what is fed -------------------------------------------------------------------------------------------

    private void pair(String hot) {
        String cold = socket.node(Carries.COLD).orElseGet(socket::ground);
        double source = Usual.sourceOhms(socket.device(), socket.socket());
        var needed = socket.power(PowerKind.PHANTOM, PowerRole.NEEDS);
        if (needed.isPresent()) {
            double leg = phantomLeg(needed.get().facts());
            board.resistor(hot, socket.ground(), leg);
            board.resistor(cold, socket.ground(), leg);
        } else if (socket.isWinding()) {
            board.resistor(hot, cold, source);
        } else {
            board.resistor(hot, socket.ground(), source / 2);
            board.resistor(cold, socket.ground(), source / 2);
        }
    }

    /** The resistance of each leg that draws what the microphone needs where 48 V are fed as the standard says. */
    private static double phantomLeg(Facts facts) {
        double amperes =
                facts.quantity(Fact.SUPPLY_CURRENT).map(Current::amperes).orElse(MICROPHONE_AMPERES) / 2;
        return Math.max(1, Phantom.VOLTS / amperes - Phantom.OHMS);
    }

    private void single(String node) {
        Facts facts = socket.device().facts();
        var electret = socket.power(PowerKind.PLUG_IN, PowerRole.NEEDS);
        boolean isPiezo = facts.get(Fact.OWN_CAPACITANCE).isPresent()
                && facts.get(Fact.COIL_INDUCTANCE).isEmpty();
        if (electret.isPresent()) {
            Facts needs = electret.get().facts();
            double volts =
                    needs.quantity(Fact.SUPPLY_VOLTAGE).map(Voltage::volts).orElse(ELECTRET_VOLTS);
            double amperes =
                    needs.quantity(Fact.SUPPLY_CURRENT).map(Current::amperes).orElse(ELECTRET_AMPERES);
            board.resistor(node, socket.common(), volts / amperes);
        } else if (!isPiezo) {
            board.resistor(node, socket.common(), Usual.sourceOhms(socket.device(), socket.socket()));
        }
    }

    private void midi() {
        var source = socket.node(Carries.MIDI_SOURCE);
        var sink = socket.node(Carries.MIDI_SINK);
        if (source.isEmpty() || sink.isEmpty()) {
            return;
        }
        if (socket.gives(Carries.MIDI_SOURCE)) {
            String supply = board.node(socket.spot().write() + " MIDI");
            board.voltage(supply, socket.ground(), Drive.ofDc(MIDI_VOLTS));
            board.resistor(supply, source.get(), MIDI_OHMS);
            board.resistor(sink.get(), socket.ground(), MIDI_OHMS);
        } else {
            String lamp = board.node(socket.spot().write() + " lamp");
            board.resistor(source.get(), lamp, MIDI_OHMS);
            board.voltage(lamp, sink.get(), Drive.ofDc(MIDI_LAMP_VOLTS));
        }
    }
}
