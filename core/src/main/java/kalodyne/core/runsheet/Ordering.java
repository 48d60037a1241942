package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.KosarajuStrongConnectivityInspector;
import org.jgrapht.graph.DirectedMultigraph;
import org.jgrapht.traverse.BreadthFirstIterator;
import org.jgrapht.traverse.TopologicalOrderIterator;

/**
 * Steps in an order that keeps all reasons that can be kept together.
 *
 * @param steps in that order
 * @param kept reasons that are kept
 * @param broken habits that stronger reasons contradict
 * @param circles where reasons that are never given up contradict each other: the steps of each circle, in no order
 */
record Ordering(List<Step> steps, List<Order> kept, List<Order> broken, List<List<Step>> circles) {
    Ordering {
        steps = List.copyOf(steps);
        kept = List.copyOf(kept);
        broken = List.copyOf(broken);
        circles = circles.stream().map(List::copyOf).toList();
    }

    /**
     * Orders steps. Binding reasons come in first, then one habit after the other; what would close a circle is left out. Steps
     * that nothing orders stand as their sections do, and within one as they were added.
     */
    static Ordering of(List<Step> steps, List<Order> orders) {
        Map<String, Step> byId = new HashMap<>();
        Map<String, Integer> place = new HashMap<>();
        steps.forEach(step -> {
            place.put(step.id(), place.size());
            byId.put(step.id(), step);
        });
        Graph<String, Order> graph = new DirectedMultigraph<>(null, null, false);
        steps.forEach(step -> graph.addVertex(step.id()));
        List<Order> kept = new ArrayList<>();
        List<Order> broken = new ArrayList<>();
        orders.stream().filter(Order::isBinding).forEach(order -> {
            graph.addEdge(order.before(), order.after(), order);
            kept.add(order);
        });
        List<List<Step>> circles = circles(graph, byId);
        circles.stream()
                .flatMap(List::stream)
                .map(Step::id)
                .forEach(id -> Set.copyOf(graph.outgoingEdgesOf(id)).forEach(graph::removeEdge));
        for (Order order : orders) {
            if (!order.isBinding()) {
                if (leads(graph, order.after(), order.before())) {
                    broken.add(order);
                } else {
                    graph.addEdge(order.before(), order.after(), order);
                    kept.add(order);
                }
            }
        }
        Comparator<String> first = Comparator.<String, Section>comparing(
                        id -> byId.get(id).section())
                .thenComparing(place::get);
        List<Step> ordered = new ArrayList<>();
        new TopologicalOrderIterator<>(graph, first).forEachRemaining(id -> ordered.add(byId.get(id)));
        return new Ordering(ordered, kept, broken, circles);
    }

    /** Whether one step is before another, by whatever between them. */
    private static boolean leads(Graph<String, Order> graph, String from, String to) {
        Iterator<String> behind = new BreadthFirstIterator<>(graph, from);
        while (behind.hasNext()) {
            if (behind.next().equals(to)) {
                return true;
            }
        }
        return false;
    }

    private static List<List<Step>> circles(Graph<String, Order> graph, Map<String, Step> byId) {
        return new KosarajuStrongConnectivityInspector<>(graph)
                .stronglyConnectedSets().stream()
                        .filter(set -> set.size() > 1)
                        .map(set -> set.stream().sorted().map(byId::get).toList())
                        .toList();
    }
}
