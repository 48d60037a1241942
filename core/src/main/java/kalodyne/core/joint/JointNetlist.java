package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.joint.circuit.Circuit;
import kalodyne.core.joint.circuit.Element;
import kalodyne.core.joint.circuit.Netlist;
import kalodyne.core.joint.circuit.Network;
import kalodyne.core.joint.circuit.Probe;

/**
 * A joint as a netlist that a general simulator runs as it is: its circuit for signals, with one of them driven, and beside it
 * the circuit at rest, whose nodes are called "rest_…".
 */
public final class JointNetlist {
    /** As ".ac" takes it: what is audible, ten points a decade. */
    public static final String SWEEP = "dec 10 20 20k";

    private static final double TIE_OHMS = 1e6;

    private JointNetlist() {}

    /** The netlist while one signal is given with 1 V. */
    public static Netlist of(String title, JointCircuit joint, OutputSignal driven) {
        return of(title, joint, driven.source());
    }

    /** The same while one source of voltage gives it: that of a signal, or of what the mains drives through a ground. */
    static Netlist of(String title, JointCircuit joint, String source) {
        List<Element> elements = new ArrayList<>();
        for (Element element : joint.audio().elements()) {
            boolean isDriven = element.name().equals(source);
            elements.add(isDriven ? driving((Element.VoltageSource) element) : element);
        }
        tie(joint.audio(), "", elements);
        joint.rest().elements().forEach(element -> elements.add(apart(element)));
        tie(joint.rest(), "rest_", elements);
        List<Probe> printed = joint.hearings().stream()
                .map(hearing -> new Probe(Probe.Kind.DECIBELS, hearing.plus(), hearing.minus()))
                .toList();
        return new Netlist(title, new Circuit(elements), List.of(), true, printed);
    }

    private static Element driving(Element.VoltageSource source) {
        return new Element.VoltageSource(source.name(), source.plus(), source.minus(), Element.Drive.ofAc(1));
    }

    /** What nothing ties to the ground, simulators would not solve. */
    private static void tie(Circuit circuit, String prefix, List<Element> elements) {
        for (String node : new Network(circuit).adrift()) {
            elements.add(new Element.Resistor("rtie" + (elements.size() + 1), prefix + node, Circuit.GROUND, TIE_OHMS));
        }
    }

    private static Element apart(Element element) {
        String name = element.name().charAt(0) + "rest" + element.name().substring(1);
        if (element instanceof Element.Resistor it) {
            return new Element.Resistor(name, node(it.plus()), node(it.minus()), it.ohms());
        } else if (element instanceof Element.Capacitor it) {
            return new Element.Capacitor(name, node(it.plus()), node(it.minus()), it.farads());
        } else if (element instanceof Element.VoltageSource it) {
            return new Element.VoltageSource(name, node(it.plus()), node(it.minus()), it.drive());
        } else if (element instanceof Element.CurrentSource it) {
            return new Element.CurrentSource(name, node(it.plus()), node(it.minus()), it.drive());
        }
        throw new IllegalArgumentException("at rest there is no " + element);
    }

    private static String node(String name) {
        return name.equals(Circuit.GROUND) ? name : "rest_" + name;
    }
}
