package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import kalodyne.core.gear.Contact;
import kalodyne.core.joint.circuit.Complex;
import kalodyne.core.joint.circuit.Network;
import kalodyne.core.joint.circuit.Solution;
import kalodyne.core.joint.circuit.UnsolvableCircuit;

/**
 * What is read from the circuits of a joint.
 *
 * @param transfers from every signal that is given to every one that is received
 * @param own for each signal, what of it is left at its own socket
 * @param elsewhere for each signal, what of it is there at the contacts of the others
 * @param atRest direct voltage and current at every contact of every socket
 * @param earthed what it is to the earth of the whole rig
 * @param isOfBus whether it is a lead that power for devices runs through
 */
public record JointReading(
        List<Transfer> transfers,
        Map<OutputSignal, Complex> own,
        Map<OutputSignal, Map<OutputSignal, Complex>> elsewhere,
        Map<Spot, Map<Contact, Direct>> atRest,
        Earthed earthed,
        boolean isOfBus) {
    private static final double LOWEST = 10;
    private static final double HIGHEST = 40_000;
    private static final double MIDDLE_HERTZ = 1000;

    /** Of 1 V less than this is left where another output pulls at it. */
    private static final double DRAWN_DOWN = 0.9;

    /** With nothing but a lead between two contacts, their voltages are alike. */
    private static final double SAME = 0.8;

    /** At which every joint is told in files: those that people name. */
    public static final List<Double> TOLD = List.of(20.0, 100.0, 1000.0, 5000.0, 10_000.0, 20_000.0);

    /** For a curve, and for corners within a hundredth. */
    private static final List<Double> FINE = frequencies(181);

    /** For comparing many joints: levels as exact as on a fine grid, corners within some hundredths. */
    private static final List<Double> ROUGH = frequencies(25);

    /** Evenly along a logarithmic axis, and those that are told. */
    private static List<Double> frequencies(int points) {
        return DoubleStream.concat(
                        IntStream.range(0, points)
                                .mapToDouble(i -> LOWEST * Math.pow(HIGHEST / LOWEST, i / (points - 1.0))),
                        TOLD.stream().mapToDouble(Double::doubleValue))
                .sorted()
                .distinct()
                .boxed()
                .toList();
    }

    /**
     * What is at a contact at rest.
     *
     * @param volts against the ground of its device
     * @param amperes into the socket
     */
    public record Direct(double volts, double amperes) {
        static final Direct NONE = new Direct(0, 0);
    }

    /**
     * Solves and reads.
     *
     * @throws UnsolvableCircuit where something is joined that has no solution
     */
    public static JointReading of(JointCircuit joint) throws UnsolvableCircuit {
        return of(joint, FINE, Earthed.now(joint));
    }

    /**
     * Solves and reads at fewer frequencies, for comparing many joints: levels are as exact, corners within some hundredths.
     *
     * @throws UnsolvableCircuit where something is joined that has no solution
     */
    public static JointReading roughly(JointCircuit joint) throws UnsolvableCircuit {
        return of(joint, ROUGH, Earthed.whenAsked(joint));
    }

    private static JointReading of(JointCircuit joint, List<Double> frequencies, Earthed earthed)
            throws UnsolvableCircuit {
        Network audio = new Network(joint.audio());
        List<Transfer> transfers = new ArrayList<>();
        Map<OutputSignal, Complex> own = new LinkedHashMap<>();
        Map<OutputSignal, Map<OutputSignal, Complex>> elsewhere = new LinkedHashMap<>();
        for (OutputSignal sounding : joint.soundings()) {
            List<Solution> solutions = audio.at(frequencies, sounding.source());
            transfers.addAll(transfers(solutions, joint, sounding, frequencies));
            Solution middle = solutions.get(frequencies.indexOf(MIDDLE_HERTZ));
            own.put(sounding, middle.voltage(sounding.plus(), sounding.minus()));
            Map<OutputSignal, Complex> others = new LinkedHashMap<>();
            joint.soundings().stream()
                    .filter(other -> !other.equals(sounding))
                    .forEach(other -> others.put(other, middle.voltage(other.plus(), other.minus())));
            elsewhere.put(sounding, others);
        }
        return new JointReading(transfers, own, elsewhere, atRest(joint), earthed, isOfBus(joint));
    }

    private static boolean isOfBus(JointCircuit joint) {
        return joint.nodes().values().stream().anyMatch(contacts -> contacts.containsKey(Contact.POWER));
    }

    EarthPorts earth() {
        return earthed.ports();
    }

    private static List<Transfer> transfers(
            List<Solution> solutions, JointCircuit joint, OutputSignal sounding, List<Double> frequencies) {
        Complex[][] values = new Complex[joint.hearings().size()][frequencies.size()];
        for (int i = 0; i < frequencies.size(); i++) {
            for (int h = 0; h < values.length; h++) {
                InputSignal hearing = joint.hearings().get(h);
                values[h][i] = solutions.get(i).voltage(hearing.plus(), hearing.minus());
            }
        }
        return IntStream.range(0, values.length)
                .mapToObj(h -> new Transfer(sounding, joint.hearings().get(h), frequencies, Arrays.asList(values[h])))
                .toList();
    }

    private static Map<Spot, Map<Contact, Direct>> atRest(JointCircuit joint) throws UnsolvableCircuit {
        if (!joint.rest().isFedAtRest()) {
            return nothing(joint);
        }
        Solution rest = new Network(joint.rest()).atRest();
        Map<Spot, Map<Contact, Double>> amperes = amperesInto(joint, rest);
        Set<String> known = new HashSet<>(joint.rest().nodes());
        Map<Spot, Map<Contact, Direct>> all = new LinkedHashMap<>();
        joint.grounds().forEach((spot, ground) -> {
            Map<Contact, Direct> contacts = new LinkedHashMap<>();
            joint.nodes().get(spot).forEach((contact, node) -> {
                double volts = known.contains(node) && known.contains(ground)
                        ? rest.voltage(node, ground).re()
                        : 0;
                contacts.put(
                        contact,
                        new Direct(volts, amperes.getOrDefault(spot, Map.of()).getOrDefault(contact, 0.0)));
            });
            all.put(spot, contacts);
        });
        return all;
    }

    /** Where nothing gives a direct voltage there is none. */
    private static Map<Spot, Map<Contact, Direct>> nothing(JointCircuit joint) {
        Map<Spot, Map<Contact, Direct>> all = new LinkedHashMap<>();
        joint.grounds().keySet().forEach(spot -> {
            Map<Contact, Direct> contacts = new LinkedHashMap<>();
            joint.nodes().get(spot).keySet().forEach(contact -> contacts.put(contact, Direct.NONE));
            all.put(spot, contacts);
        });
        return all;
    }

    private static Map<Spot, Map<Contact, Double>> amperesInto(JointCircuit joint, Solution rest) {
        Map<Spot, Map<Contact, Double>> amperes = new HashMap<>();
        for (JointCircuit.Touching touching : joint.touches()) {
            double current = rest.current(touching.atRest()).re();
            amperes.computeIfAbsent(touching.plugging().socket(), spot -> new EnumMap<>(Contact.class))
                    .merge(touching.socket(), current, Double::sum);
            amperes.computeIfAbsent(touching.plugging().plug(), spot -> new EnumMap<>(Contact.class))
                    .merge(touching.plug(), -current, Double::sum);
        }
        return amperes;
    }

    /** Signals of other sockets that are joined to this one without a resistance between them, so that it is drawn down. */
    public List<OutputSignal> tied(OutputSignal sounding) {
        double left = own.get(sounding).magnitude();
        return elsewhere.get(sounding).entrySet().stream()
                .filter(entry -> !entry.getKey().socket().equals(sounding.socket()))
                .filter(entry -> left < DRAWN_DOWN && entry.getValue().magnitude() > SAME * left)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The transfers from one device to another. */
    public List<Transfer> ways() {
        return transfers.stream().filter(Transfer::isBetweenDevices).toList();
    }
}
