package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

    private static final double DEVICE = 2;
    private static final double NOT_OWNED = 8;

    private final SimpleDirectedWeightedGraph<Node, DefaultWeightedEdge> graph =
            new SimpleDirectedWeightedGraph<>(DefaultWeightedEdge.class);
    private final Map<String, Device> devices;
    private final Set<String> owned;
    private final Joinings joinings;
    private final Map<String, Ports> ports = new HashMap<>();
    private final Map<List<Shape>, Optional<Double>> costs = new HashMap<>();

    /** A side of a device. */
    record Node(String device, Side side) {}

    enum Side {
        START,
        OUT,
        IN,
        DATA_OUT,
        DATA_IN,
        RECORDED
    }

    RouteGraph(Map<String, Device> devices, Set<String> owned, Joinings joinings, String source, String target) {
        this.devices = devices;
        this.owned = owned;
        this.joinings = joinings;
        devices.forEach((id, device) -> ports.put(id, new Ports(device)));
        Node start = new Node(source, Side.START);
        add(start, new Node(source, Side.OUT), 0);
        add(start, new Node(source, Side.DATA_OUT), 0);
        devices.keySet().forEach(id -> inside(id, source, target));
        join(source, target);
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
        Device device = devices.get(id);
        Ports here = ports.get(id);
        Inside inside = here.inside();
        double price = DEVICE + (owned.contains(id) ? 0 : NOT_OWNED);
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

    private void join(String source, String target) {
        List<Node> nodes = List.copyOf(graph.vertexSet());
        for (Node from : nodes) {
            if (from.side() != Side.OUT && from.side() != Side.DATA_OUT) {
                continue;
            }
            Side entry = from.side() == Side.OUT ? Side.IN : Side.DATA_IN;
            List<Edge> edges = new ArrayList<>();
            for (Node to : nodes) {
                boolean isOther = to.side() == entry
                        && !to.device().equals(from.device())
                        && !to.device().equals(source);
                if (isOther) {
                    cost(from, to).ifPresent(cost -> edges.add(new Edge(to, cost)));
                }
            }
            edges.sort(Comparator.comparingDouble(Edge::weight)
                    .thenComparing(edge -> edge.to().device()));
            int[] count = new int[2];
            edges.stream()
                    .filter(edge -> edge.to().device().equals(target)
                            || (owned.contains(edge.to().device())
                                    ? count[0]++ < MOST_NEIGHBOURS
                                    : count[1]++ < MOST_TO_GET))
                    .forEach(edge -> add(from, edge.to(), edge.weight()));
        }
    }

    private Optional<Double> cost(Node from, Node to) {
        List<Port> outs = from.side() == Side.OUT
                ? ports.get(from.device()).outlets()
                : ports.get(from.device()).dataOut().stream().toList();
        List<Port> ins = to.side() == Side.IN
                ? ports.get(to.device()).inlets()
                : ports.get(to.device()).dataIns();
        return outs.stream()
                .map(Port::shape)
                .distinct()
                .flatMap(out -> ins.stream().map(Port::shape).distinct().flatMap(in -> cost(out, in).stream()))
                .min(Double::compare);
    }

    private Optional<Double> cost(Shape out, Shape in) {
        return costs.computeIfAbsent(
                List.of(out, in),
                key -> joinings.of(out, in).stream()
                        .findFirst()
                        .map(joining -> 1.0 + joining.cost() + Mismatch.of(out.signal(), in.signal())));
    }

    /** Ways from the source to the recorder, the likeliest first. */
    Iterator<List<Node>> ways(String source, String target) {
        Node start = new Node(source, Side.START);
        Node end = new Node(target, Side.RECORDED);
        if (!graph.containsVertex(end) || !graph.containsVertex(start)) {
            return List.<List<Node>>of().iterator();
        }
        YenShortestPathIterator<Node, DefaultWeightedEdge> paths = new YenShortestPathIterator<>(graph, start, end);
        return new Iterator<>() {
            @Override
            public boolean hasNext() {
                return paths.hasNext();
            }

            @Override
            public List<Node> next() {
                GraphPath<Node, DefaultWeightedEdge> path = paths.next();
                return path.getVertexList();
            }
        };
    }

    Ports ports(String device) {
        return ports.get(device);
    }
}
