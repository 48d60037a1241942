package kalodyne.core.joint.circuit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A netlist with all that it asks for.
 *
 * @param nodes the voltage of every node against the ground at each of the netlist's frequencies
 * @param currents the same of every voltage source's current
 * @param printed what ".print" asks for, at each frequency
 * @param atRest voltages of nodes and, as "i(v1)", currents of voltage sources at rest; empty where it is not asked for
 * @param adrift the first node of each part that nothing ties to the ground at rest
 */
public record SolvedNetlist(
        Netlist netlist,
        Map<String, List<Complex>> nodes,
        Map<String, List<Complex>> currents,
        Map<Probe, List<Complex>> printed,
        Map<String, Double> atRest,
        List<String> adrift) {

    /**
     * Solves it.
     *
     * @throws UnsolvableCircuit where it has no solution, or more than one
     */
    public static SolvedNetlist of(Netlist netlist) throws UnsolvableCircuit {
        Network network = new Network(netlist.circuit());
        List<String> sources = netlist.circuit().elements().stream()
                .filter(element -> element instanceof Element.VoltageSource)
                .map(Element::name)
                .toList();
        Map<String, List<Complex>> nodes = empty(netlist.circuit().nodes());
        Map<String, List<Complex>> currents = empty(sources);
        Map<Probe, List<Complex>> printed = empty(netlist.printed());
        for (double hertz : netlist.frequenciesHz()) {
            Solution solution = network.at(hertz);
            nodes.forEach((node, values) -> values.add(solution.voltage(node)));
            currents.forEach((source, values) -> values.add(solution.current(source)));
            printed.forEach((probe, values) -> values.add(probe.read(solution)));
        }
        Map<String, Double> atRest = new LinkedHashMap<>();
        if (netlist.isAtRest()) {
            Solution rest = network.atRest();
            nodes.keySet().forEach(node -> atRest.put(node, rest.voltage(node).re()));
            sources.forEach(source ->
                    atRest.put("i(" + source + ")", rest.current(source).re()));
        }
        return new SolvedNetlist(netlist, nodes, currents, printed, atRest, network.adrift());
    }

    private static <K> Map<K, List<Complex>> empty(List<K> keys) {
        Map<K, List<Complex>> lists = new LinkedHashMap<>();
        keys.forEach(key -> lists.put(key, new ArrayList<>()));
        return lists;
    }

    /** What is told to people: what was asked for, or else every node in dB. */
    public Map<Probe, List<Complex>> told() {
        if (!printed.isEmpty()) {
            return printed;
        }
        Map<Probe, List<Complex>> all = new LinkedHashMap<>();
        nodes.forEach((node, values) -> all.put(
                new Probe(Probe.Kind.DECIBELS, node, Circuit.GROUND),
                values.stream().map(value -> new Complex(value.db(), 0)).toList()));
        return all;
    }
}
