package kalodyne.core.joint.circuit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Finds parts of a circuit that nothing ties to the ground. */
final class FloatingNodes {
    private final Map<String, String> parents = new HashMap<>();

    private FloatingNodes() {}

    /** The first node of each such part; at rest, capacitors tie nothing. */
    static List<String> of(Circuit circuit, boolean atRest) {
        FloatingNodes adrift = new FloatingNodes();
        for (Element element : circuit.elements()) {
            if (element instanceof Element.TwoTerminal two && ties(element, atRest)) {
                adrift.join(two.plus(), two.minus());
            }
        }
        List<String> first = new ArrayList<>();
        Set<String> seen = new HashSet<>(Set.of(adrift.root(Circuit.GROUND)));
        for (String node : circuit.nodes()) {
            if (seen.add(adrift.root(node))) {
                first.add(node);
            }
        }
        return first;
    }

    private static boolean ties(Element element, boolean atRest) {
        if (element instanceof Element.Capacitor capacitor) {
            return !atRest && capacitor.farads() > 0;
        }
        return !(element instanceof Element.CurrentSource
                || element instanceof Element.CurrentByVoltage
                || element instanceof Element.CurrentByCurrent);
    }

    private void join(String one, String other) {
        parents.put(root(one), root(other));
    }

    private String root(String node) {
        String at = node;
        while (!parents.getOrDefault(at, at).equals(at)) {
            at = parents.get(at);
        }
        return at;
    }
}
