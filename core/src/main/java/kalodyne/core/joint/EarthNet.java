package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Earthing.Kind;
import kalodyne.core.joint.circuit.Circuit;
import kalodyne.core.joint.circuit.Complex;
import kalodyne.core.joint.circuit.Element.Drive;
import kalodyne.core.joint.circuit.Network;
import kalodyne.core.joint.circuit.Solution;
import kalodyne.core.joint.circuit.UnsolvableCircuit;
import kalodyne.core.units.Level;

/**
 * The one earth of a whole rig: the grounds of its devices, joined by the mains and by every shield and USB lead between them. What is
 * driven through a joint's shield hangs on all the others: a computer, an interface on its bus and earthed speakers are a loop,
 * though each lead by itself is none.
 */
public final class EarthNet {
    /** Mains voltage behind what an adapter leaks: half of it, common practice. */
    private static final double LEAK_VOLTS = 115;

    /** Adapters leak from so much less to so much more than is usual; common practice. */
    private static final double LEAST_LEAK = 0.3;

    private static final double MOST_LEAK = 5;

    /** Less than this joins nothing: it is what windings and inputs have against each other. */
    private static final double LEAST_SIEMENS = 1e-3;

    private final Map<String, Device> devices;
    private final List<JointReading> readings;
    private final Mains mains;
    private final List<Source> sources = new ArrayList<>();

    /** What one device's outlet or adapter does: the voltage on each ground, of 1 V behind it. */
    private record Source(Kind kind, Map<String, Complex> volts) {}

    private EarthNet(Map<String, Device> devices, List<JointReading> readings, Mains mains) {
        this.devices = devices;
        this.readings = readings;
        this.mains = mains;
    }

    /**
     * Solves it.
     *
     * @param devices all that are plugged, by their marks
     * @param readings of all joints between them
     */
    public static EarthNet of(Map<String, Device> devices, List<JointReading> readings, Mains mains) {
        EarthNet net = new EarthNet(devices, readings, mains);
        try {
            net.solve();
        } catch (UnsolvableCircuit e) {
            // Resistors and capacitors to an earth always have a solution.
            throw new IllegalStateException(e);
        }
        return net;
    }

    /** Each part that hangs together through leads by itself: what is driven in one does nothing in the others. */
    private void solve() throws UnsolvableCircuit {
        Map<String, Set<String>> parts = new LinkedHashMap<>();
        for (JointReading reading : readings) {
            Set<String> part = new LinkedHashSet<>();
            reading.earth().devices().forEach(id -> part.addAll(parts.getOrDefault(id, Set.of(id))));
            part.forEach(id -> parts.put(id, part));
        }
        for (Set<String> part : new LinkedHashSet<>(parts.values())) {
            solve(part);
        }
    }

    private void solve(Set<String> part) throws UnsolvableCircuit {
        Board board = new Board();
        Map<String, String> driving = new LinkedHashMap<>();
        part.forEach(id -> {
            Earthing earthing = Earthing.of(devices.get(id));
            String behind = board.node(id + " earth");
            driving.put(id, board.voltage(behind, Circuit.GROUND, Drive.ofAc(0)));
            if (earthing.ohms() > 0) {
                board.resistor(behind, ground(board, id), earthing.ohms());
            } else {
                board.capacitor(behind, ground(board, id), earthing.farads());
            }
        });
        readings.stream()
                .filter(reading -> reading.earth().devices().stream().anyMatch(part::contains))
                .forEach(reading -> join(board, reading.earth()));
        Network network = new Network(board.circuit());
        for (Map.Entry<String, String> source : driving.entrySet()) {
            Kind kind = Earthing.of(devices.get(source.getKey())).kind();
            if (kind != Kind.ALONE) {
                Solution solution = network.at(List.of(EarthPorts.MAINS_HERTZ), source.getValue())
                        .get(0);
                Map<String, Complex> volts = new HashMap<>();
                part.forEach(id -> volts.put(id, solution.voltage(ground(board, id))));
                sources.add(new Source(kind, volts));
            }
        }
    }

    private static void join(Board board, EarthPorts ports) {
        ports.between().forEach((pair, siemens) -> {
            String one = ground(board, ports.devices().get(pair.one()));
            String other = ground(board, ports.devices().get(pair.other()));
            if (siemens.re() > 0) {
                board.resistor(one, other, 1 / siemens.re());
            }
            board.capacitor(one, other, siemens.im() / (2 * Math.PI * EarthPorts.MAINS_HERTZ));
        });
    }

