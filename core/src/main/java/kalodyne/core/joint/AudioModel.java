package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.circuit.Element.Drive;
import kalodyne.core.units.Capacitance;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Inductance;

/** Puts what a socket is for a signal into a circuit: sources with what is in series with them, loads with what is across them. */
final class AudioModel {
    private static final List<Carries> SINGLE = List.of(
            Carries.SIGNAL, Carries.LEFT, Carries.RIGHT, Carries.MIC, Carries.SEND, Carries.RETURN, Carries.POSITIVE);

    /** How far the two legs of a balanced output differ, of good parts: common practice. */
    private static final double LEGS_DIFFER = 1.01;

    /** What the sensitivity of microphones with plug-in power is told into: the resistor that feeds them, common practice. */
    private static final double RATED_OHMS = 2200;

    private final SocketModel socket;
    private final Board board;
    private final List<OutputSignal> soundings = new ArrayList<>();
    private final List<InputSignal> hearings = new ArrayList<>();

    AudioModel(SocketModel socket) {
        this.socket = socket;
        this.board = socket.board();
    }

    List<OutputSignal> soundings() {
        return soundings;
    }

    List<InputSignal> hearings() {
        return hearings;
    }

    /**
     * Puts it there.
     *
     * @param passed signals that a winding or resistors lead on to another socket
     */
    void put(Set<Carries> passed) {
        socket.tieGrounds();
        if (socket.node(Carries.HOT).isPresent() && !passed.contains(Carries.HOT)) {
            pair(socket.node(Carries.HOT).get());
        }
        for (Carries carries : SINGLE) {
            if (passed.contains(carries)) {
                continue;
            }
            socket.node(carries).ifPresent(node -> {
                socket.join(socket.nodes(carries), node);
                if (socket.gives(carries)) {
                    source(carries, node);
                } else {
                    load(carries, node);
                }
            });
        }
    }

    // --- balanced ----------------------------------------------------------------------------------------------

    private void pair(String hot) {
        String cold = socket.node(Carries.COLD).orElseGet(socket::ground);
        if (!socket.gives(Carries.HOT)) {
            balancedLoad(hot, cold);
        } else if (socket.isWinding()) {
            windingSource(hot, cold);
        } else {
            balancedSource(hot, cold);
        }
    }

    private void balancedLoad(String hot, String cold) {
        double ohms = Usual.loadOhms(socket.device(), socket.socket());
        if (Usual.isFloating(socket.socket())) {
            board.resistor(hot, cold, ohms);
            socket.strayOf(hot, cold);
        } else if (socket.has(Balance.ONE_AMPLIFIER)) {
            oneAmplifier(hot, cold, ohms);
        } else {
            // Of a mic input the maker tells what is between the legs, of a line input what one leg shows.
            double leg = socket.socket().signal() == SignalKind.MIC ? ohms / 2 : ohms;
            board.resistor(hot, socket.ground(), leg);
            board.resistor(cold, socket.ground(), leg);
        }
        loadFarads(hot, cold);
        hearings.add(new InputSignal(socket.spot(), Carries.HOT, hot, cold));
    }

    /**
     * A differential amplifier of one operational amplifier: its first leg is halved, and the second one ends where the amplifier holds it,
     * at that half. With nothing on the second leg half of the signal is taken away.
     */
    private void oneAmplifier(String hot, String cold, double ohms) {
        String half = inside("half");
        String held = inside("held");
        board.resistor(hot, half, ohms / 2);
        board.resistor(half, socket.ground(), ohms / 2);
        board.follower(held, socket.ground(), half, socket.ground(), 1);
        board.resistor(cold, held, ohms / 2);
    }

    private void windingSource(String hot, String cold) {
        String inside = inside("coil");
        String source = board.voltage(inside, cold, Drive.ofAc(0));
        board.resistor(inside, hot, Usual.sourceOhms(socket.device(), socket.socket()));
        socket.strayOf(hot, cold);
        soundings.add(new OutputSignal(socket.spot(), Carries.HOT, source, hot, cold));
    }

