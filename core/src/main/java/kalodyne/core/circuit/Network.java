package kalodyne.core.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.circuit.Element.Capacitor;
import kalodyne.core.circuit.Element.Coupling;
import kalodyne.core.circuit.Element.CurrentByCurrent;
import kalodyne.core.circuit.Element.CurrentByVoltage;
import kalodyne.core.circuit.Element.CurrentSource;
import kalodyne.core.circuit.Element.Inductor;
import kalodyne.core.circuit.Element.Resistor;
import kalodyne.core.circuit.Element.TwoTerminal;
import kalodyne.core.circuit.Element.VoltageByCurrent;
import kalodyne.core.circuit.Element.VoltageByVoltage;
import kalodyne.core.circuit.Element.VoltageSource;

/**
 * A circuit as equations, after the modified nodal analysis of Ho, Ruehli and Brennan (1975): one for each node, whose currents
 * add up to nothing, and one for each element whose current is not given by its voltage.
 *
 * <p>Parts of a circuit that nothing ties to the ground, so that their voltage against it is undecided, are tied to it at
 * one node, through which no current flows then; {@link #adrift} names them.
 */
public final class Network {
    private static final double TIE = 1e-6;

    private final Circuit circuit;
    private final Map<String, Integer> nodes = new LinkedHashMap<>();
    private final Map<String, Integer> branches = new LinkedHashMap<>();
    private final Map<Long, Integer> slots = new LinkedHashMap<>();
    private final List<Double> constants = new ArrayList<>();
    private final List<Double> perOmega = new ArrayList<>();
    private final int size;
    private final Equations ac;
    private final Equations dc;

    public Network(Circuit circuit) {
        this.circuit = circuit;
        circuit.nodes().forEach(node -> nodes.put(node, nodes.size()));
        for (Element element : circuit.elements()) {
            if (hasBranch(element)) {
                branches.put(element.name(), nodes.size() + branches.size());
            }
        }
        size = nodes.size() + branches.size();
        circuit.elements().forEach(this::stamp);
        ac = new Equations(Adrift.of(circuit, false));
        dc = new Equations(Adrift.of(circuit, true));
    }

    private static boolean hasBranch(Element element) {
        return element instanceof VoltageSource
                || element instanceof Inductor
                || element instanceof VoltageByVoltage
                || element instanceof VoltageByCurrent
                || (element instanceof Resistor resistor && resistor.ohms() == 0);
    }

    /** The first node of each part that nothing ties to the ground at rest. */
    public List<String> adrift() {
        return dc.ties;
    }

    // --- equations ---------------------------------------------------------------------------------------------

    private void stamp(Element element) {
        if (element instanceof Resistor resistor && resistor.ohms() > 0) {
            admittance(resistor, 1 / resistor.ohms(), 0);
        } else if (element instanceof Resistor connection) {
            branch(connection);
        } else if (element instanceof Capacitor capacitor) {
            admittance(capacitor, 0, capacitor.farads());
        } else if (element instanceof Inductor inductor) {
            int row = branch(inductor);
            add(row, row, 0, -inductor.henries());
        } else if (element instanceof VoltageSource source) {
            branch(source);
        } else if (element instanceof VoltageByVoltage follower) {
            int row = branch(follower);
            add(row, node(follower.sensePlus()), -follower.gain(), 0);
            add(row, node(follower.senseMinus()), follower.gain(), 0);
        } else if (element instanceof VoltageByCurrent follower) {
            int row = branch(follower);
            add(row, branches.get(follower.source()), -follower.ohms(), 0);
        } else if (element instanceof CurrentByVoltage follower) {
            int plus = node(follower.plus());
            int minus = node(follower.minus());
            add(plus, node(follower.sensePlus()), follower.siemens(), 0);
            add(plus, node(follower.senseMinus()), -follower.siemens(), 0);
            add(minus, node(follower.sensePlus()), -follower.siemens(), 0);
            add(minus, node(follower.senseMinus()), follower.siemens(), 0);
        } else if (element instanceof CurrentByCurrent follower) {
            add(node(follower.plus()), branches.get(follower.source()), follower.gain(), 0);
            add(node(follower.minus()), branches.get(follower.source()), -follower.gain(), 0);
        } else if (element instanceof Coupling coupling) {
            couple(coupling);
        }
    }

    /** The rows of a current that flows from plus to minus, and of the voltage between them. */
    private int branch(TwoTerminal element) {
        int row = branches.get(element.name());
        int plus = node(element.plus());
        int minus = node(element.minus());
        add(plus, row, 1, 0);
        add(minus, row, -1, 0);
        add(row, plus, 1, 0);
        add(row, minus, -1, 0);
        return row;
    }

    private void admittance(TwoTerminal element, double siemens, double farads) {
        int plus = node(element.plus());
        int minus = node(element.minus());
        add(plus, plus, siemens, farads);
        add(minus, minus, siemens, farads);
        add(plus, minus, -siemens, -farads);
        add(minus, plus, -siemens, -farads);
    }

    private void couple(Coupling coupling) {
        double mutual = coupling.factor() * Math.sqrt(henries(coupling.first()) * henries(coupling.second()));
        int first = branches.get(coupling.first());
        int second = branches.get(coupling.second());
        add(first, second, 0, -mutual);
        add(second, first, 0, -mutual);
    }

    private double henries(String inductor) {
        return circuit.elements().stream()
                .filter(element -> element.name().equals(inductor))
                .mapToDouble(element -> ((Inductor) element).henries())
                .findFirst()
                .orElseThrow();
    }

    private int node(String name) {
        return name.equals(Circuit.GROUND) ? -1 : nodes.get(name);
    }

