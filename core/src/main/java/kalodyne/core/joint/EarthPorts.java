package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.joint.circuit.Circuit;
import kalodyne.core.joint.circuit.Complex;
import kalodyne.core.joint.circuit.Element;
import kalodyne.core.joint.circuit.Network;
import kalodyne.core.joint.circuit.Solution;
import kalodyne.core.joint.circuit.UnsolvableCircuit;

/**
 * What a joint is to the earth of the whole rig, seen from the grounds of its devices at mains frequency: what flows between them
 * through its shields, and what of a voltage between them is received with the signal.
 *
 * @param devices their marks
 * @param between the admittance from each ground to each later one, by their places: positive where a shield joins them
 * @param heard for each received signal, what is received per volt on each ground against the others
 */
record EarthPorts(List<String> devices, Map<Pair, Complex> between, Map<InputSignal, List<Complex>> heard) {
    static final double MAINS_HERTZ = 50;

    /** The places of two devices. */
    record Pair(int one, int other) {}

    EarthPorts {
        devices = List.copyOf(devices);
    }

    /** Holds every ground in turn at 1 V and the others at nothing: how the devices hang on the mains does not matter here. */
    static EarthPorts of(JointCircuit joint) throws UnsolvableCircuit {
        Network held = new Network(held(joint));
        List<JointCircuit.Earth> earths = joint.earths();
        Map<Pair, Complex> between = new LinkedHashMap<>();
        Map<InputSignal, List<Complex>> heard = new LinkedHashMap<>();
        List<Solution> solutions = new ArrayList<>();
        for (JointCircuit.Earth earth : earths) {
            solutions.add(held.at(List.of(MAINS_HERTZ), earth.source()).get(0));
        }
        for (int one = 0; one < earths.size(); one++) {
            for (int other = one + 1; other < earths.size(); other++) {
                // What flows out of the one that is held at 1 V comes back into the source of the other one.
                between.put(
                        new Pair(one, other),
                        solutions.get(one).current(earths.get(other).source()));
            }
        }
        joint.hearings()
                .forEach(hearing -> heard.put(
                        hearing,
                        solutions.stream()
                                .map(solution -> solution.voltage(hearing.plus(), hearing.minus()))
                                .toList()));
        return new EarthPorts(earths.stream().map(JointCircuit.Earth::device).toList(), between, heard);
    }

    private static Circuit held(JointCircuit joint) {
        List<String> series =
                joint.earths().stream().map(JointCircuit.Earth::series).toList();
        return new Circuit(joint.audio().elements().stream()
                .map(element -> series.contains(element.name()) && element instanceof Element.TwoTerminal two
                        ? new Element.Resistor(two.name(), two.plus(), two.minus(), 0)
                        : element)
                .toList());
    }
}
