package kalodyne.core.joint;

import kalodyne.core.gear.Carries;
import kalodyne.core.joint.circuit.Element.Drive;
import kalodyne.core.units.Gain;

/** Puts a winding or a divider of a box between the two sockets that it joins. */
final class PassageModel {
    private static final double LEAST_OHMS = 0.01;

    /** A winding alone draws at least this part of what its box is said to. */
    private static final double LEAST_SHARE = 0.01;

    private final Board board;
    private final Passage passage;
    private final SocketModel in;
    private final SocketModel out;
    private final Gain gain;
    private final Pair entry;
    private final Pair exit;

    /** Two nodes with a signal between them. */
    private record Pair(String plus, String minus) {
        static Pair of(SocketModel socket, Carries carries) {
            String plus = socket.node(carries).orElseThrow();
            socket.join(socket.nodes(carries), plus);
            return new Pair(
                    plus,
                    carries == Carries.HOT ? socket.node(Carries.COLD).orElseGet(socket::ground) : socket.common());
        }
    }

    PassageModel(Passage passage, SocketModel in, SocketModel out, Gain gain) {
        this.board = in.board();
        this.passage = passage;
        this.in = in;
        this.out = out;
        this.gain = gain;
        this.entry = Pair.of(in, passage.received());
        this.exit = Pair.of(out, passage.given());
    }

    /** What comes into the box. */
    InputSignal entry() {
        return new InputSignal(in.spot(), passage.received(), entry.plus(), entry.minus());
    }

    /** For signals. */
    void put() {
        if (passage.isWinding()) {
            transformer();
        } else {
            resistors();
        }
    }

    /** At rest windings pass nothing on; resistors do. */
    void putAtRest() {
        if (!passage.isWinding()) {
            resistors();
        }
    }

    /** An ideal transformer, with the resistance of its windings behind it and what it draws by itself before it. */
    private void transformer() {
        double ratio = gain.ratio();
        double series = Usual.sourceOhms(out.device(), out.socket());
        String wound = inside("winding");
        String led = inside("winding led out");
        board.follower(wound, exit.minus(), entry.plus(), entry.minus(), ratio);
        String current = board.voltage(wound, led, Drive.ofAc(0));
        board.resistor(led, exit.plus(), series);
        board.currentFollower(entry.plus(), entry.minus(), current, ratio);
        board.resistor(entry.plus(), entry.minus(), ownOhms(ratio, series));
        floating(in, passage.received(), entry);
        floating(out, passage.given(), exit);
    }

    /** What is said of a box's input holds with an ordinary input behind it; without, the winding draws less. */
    private double ownOhms(double ratio, double series) {
        double said = Usual.loadOhms(in.device(), in.socket());
        double reflected =
                (series + Usual.loadOhms(out.socket().signal())) / Math.max(ratio * ratio, Double.MIN_NORMAL);
        return 1 / Math.max(1 / said - 1 / reflected, LEAST_SHARE / said);
    }

    private static void floating(SocketModel socket, Carries carries, Pair pair) {
        if (carries == Carries.HOT) {
            socket.strayOf(pair.plus(), pair.minus());
        }
    }

    /** A T of resistors that shows both sides what the box is said to show; on both legs where both sides have two. */
    private void resistors() {
        double ratio = Math.min(1, gain.ratio());
        double load = Usual.loadOhms(in.device(), in.socket());
        double before = load * (1 - ratio);
        double across = load * ratio;
        double behind = Usual.sourceOhms(out.device(), out.socket()) - across * (1 - ratio);
        boolean isOnBothLegs = passage.received() == Carries.HOT && passage.given() == Carries.HOT;
        String middle = inside("divider");
        String under = isOnBothLegs ? inside("divider under") : entry.minus();
        resistor(entry.plus(), middle, isOnBothLegs ? before / 2 : before);
        resistor(middle, under, across);
        resistor(middle, exit.plus(), isOnBothLegs ? behind / 2 : behind);
        if (isOnBothLegs) {
            resistor(entry.minus(), under, before / 2);
        }
        if (!under.equals(exit.minus())) {
            resistor(under, exit.minus(), isOnBothLegs ? behind / 2 : LEAST_OHMS);
        }
    }

    private void resistor(String one, String other, double ohms) {
        board.resistor(one, other, Math.max(LEAST_OHMS, ohms));
    }

    private String inside(String what) {
        return board.node(passage.out().write() + " " + passage.given().word() + " inside " + what);
    }
}