    private void add(int row, int column, double constant, double timesOmega) {
        if (row >= 0 && column >= 0) {
            int slot = slot(row, column);
            constants.set(slot, constants.get(slot) + constant);
            perOmega.set(slot, perOmega.get(slot) + timesOmega);
        }
    }

    private int slot(int row, int column) {
        return slots.computeIfAbsent((long) row * size + column, place -> {
            constants.add(0.0);
            perOmega.add(0.0);
            return constants.size() - 1;
        });
    }

    // --- solving -----------------------------------------------------------------------------------------------

    /**
     * The solution at a frequency.
     *
     * @throws UnsolvableCircuit where there is none, or more than one
     */
    public Solution at(double hertz) throws UnsolvableCircuit {
        return ac.solve(2 * Math.PI * hertz, (re, im) -> drive(false, re, im));
    }

    /**
     * The solution at a frequency while one voltage source gives 1 V and all others nothing.
     *
     * @throws UnsolvableCircuit where there is none, or more than one
     */
    public Solution at(double hertz, String onlySource) throws UnsolvableCircuit {
        int row = branches.get(onlySource);
        return ac.solve(2 * Math.PI * hertz, (re, im) -> re[row] = 1);
    }

    /** The solution at rest, as for direct current: capacitors are open, inductors closed. */
    public Solution atRest() throws UnsolvableCircuit {
        return dc.solve(0, (re, im) -> drive(true, re, im));
    }

    /** Fills in what the sources give. */
    @FunctionalInterface
    private interface Drives {
        void fill(double[] re, double[] im);
    }

    /** The equations with the ties that one kind of solution needs, and the order of elimination that served last. */
    private final class Equations {
        private final List<String> ties;
        private final int[] rows;
        private final int[] columns;
        private final double[] real;
        private final double[] imaginary;
        private Elimination elimination;

        Equations(List<String> ties) {
            this.ties = ties;
            ties.forEach(tied -> slot(node(tied), node(tied)));
            rows = new int[slots.size()];
            columns = new int[slots.size()];
            slots.forEach((place, slot) -> {
                rows[slot] = (int) (place / size);
                columns[slot] = (int) (place % size);
            });
            real = constants.stream().mapToDouble(Double::doubleValue).toArray();
            imaginary = perOmega.stream().mapToDouble(Double::doubleValue).toArray();
            ties.forEach(tied -> real[slot(node(tied), node(tied))] += TIE);
        }

        Solution solve(double omega, Drives drives) throws UnsolvableCircuit {
            double[] x = new double[size];
            double[] y = new double[size];
            if (elimination == null || !solved(omega, drives, x, y)) {
                plan(omega);
                if (!solved(omega, drives, x, y)) {
                    throw new UnsolvableCircuit(
                            "Its currents and voltages cannot be told apart at " + omega / (2 * Math.PI) + " Hz.");
                }
            }
            return new Solution(Network.this, omega, x, y);
        }

        private boolean solved(double omega, Drives drives, double[] x, double[] y) {
            double[] re = Arrays.copyOf(real, elimination.slots());
            double[] im = new double[elimination.slots()];
            for (int i = 0; i < imaginary.length; i++) {
                im[i] = omega * imaginary[i];
            }
            double[] sideRe = new double[size];
            double[] sideIm = new double[size];
            drives.fill(sideRe, sideIm);
            return elimination.solve(re, im, sideRe, sideIm, x, y);
        }

        private void plan(double omega) throws UnsolvableCircuit {
            double[] im = new double[imaginary.length];
            for (int i = 0; i < im.length; i++) {
                im[i] = omega * imaginary[i];
            }
            try {
                elimination = Elimination.of(size, rows, columns, real, im);
            } catch (Elimination.Singular e) {
                throw new UnsolvableCircuit(unknown(e.column()));
            }
        }
    }

    /** What cannot be found, in a sentence. */
    private String unknown(int column) {
        for (Map.Entry<String, Integer> node : nodes.entrySet()) {
            if (node.getValue() == column) {
                return "The voltage of “" + node.getKey() + "” is not decided by anything.";
            }
        }
        String element = branches.entrySet().stream()
                .filter(branch -> branch.getValue() == column)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow();
        return "“" + element + "” closes a circle of voltages without any resistance: its current is not decided.";
    }

    private void drive(boolean atRest, double[] re, double[] im) {
        for (Element element : circuit.elements()) {
            if (element instanceof VoltageSource source) {
                int row = branches.get(source.name());
                re[row] = real(source.drive(), atRest);
                im[row] = imaginary(source.drive(), atRest);
            } else if (element instanceof CurrentSource source) {
                inject(node(source.plus()), -1, source.drive(), atRest, re, im);
                inject(node(source.minus()), 1, source.drive(), atRest, re, im);
            }
        }
    }

    private static void inject(int node, int sign, Element.Drive drive, boolean atRest, double[] re, double[] im) {
        if (node >= 0) {
            re[node] += sign * real(drive, atRest);
            im[node] += sign * imaginary(drive, atRest);
        }
    }

    private static double real(Element.Drive drive, boolean atRest) {
        return atRest ? drive.dc() : drive.ac() * Math.cos(Math.toRadians(drive.phaseDegrees()));
    }

    private static double imaginary(Element.Drive drive, boolean atRest) {
        return atRest ? 0 : drive.ac() * Math.sin(Math.toRadians(drive.phaseDegrees()));
    }

    // --- for solutions -----------------------------------------------------------------------------------------

    Circuit circuit() {
        return circuit;
    }

    Map<String, Integer> nodeIndexes() {
        return nodes;
    }

    Map<String, Integer> branchIndexes() {
        return branches;
    }

    Map<String, Element> elements() {
        Map<String, Element> byName = new HashMap<>();
        circuit.elements().forEach(element -> byName.put(element.name(), element));
        return byName;
    }
}
