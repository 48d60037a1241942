package kalodyne.core.runsheet;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jgrapht.Graph;

/** Whether one step is before another, by whatever between them. */
final class Reach {
    private Reach() {}

    static boolean leads(Graph<String, Order> graph, String from, String to) {
        Set<String> seen = new HashSet<>(List.of(from));
        Deque<String> open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            String at = open.poll();
            if (at.equals(to)) {
                return true;
            }
            graph.outgoingEdgesOf(at).stream()
                    .map(graph::getEdgeTarget)
                    .filter(seen::add)
                    .forEach(open::add);
        }
        return false;
    }
}
