package kalodyne.core.joint.circuit;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * A linear circuit.
 *
 * @param elements each under a name of its own; what they refer to is there
 */
public record Circuit(List<Element> elements) {
    /** The node that is 0 V. */
    public static final String GROUND = "0";

    /** What is wrong with one element. */
    public static final class Flaw extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;
        private final String element;

        Flaw(Element element, String what) {
            super("“" + element.name() + "” " + what);
            this.element = element.name();
        }

        public String element() {
            return element;
        }
    }

    /** Checks what can be checked of each element by itself and of their names. */
    public Circuit {
        elements = List.copyOf(elements);
        Map<String, Element> known = new HashMap<>();
        for (Element element : elements) {
            if (known.put(element.name(), element) != null) {
                throw new Flaw(element, "is there twice");
            }
        }
        for (Element element : elements) {
            requireSense(element);
            requireReferences(element, known);
        }
    }

    private static void requireSense(Element element) {
        if (element instanceof Element.Resistor resistor) {
            require(element, resistor.ohms(), ohms -> ohms >= 0, "a resistance of 0 or more");
        } else if (element instanceof Element.Capacitor capacitor) {
            require(element, capacitor.farads(), farads -> farads >= 0, "a capacitance of 0 or more");
        } else if (element instanceof Element.Inductor inductor) {
            require(element, inductor.henries(), henries -> henries > 0, "an inductance above 0");
        } else if (element instanceof Element.Coupling coupling) {
            require(
                    element,
                    coupling.factor(),
                    factor -> factor != 0 && Math.abs(factor) <= 1,
                    "a coupling factor between −1 and 1, not 0");
        }
    }

    private static void require(Element element, double value, Predicate<Double> test, String what) {
        if (!Double.isFinite(value) || !test.test(value)) {
            throw new Flaw(element, "needs " + what + ", not " + value);
        }
    }

    private static void requireReferences(Element element, Map<String, Element> known) {
        if (element instanceof Element.Coupling coupling) {
            require(known.get(coupling.first()) instanceof Element.Inductor, element, coupling.first(), "inductor");
            require(known.get(coupling.second()) instanceof Element.Inductor, element, coupling.second(), "inductor");
            if (coupling.first().equals(coupling.second())) {
                throw new Flaw(element, "couples “" + coupling.first() + "” with itself");
            }
        } else if (element instanceof Element.VoltageByCurrent follower) {
            requireVoltageSource(known, element, follower.source());
        } else if (element instanceof Element.CurrentByCurrent follower) {
            requireVoltageSource(known, element, follower.source());
        }
    }

    private static void requireVoltageSource(Map<String, Element> known, Element element, String source) {
        require(known.get(source) instanceof Element.VoltageSource, element, source, "voltage source");
    }

    private static void require(boolean isThere, Element element, String reference, String kind) {
        if (!isThere) {
            throw new Flaw(element, "points at the " + kind + " “" + reference + "”, which is not there");
        }
    }

    /** Whether a source gives something at rest. */
    public boolean isFedAtRest() {
        return elements.stream()
                .anyMatch(element -> (element instanceof Element.VoltageSource voltage
                                && voltage.drive().dc() != 0)
                        || (element instanceof Element.CurrentSource current
                                && current.drive().dc() != 0));
    }

    /** All nodes but the ground, in the order in which they come up. */
    public List<String> nodes() {
        Set<String> seen = new HashSet<>();
        return elements.stream()
                .flatMap(element -> element.nodes().stream())
                .filter(node -> !node.equals(GROUND) && seen.add(node))
                .toList();
    }
}
