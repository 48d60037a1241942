package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.shortestpath.YenShortestPathIterator;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleDirectedWeightedGraph;

/**
 * Which device can feed which, roughly: how many leads it takes and how well the sockets are made for each other. What a way
 * really does is computed later; this only brings the likely ones forward.
 */
final class RouteGraph {
    /** From one device not more than so many others are looked at, the likeliest; few shelves have more. */
    private static final int MOST_NEIGHBOURS = 12;

    private static final int MOST_TO_GET = 24;

    /** Between source and recorder. */
    private static final int MOST_DEVICES = 4;

    private static final double DEVICE = 2;
    private static final double NOT_OWNED = 8;
    private static final double DONE = 0.5;

    private final SimpleDirectedWeightedGraph<Node, DefaultWeightedEdge> graph =
            new SimpleDirectedWeightedGraph<>(DefaultWeightedEdge.class);
    private final Stock stock;
    private final Nearness nearness;

    /** A side of a device. */
    record Node(String device, Side side) {}

    /**
     * A way through sides of devices.
     *
     * @param breaks how many plugs sit in sockets, at the least
     */
    record Route(List<Node> nodes, int breaks) {
        Route {
            nodes = List.copyOf(nodes);
        }

        /** Marks of the devices, from the source to the recorder. */
        List<String> devices() {
            return nodes.stream().map(Node::device).distinct().toList();
        }
    }

    enum Side {
        START,
        OUT,
        IN,
        DATA_OUT,
        DATA_IN,
        RECORDED
    }

    /**
     * A graph.
     *
     * @param some the devices that may be used, both ends among them
     * @param there what is plugged already
     */
    RouteGraph(Stock stock, Set<String> some, Nearness nearness, List<Hop> there, String source, String target) {
        this.stock = stock;
        this.nearness = nearness;
        Node start = new Node(source, Side.START);
        add(start, new Node(source, Side.OUT), 0);
        add(start, new Node(source, Side.DATA_OUT), 0);
        some.forEach(id -> inside(id, source, target));
        join(new Node(target, Side.RECORDED));
        there.forEach(this::add);
    }

    /** What is plugged already costs nothing. */
    private void add(Hop hop) {
        boolean isData = hop.from().shape().isDigital();
        Node from = new Node(hop.from().device(), isData ? Side.DATA_OUT : Side.OUT);
        Node to = new Node(hop.to().device(), isData ? Side.DATA_IN : Side.IN);
        if (graph.containsVertex(from) && graph.containsVertex(to)) {
            add(from, to, DONE);
            graph.setEdgeWeight(graph.getEdge(from, to), DONE);
        }
    }

    private void add(Node from, Node to, double weight) {
        graph.addVertex(from);
        graph.addVertex(to);
        DefaultWeightedEdge edge = graph.addEdge(from, to);
        if (edge != null) {
            graph.setEdgeWeight(edge, weight);
        }
    }

    /** Ways through a device. */
    private void inside(String id, String source, String target) {
        if (id.equals(source)) {
            return;
        }
        Device device = stock.device(id);
        Ports here = stock.ports(id);
        Inside inside = here.inside();
        double price = DEVICE + (Missing.is(id) ? NOT_OWNED : 0);
        boolean converts = here.inlets().stream().anyMatch(here::converts);
        if (id.equals(target)) {
            Node end = new Node(id, Side.RECORDED);
            if (converts || device.kind() == DeviceKind.MIXER) {
                add(new Node(id, Side.IN), end, 0);
            }
            if (!here.dataIns().isEmpty()) {
                add(new Node(id, Side.DATA_IN), end, 0);
            }
            return;
        }
        // A loudspeaker that passes a signal on stands at the end of it, not before a recorder.
        boolean passes = device.kind() != DeviceKind.SPEAKER
                && here.inlets().stream()
                        .anyMatch(in -> here.outlets().stream().anyMatch(out -> inside.passes(in, out)));
        if (passes) {
            add(new Node(id, Side.IN), new Node(id, Side.OUT), price);
        }
        if (converts && here.dataOut().isPresent()) {
            add(new Node(id, Side.IN), new Node(id, Side.DATA_OUT), price);
        }
        if (device.kind() == DeviceKind.HUB && !here.dataIns().isEmpty()) {
            add(new Node(id, Side.DATA_IN), new Node(id, Side.DATA_OUT), price);
        }
    }

