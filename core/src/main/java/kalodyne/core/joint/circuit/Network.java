package kalodyne.core.joint.circuit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.joint.circuit.Element.Capacitor;
import kalodyne.core.joint.circuit.Element.Coupling;
import kalodyne.core.joint.circuit.Element.CurrentByCurrent;
import kalodyne.core.joint.circuit.Element.CurrentByVoltage;
import kalodyne.core.joint.circuit.Element.CurrentSource;
import kalodyne.core.joint.circuit.Element.Inductor;
import kalodyne.core.joint.circuit.Element.Resistor;
import kalodyne.core.joint.circuit.Element.TwoTerminal;
import kalodyne.core.joint.circuit.Element.VoltageByCurrent;
import kalodyne.core.joint.circuit.Element.VoltageByVoltage;
import kalodyne.core.joint.circuit.Element.VoltageSource;
import kalodyne.core.joint.circuit.Elimination.Pairs;

/**
 * A circuit as equations, after the modified nodal analysis of Ho, Ruehli and Brennan (1975): one for each node, whose currents
 * add up to nothing, and one for each element whose current is not given by its voltage.
 *
 * <p>Parts of a circuit that nothing ties to the ground, so that their voltage against it is undecided, are tied to it at
 * one node, through which no current flows then; {@link #adrift} names them.
 */
public final class Network {
    private static final double TIE = 1e-6;

    /** So many frequencies are solved side by side: enough to be worth it, few enough to stay near the processor. */
    private static final int AT_ONCE = 32;

    private final Circuit circuit;
    private final Map<String, Element> elements = new HashMap<>();
    private final Map<String, Integer> nodes = new LinkedHashMap<>();
    private final Map<String, Integer> branches = new LinkedHashMap<>();
    private final Map<Long, Integer> slots = new LinkedHashMap<>();
    private final List<Double> constants = new ArrayList<>();
    private final List<Double> perOmega = new ArrayList<>();
    private final int size;
    private Equations ac;
    private Equations dc;

    public Network(Circuit circuit) {
        this.circuit = circuit;
        circuit.nodes().forEach(node -> nodes.put(node, nodes.size()));
        for (Element element : circuit.elements()) {
            elements.put(element.name(), element);
            if (hasBranch(element)) {
                branches.put(element.name(), nodes.size() + branches.size());
            }
        }
        size = nodes.size() + branches.size();
        circuit.elements().forEach(this::stamp);
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
        return atRestEquations().ties;
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
        return ((Inductor) elements.get(inductor)).henries();
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

    private Equations equations() {
        if (ac == null) {
            ac = new Equations(FloatingNodes.of(circuit, false));
        }
        return ac;
    }

    private Equations atRestEquations() {
        if (dc == null) {
            dc = new Equations(FloatingNodes.of(circuit, true));
        }
        return dc;
    }

    /**
     * The solution at a frequency.
     *
     * @throws UnsolvableCircuit where there is none, or more than one
     */
    public Solution at(double hertz) throws UnsolvableCircuit {
        return equations()
                .solve(new double[] {hertz}, (re, im) -> drive(false, re, im))
                .get(0);
    }

    /**
     * The solutions at some frequencies while one voltage source gives 1 V and all others nothing.
     *
     * @throws UnsolvableCircuit where there is none, or more than one
     */
    public List<Solution> at(List<Double> hertz, String onlySource) throws UnsolvableCircuit {
        int row = branches.get(onlySource);
        List<Solution> solutions = new ArrayList<>();
        for (int from = 0; from < hertz.size(); from += AT_ONCE) {
            double[] some = hertz.subList(from, Math.min(hertz.size(), from + AT_ONCE)).stream()
                    .mapToDouble(Double::doubleValue)
                    .toArray();
            solutions.addAll(equations().solve(some, (re, im) -> re[row] = 1));
        }
        return solutions;
    }

    /** The solution at rest, as for direct current: capacitors are open, inductors closed. */
    public Solution atRest() throws UnsolvableCircuit {
        return atRestEquations()
                .solve(new double[] {0}, (re, im) -> drive(true, re, im))
                .get(0);
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

        List<Solution> solve(double[] hertz, Drives drives) throws UnsolvableCircuit {
            Pairs[] solution = Pairs.rows(size, hertz.length);
            if (elimination == null) {
                plan(hertz[0]);
            }
            if (!solved(hertz, drives, solution)) {
                if (hertz.length > 1) {
                    return oneByOne(hertz, drives);
                }
                plan(hertz[0]);
                if (!solved(hertz, drives, solution)) {
                    throw new UnsolvableCircuit(
                            "Its currents and voltages cannot be told apart at " + hertz[0] + " Hz.");
                }
            }
            List<Solution> solutions = new ArrayList<>();
            for (int f = 0; f < hertz.length; f++) {
                solutions.add(new Solution(Network.this, 2 * Math.PI * hertz[f], solution, f));
            }
            return solutions;
        }

        /** What is a good order of elimination at one frequency may not be at another one. */
        private List<Solution> oneByOne(double[] hertz, Drives drives) throws UnsolvableCircuit {
            List<Solution> solutions = new ArrayList<>();
            for (double each : hertz) {
                solutions.addAll(solve(new double[] {each}, drives));
            }
            return solutions;
        }

        private boolean solved(double[] hertz, Drives drives, Pairs[] solution) {
            Pairs[] entries = Pairs.rows(elimination.slots(), hertz.length);
            for (int i = 0; i < real.length; i++) {
                Arrays.fill(entries[i].re(), real[i]);
                if (imaginary[i] != 0) {
                    for (int f = 0; f < hertz.length; f++) {
                        entries[i].im()[f] = 2 * Math.PI * hertz[f] * imaginary[i];
                    }
                }
            }
            double[] re = new double[size];
            double[] im = new double[size];
            drives.fill(re, im);
            Pairs[] side = Pairs.rows(size, hertz.length);
            for (int i = 0; i < size; i++) {
                Arrays.fill(side[i].re(), re[i]);
                Arrays.fill(side[i].im(), im[i]);
            }
            return elimination.solve(entries, side, solution);
        }

        private void plan(double hertz) throws UnsolvableCircuit {
            double[] im = new double[imaginary.length];
            for (int i = 0; i < im.length; i++) {
                im[i] = 2 * Math.PI * hertz * imaginary[i];
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

    Element element(String name) {
        return elements.get(name);
    }
}