    private static String ground(Board board, String device) {
        return board.node(device + " ground");
    }

    /** What the signals of a joint receive of it; the devices' shares add up as powers, as nobody knows how their phases lie. */
    public Map<InputSignal, Hum> hum(JointReading reading) {
        Map<InputSignal, Hum> hum = new LinkedHashMap<>();
        reading.earth().heard().forEach((hearing, perVolt) -> {
            double earthed = 0;
            double leaking = 0;
            for (Source source : sources) {
                double ratio = ratio(reading.earth().devices(), perVolt, source);
                if (source.kind() == Kind.EARTHED) {
                    earthed += ratio * ratio;
                } else {
                    leaking += ratio * ratio;
                }
            }
            // What lies between two earths is shared by both.
            hum.put(hearing, hum(Math.sqrt(earthed / 2), LEAK_VOLTS * Math.sqrt(leaking)));
        });
        return hum;
    }

    private static double ratio(List<String> ports, List<Complex> perVolt, Source source) {
        Complex sum = Complex.ZERO;
        for (int i = 0; i < ports.size(); i++) {
            sum = sum.plus(perVolt.get(i).times(source.volts().getOrDefault(ports.get(i), Complex.ZERO)));
        }
        return sum.magnitude();
    }

    private Hum hum(double earthed, double leaking) {
        Level likely = level(earthed * mains.likelyVolts(), leaking);
        boolean isLoop = earthed * mains.mostVolts() > leaking;
        return new Hum(
                level(earthed * mains.leastVolts(), leaking * LEAST_LEAK),
                likely,
                level(earthed * mains.mostVolts(), leaking * MOST_LEAK),
                isLoop);
    }

    private static Level level(double one, double other) {
        return Level.ofVolts(Math.hypot(one, other));
    }

    // --- loops -------------------------------------------------------------------------------------------------

    /**
     * The joints that close a way round with one, between two of its devices, through metal and mains earths; empty where none does.
     */
    public List<JointReading> around(JointReading joint) {
        List<String> ports = joint.earth().devices();
        for (EarthPorts.Pair pair : joint.earth().between().keySet()) {
            if (isJoined(joint, pair)) {
                List<JointReading> way = way(joint, ports.get(pair.one()), ports.get(pair.other()));
                if (!way.isEmpty()) {
                    return way;
                }
            }
        }
        return List.of();
    }

    private static boolean isJoined(JointReading joint, EarthPorts.Pair pair) {
        return joint.earth().between().get(pair).re() > LEAST_SIEMENS;
    }

    /** From one device to another without a joint. Where a lead beside it joins the same two devices, that is no way round. */
    private List<JointReading> way(JointReading without, String from, String to) {
        Map<String, List<JointReading>> found = new LinkedHashMap<>(Map.of(from, List.of()));
        List<String> open = new ArrayList<>(List.of(from));
        while (!open.isEmpty()) {
            String at = open.remove(0);
            for (JointReading next : readings) {
                for (String there : next.equals(without) ? Set.<String>of() : joined(next, at)) {
                    boolean isBeside = Set.of(at, there).equals(Set.of(from, to)) && !next.isOfBus();
                    if (!isBeside && !found.containsKey(there)) {
                        found.put(there, append(found.get(at), next));
                        open.add(there);
                    }
                }
            }
            if (isEarthed(at)) {
                for (String there : devices.keySet()) {
                    if (isEarthed(there) && !found.containsKey(there)) {
                        found.put(there, found.get(at));
                        open.add(there);
                    }
                }
            }
        }
        return found.getOrDefault(to, List.of());
    }

    private boolean isEarthed(String device) {
        return Earthing.of(devices.get(device)).kind() == Kind.EARTHED;
    }

    private static Set<String> joined(JointReading joint, String device) {
        Set<String> others = new LinkedHashSet<>();
        List<String> ports = joint.earth().devices();
        joint.earth().between().keySet().stream()
                .filter(pair -> isJoined(joint, pair))
                .forEach(pair -> {
                    if (ports.get(pair.one()).equals(device)) {
                        others.add(ports.get(pair.other()));
                    } else if (ports.get(pair.other()).equals(device)) {
                        others.add(ports.get(pair.one()));
                    }
                });
        return others;
    }

    private static List<JointReading> append(List<JointReading> way, JointReading next) {
        List<JointReading> longer = new ArrayList<>(way);
        longer.add(next);
        return longer;
    }
}