    private record Edge(Node to, double weight) {}

    private void join(Node end) {
        Map<Node, List<Edge>> joined = new LinkedHashMap<>();
        List<Node> nodes = List.copyOf(graph.vertexSet());
        for (Node from : nodes) {
            if (from.side() == Side.OUT || from.side() == Side.DATA_OUT) {
                joined.put(from, edges(from, nodes));
            }
        }
        Map<Node, Double> left = left(joined, end);
        joined.forEach((from, edges) ->
                likeliest(edges, left, end.device()).forEach(edge -> add(from, edge.to(), edge.weight())));
    }

    private List<Edge> edges(Node from, List<Node> nodes) {
        Side entry = from.side() == Side.OUT ? Side.IN : Side.DATA_IN;
        List<Edge> edges = new ArrayList<>();
        for (Node to : nodes) {
            if (to.side() == entry && !to.device().equals(from.device())) {
                nearness.cost(from, to).ifPresent(cost -> edges.add(new Edge(to, cost)));
            }
        }
        return edges;
    }

    /** How far it is yet from each side to the recorder, through a few devices at the most. */
    private Map<Node, Double> left(Map<Node, List<Edge>> joined, Node end) {
        Map<Node, Double> left = new HashMap<>(Map.of(end, 0.0));
        for (int i = 0; i < MOST_DEVICES; i++) {
            for (DefaultWeightedEdge edge : graph.edgeSet()) {
                Double after = left.get(graph.getEdgeTarget(edge));
                if (after != null) {
                    left.merge(graph.getEdgeSource(edge), graph.getEdgeWeight(edge) + after, Math::min);
                }
            }
            joined.forEach((from, edges) -> {
                for (Edge edge : edges) {
                    Double after = left.get(edge.to());
                    if (after != null) {
                        left.merge(from, edge.weight() + after, Math::min);
                    }
                }
            });
        }
        return left;
    }

    /** The recorder, and the likeliest few kinds of devices by which one gets there: of those alike all. */
    private List<Edge> likeliest(List<Edge> edges, Map<Node, Double> left, String target) {
        Set<Integer> owned = new HashSet<>();
        Set<Integer> toGet = new HashSet<>();
        return edges.stream()
                .filter(edge -> left.containsKey(edge.to()))
                .sorted(Comparator.comparingDouble((Edge edge) -> edge.weight() + left.get(edge.to()))
                        .thenComparing(edge -> edge.to().device()))
                .filter(edge -> {
                    String device = edge.to().device();
                    Set<Integer> kinds = Missing.is(device) ? toGet : owned;
                    int most = Missing.is(device) ? MOST_TO_GET : MOST_NEIGHBOURS;
                    int kind = stock.kind(device);
                    return device.equals(target) || kinds.contains(kind) || (kinds.size() < most && kinds.add(kind));
                })
                .toList();
    }

    /** Ways from the source to the recorder, the likeliest first. */
    Iterator<Route> ways(String source, String target) {
        Node start = new Node(source, Side.START);
        Node end = new Node(target, Side.RECORDED);
        if (!graph.containsVertex(end) || !graph.containsVertex(start)) {
            return List.<Route>of().iterator();
        }
        YenShortestPathIterator<Node, DefaultWeightedEdge> paths = new YenShortestPathIterator<>(graph, start, end);
        return new Iterator<>() {
            @Override
            public boolean hasNext() {
                return paths.hasNext();
            }

            @Override
            public Route next() {
                GraphPath<Node, DefaultWeightedEdge> path = paths.next();
                return new Route(path.getVertexList(), nearness.breaks(path.getVertexList()));
            }
        };
    }
}
