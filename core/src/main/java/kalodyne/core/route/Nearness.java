package kalodyne.core.route;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.route.RouteGraph.Node;
import kalodyne.core.route.RouteGraph.Side;

/** How well sides of devices are made for each other, as far as one sees without computing; the same for all graphs of a search. */
final class Nearness {
    private static final double HOP = 1;

    private final Stock stock;
    private final Joinings joinings;
    private final Map<Node, List<Shape>> shapes = new HashMap<>();
    private final Map<Shape, Map<Shape, Optional<Double>>> costs = new HashMap<>();

    Nearness(Stock stock, Joinings joinings) {
        this.stock = stock;
        this.joinings = joinings;
    }

    /** The shapes of what comes out of a side, or goes into it. */
    private List<Shape> shapes(Node node) {
        return shapes.computeIfAbsent(
                node, each -> ports(each).map(Port::shape).distinct().toList());
    }

    private Stream<Port> ports(Node node) {
        Ports ports = stock.ports(node.device());
        return switch (node.side()) {
            case OUT -> ports.outlets().stream();
            case IN -> ports.inlets().stream();
            case DATA_OUT -> ports.dataOut().stream();
            case DATA_IN -> ports.dataIns().stream();
            case START, RECORDED -> Stream.empty();
        };
    }

    /** What it takes to join them; empty where no leads do. */
    Optional<Double> cost(Node from, Node to) {
        Double least = null;
        for (Shape out : shapes(from)) {
            Map<Shape, Optional<Double>> known = costs.computeIfAbsent(out, each -> new HashMap<>());
            for (Shape in : shapes(to)) {
                Optional<Double> cost = known.computeIfAbsent(in, each -> cost(out, each));
                if (cost.isPresent() && (least == null || cost.get() < least)) {
                    least = cost.get();
                }
            }
        }
        return Optional.ofNullable(least);
    }

    private Optional<Double> cost(Shape out, Shape in) {
        return joinings.simplest(out, in).map(joining -> HOP + joining.cost() + Mismatch.of(out.signal(), in.signal()));
    }

    /** How many plugs sit in sockets on a way through sides of devices, at the least. */
    int breaks(List<Node> nodes) {
        int breaks = 0;
        for (int i = 0; i + 1 < nodes.size(); i++) {
            Node from = nodes.get(i);
            Node to = nodes.get(i + 1);
            boolean isHop = to.side() == Side.IN || to.side() == Side.DATA_IN;
            if (isHop) {
                breaks += isDirect(from, to) ? 1 : 2;
            }
        }
        return breaks;
    }

    private boolean isDirect(Node from, Node to) {
        return shapes(from).stream()
                .anyMatch(out -> shapes(to).stream()
                        .anyMatch(in -> joinings.simplest(out, in)
                                .filter(joining -> joining.leads().isEmpty())
                                .isPresent()));
    }
}