    private void balancedSource(String hot, String cold) {
        double leg = Usual.sourceOhms(socket.device(), socket.socket()) / 2;
        String signal = inside("signal");
        String source = board.voltage(signal, socket.ground(), Drive.ofAc(0));
        // Nothing hangs on the signal itself: what follows it gives the two legs.
        String plus = inside("plus");
        board.resistor(plus, hot, leg * LEGS_DIFFER);
        if (socket.has(Balance.IMPEDANCE_BALANCED)) {
            board.follower(plus, socket.ground(), signal, socket.ground(), 1);
            board.resistor(socket.ground(), cold, leg);
        } else {
            String minus = inside("minus");
            board.follower(plus, socket.ground(), signal, socket.ground(), 0.5);
            board.follower(minus, socket.ground(), signal, socket.ground(), -0.5);
            board.resistor(minus, cold, leg);
        }
        soundings.add(new OutputSignal(socket.spot(), Carries.HOT, source, hot, cold));
    }

    // --- single ------------------------------------------------------------------------------------------------

    private void source(Carries carries, String node) {
        Facts facts = socket.device().facts();
        String inside = inside(carries.word());
        String source = board.voltage(inside, socket.common(), Drive.ofAc(0));
        boolean isCoil = facts.get(Fact.COIL_INDUCTANCE).isPresent();
        if (isCoil) {
            coil(facts, inside, node);
        } else if (facts.get(Fact.OWN_CAPACITANCE).isPresent()) {
            board.capacitor(
                    inside, node, facts.quantity(Fact.OWN_CAPACITANCE).get().farads());
        } else {
            board.resistor(rated(carries, inside), node, Usual.sourceOhms(socket.device(), socket.socket()));
        }
        soundings.add(new OutputSignal(socket.spot(), carries, source, node, socket.common()));
    }

    /** A microphone with plug-in power is told by what it gives into the resistor that feeds it: open it gives more. */
    private String rated(Carries carries, String inside) {
        boolean isFed = socket.power(PowerKind.PLUG_IN, PowerRole.NEEDS).isPresent();
        if (!isFed) {
            return inside;
        }
        String open = inside(carries.word() + " open");
        double ohms = Usual.sourceOhms(socket.device(), socket.socket());
        board.follower(open, socket.common(), inside, socket.common(), 1 + ohms / RATED_OHMS);
        return open;
    }

    /** A pickup or cartridge: its coil, the capacitance of its windings, the pots of the instrument fully up. */
    private void coil(Facts facts, String inside, String node) {
        String between = inside("coil");
        board.resistor(
                inside,
                between,
                facts.quantity(Fact.COIL_RESISTANCE)
                        .map(Impedance::ohms)
                        .orElseGet(() -> Usual.sourceOhms(socket.device(), socket.socket())));
        board.inductor(
                between,
                node,
                facts.quantity(Fact.COIL_INDUCTANCE).map(Inductance::henries).orElseThrow());
        facts.quantity(Fact.OWN_CAPACITANCE).ifPresent(own -> board.capacitor(node, socket.common(), own.farads()));
        facts.quantity(Fact.VOLUME_POT).ifPresent(pot -> board.resistor(node, socket.common(), pot.ohms()));
        if (facts.get(Fact.TONE_POT).isPresent()
                && facts.get(Fact.TONE_CAPACITOR).isPresent()) {
            String tone = inside("tone");
            board.resistor(node, tone, facts.quantity(Fact.TONE_POT).get().ohms());
            board.capacitor(
                    tone,
                    socket.common(),
                    facts.quantity(Fact.TONE_CAPACITOR).get().farads());
        }
    }

    private void load(Carries carries, String node) {
        board.resistor(node, socket.common(), loadOhms(carries));
        if (carries != Carries.MIC) {
            loadFarads(node, socket.common());
        }
        hearings.add(new InputSignal(socket.spot(), carries, node, socket.common()));
    }

    /** Of a headset's socket the load counts for the microphone; what hears is a driver, or an input like others. */
    private double loadOhms(Carries carries) {
        boolean isDriverOfHeadset = carries != Carries.MIC
                && socket.power(PowerKind.PLUG_IN).isPresent()
                && socket.socket().way() == Direction.BOTH;
        if (isDriverOfHeadset) {
            return socket.device()
                    .facts()
                    .quantity(Fact.DRIVER_IMPEDANCE)
                    .map(Impedance::ohms)
                    .orElse(10_000.0);
        }
        return Usual.loadOhms(socket.device(), socket.socket());
    }

    private void loadFarads(String plus, String minus) {
        socket.socket()
                .facts()
                .quantity(Fact.LOAD_CAPACITANCE)
                .map(Capacitance::farads)
                .ifPresent(farads -> board.capacitor(plus, minus, farads));
    }

    private String inside(String what) {
        return board.node(socket.spot().write() + " inside " + what);
    }
}
