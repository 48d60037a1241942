package kalodyne.core.route;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.route.RouteGraph.Node;
import kalodyne.core.route.RouteGraph.Route;

/** Ways through devices, found when they are asked for; of those through devices that are alike one. */
final class Routes {
    private final Iterator<Route> ways;
    private final Stock stock;
    private final List<Route> found = new ArrayList<>();
    private final Map<List<Object>, Integer> kinds = new HashMap<>();
    private final int most;

    /**
     * Ways.
     *
     * @param most so many through devices that are alike: each source may need its own
     */
    Routes(Iterator<Route> ways, Stock stock, int most) {
        this.most = most;
        this.ways = ways;
        this.stock = stock;
    }

    Optional<Route> get(int index) {
        while (found.size() <= index && ways.hasNext()) {
            Route way = ways.next();
            if (kinds.merge(kind(way.nodes()), 1, Integer::sum) <= most) {
                found.add(way);
            }
        }
        return index < found.size() ? Optional.of(found.get(index)) : Optional.empty();
    }

    private List<Object> kind(List<Node> way) {
        return way.stream()
                .<Object>map(node -> List.of(stock.kind(node.device()), node.side()))
                .toList();
    }
}
