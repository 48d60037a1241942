package kalodyne.core.rigmap;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import kalodyne.core.joint.Spot;
import kalodyne.core.runsheet.PatchList;
import org.eclipse.elk.alg.layered.LayeredLayoutProvider;
import org.eclipse.elk.alg.layered.options.CrossingMinimizationStrategy;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
import org.eclipse.elk.alg.layered.options.OrderingStrategy;
import org.eclipse.elk.core.data.LayoutMetaDataService;
import org.eclipse.elk.core.math.ElkPadding;
import org.eclipse.elk.core.options.CoreOptions;
import org.eclipse.elk.core.options.Direction;
import org.eclipse.elk.core.options.EdgeRouting;
import org.eclipse.elk.core.options.PortConstraints;
import org.eclipse.elk.core.options.PortSide;
import org.eclipse.elk.core.util.BasicProgressMonitor;
import org.eclipse.elk.graph.ElkBendPoint;
import org.eclipse.elk.graph.ElkEdge;
import org.eclipse.elk.graph.ElkEdgeSection;
import org.eclipse.elk.graph.ElkLabel;
import org.eclipse.elk.graph.ElkNode;
import org.eclipse.elk.graph.ElkPort;
import org.eclipse.elk.graph.util.ElkGraphUtil;

/**
 * Where everything lies in the picture of a setup, by a layout in layers: devices in columns along the way of the signal, what gives at their right
 * edge, what takes at their left one, leads as lines with corners. In pixels of a drawing program, from the upper left corner.
 */
public final class MapLayout {
    public static final double HEAD = 30;
    public static final double ROW = 22;
    public static final double NAME_SIZE = 14;
    public static final double SOCKET_SIZE = 11.5;
    public static final double LABEL_SIZE = 11;
    private static final double PAD = 10;
    private static final double BETWEEN_COLUMNS = 16;
    private static final double BETWEEN = 10;
    private static final double MARGIN = 14;

    /** Of cards that are not plugged. */
    private static final double LEAST_ROW_WIDTH = 900;

    private final Letters letters;
    private final Function<RigMap.Line, String> wordsOf;

    /** A picture of this size with everything in its place. */
    public record Placed(double width, double height, List<Box> boxes, List<Line> lines) {}

    /** A device. */
    public record Box(RigMap.Card card, double x, double y, double width, double height, List<Port> ports) {}

    /** A socket at an edge of a device: how far down its middle is. */
    public record Port(RigMap.Port port, double y) {}

    /** A point of a line. */
    public record Corner(double x, double y) {}

    /**
     * A lead from one socket to another; a splitter is several.
     *
     * @param to the socket that this one leads to
     * @param at where the upper left corner of its words is
     */
    public record Line(
            RigMap.Line line, Spot to, List<Corner> corners, String words, Corner at, double width, double height) {}

    /** What an edge of the layout stands for. */
    private record Lead(RigMap.Line line, Spot to) {}

    /** Which side of which device a socket is drawn at: one that gives and takes is drawn at both. */
    private record Edge(Spot spot, boolean isGiving) {}

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    /**
     * A way of laying out.
     *
     * @param letters of the typeface that all of it is written in
     * @param wordsOf what stands on a line
     */
    public MapLayout(Letters letters, Function<RigMap.Line, String> wordsOf) {
        this.letters = letters;
        this.wordsOf = wordsOf;
    }

    /** Gives everything its place, with few crossings. Takes a moment when it is done for the first time. */
    public Placed place(RigMap map) {
        ElkNode graph = graph();
        graph.setProperty(LayeredOptions.CONSIDER_MODEL_ORDER_STRATEGY, OrderingStrategy.PREFER_NODES);
        return place(map, graph, node -> 0);
    }

    /**
     * The same after something was plugged or unplugged: what lay above another card stays above it.
     *
     * @param before where everything lay
     */
    public Placed place(RigMap map, Placed before) {
        Map<String, Double> heights = new HashMap<>();
        before.boxes().forEach(box -> heights.put(box.card().id(), box.y() + box.height() / 2));
        map.lines().forEach(line -> heights.putAll(besideWhatItIsPlugged(line, heights)));
        ElkNode graph = graph();
        graph.setProperty(LayeredOptions.CROSSING_MINIMIZATION_STRATEGY, CrossingMinimizationStrategy.INTERACTIVE);
        return place(map, graph, device -> heights.getOrDefault(device, before.height()));
    }

    /** What is new comes at the height of what it is plugged into. */
    private static Map<String, Double> besideWhatItIsPlugged(RigMap.Line line, Map<String, Double> heights) {
        List<String> devices =
                line.row().ends().stream().map(end -> end.spot().item()).toList();
        Optional<Double> known =
                devices.stream().filter(heights::containsKey).findFirst().map(heights::get);
        Map<String, Double> found = new HashMap<>();
        known.ifPresent(height -> devices.stream()
                .filter(device -> !heights.containsKey(device))
                .forEach(device -> found.put(device, height)));
        return found;
    }

    private static ElkNode graph() {
        ElkNode graph = ElkGraphUtil.createGraph();
        graph.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
        graph.setProperty(CoreOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        graph.setProperty(CoreOptions.PADDING, new ElkPadding(MARGIN));
        graph.setProperty(LayeredOptions.SPACING_NODE_NODE, 2.4 * BETWEEN);
        graph.setProperty(LayeredOptions.SPACING_EDGE_EDGE, BETWEEN);
        graph.setProperty(LayeredOptions.SPACING_EDGE_NODE, BETWEEN);
        graph.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, BETWEEN_COLUMNS);
        graph.setProperty(LayeredOptions.SPACING_EDGE_NODE_BETWEEN_LAYERS, BETWEEN);
        // All that begins a signal stands in the first column, whatever it leads to.
        graph.setProperty(CoreOptions.SEPARATE_CONNECTED_COMPONENTS, false);
        return graph;
    }

    private Placed place(RigMap map, ElkNode graph, ToDoubleFunction<String> heightOf) {
        Map<String, ElkNode> nodes = new LinkedHashMap<>();
        Map<Edge, ElkPort> ports = new LinkedHashMap<>();
        map.cards().stream().filter(card -> isPlugged(card)).forEach(card -> {
            ElkNode node = node(graph, card, ports);
            node.setLocation(0, heightOf.applyAsDouble(card.id()));
            nodes.put(card.id(), node);
        });
        Map<ElkEdge, Lead> leads = new LinkedHashMap<>();
        for (RigMap.Line line : map.lines()) {
            for (PatchList.End to : line.row().to()) {
                ElkEdge edge = ElkGraphUtil.createSimpleEdge(
                        ports.get(new Edge(line.row().from().spot(), true)), ports.get(new Edge(to.spot(), false)));
                boolean isStrong = line.worst().isPresent();
                String words = wordsOf.apply(line);
                ElkLabel label = ElkGraphUtil.createLabel(words, edge);
                label.setDimensions(
                        letters.width(words, LABEL_SIZE, isStrong) + (isStrong ? 1.6 : 0.8) * PAD, LABEL_SIZE + 4);
                label.setProperty(CoreOptions.EDGE_LABELS_INLINE, true);
                leads.put(edge, new Lead(line, to.spot()));
            }
        }
        if (!nodes.isEmpty()) {
            new LayeredLayoutProvider().layout(graph, new BasicProgressMonitor());
        }
        List<ElkNode> apart = new ArrayList<>();
        ElkNode bench = ElkGraphUtil.createGraph();
        map.cards().stream().filter(card -> !isPlugged(card)).forEach(card -> {
            nodes.put(card.id(), node(bench, card, ports));
            apart.add(nodes.get(card.id()));
        });
        double width = Math.max(graph.getWidth(), apart.isEmpty() ? 0 : LEAST_ROW_WIDTH);
        double height = inRows(apart, width, apart.size() == nodes.size() ? MARGIN : graph.getHeight());
        return new Placed(
                width,
                height,
                map.cards().stream()
                        .map(card -> box(card, nodes.get(card.id()), ports))
                        .toList(),
                leads.entrySet().stream()
                        .map(each -> line(each.getKey(), each.getValue()))
                        .toList());
    }

    private static boolean isPlugged(RigMap.Card card) {
        return card.ports().stream().anyMatch(port -> !port.isFree());
    }

    /** Puts what is not plugged beneath the rest; tells how far down it all goes then. */
    private static double inRows(List<ElkNode> nodes, double width, double top) {
        double x = MARGIN;
        double y = top;
        double bottom = top;
        for (ElkNode node : nodes) {
            if (x > MARGIN && x + node.getWidth() + MARGIN > width) {
                x = MARGIN;
                y = bottom;
            }
            node.setLocation(x, y);
            x += node.getWidth() + 2 * BETWEEN;
            bottom = Math.max(bottom, y + node.getHeight() + MARGIN);
        }
        return bottom;
    }

    /** Sockets in the order of the card, beneath its name: the picture stays when one more is plugged. */
    private ElkNode node(ElkNode graph, RigMap.Card card, Map<Edge, ElkPort> ports) {
        ElkNode node = ElkGraphUtil.createNode(graph);
        double[] widest = new double[2];
        int[] count = new int[2];
        for (RigMap.Port each : card.ports()) {
            int side = each.isGiving() ? 1 : 0;
            widest[side] = Math.max(widest[side], letters.width(each.name(), SOCKET_SIZE, false));
            count[side]++;
        }
        double gap = widest[0] > 0 && widest[1] > 0 ? 1.4 * PAD : 0;
        double width = Math.max(letters.width(card.name(), NAME_SIZE, true), widest[0] + gap + widest[1]) + 2 * PAD;
        node.setDimensions(width, HEAD + Math.max(count[0], count[1]) * ROW + PAD / 2);
        int[] placed = new int[2];
        for (RigMap.Port each : card.ports()) {
            int side = each.isGiving() ? 1 : 0;
            ElkPort port = ElkGraphUtil.createPort(node);
            port.setProperty(CoreOptions.PORT_SIDE, each.isGiving() ? PortSide.EAST : PortSide.WEST);
            port.setDimensions(0, 0);
            port.setLocation(side * width, HEAD + (placed[side] + 0.5) * ROW);
            placed[side]++;
            ports.put(new Edge(each.spot(), each.isGiving()), port);
        }
        node.setProperty(CoreOptions.PORT_CONSTRAINTS, PortConstraints.FIXED_POS);
        return node;
    }

    private static Box box(RigMap.Card card, ElkNode node, Map<Edge, ElkPort> ports) {
        List<Port> own = card.ports().stream()
                .map(port -> new Port(
                        port, ports.get(new Edge(port.spot(), port.isGiving())).getY()))
                .toList();
        return new Box(card, node.getX(), node.getY(), node.getWidth(), node.getHeight(), own);
    }

    private static Line line(ElkEdge edge, Lead lead) {
        ElkEdgeSection section = edge.getSections().get(0);
        List<Corner> corners = new ArrayList<>();
        corners.add(new Corner(section.getStartX(), section.getStartY()));
        for (ElkBendPoint bend : section.getBendPoints()) {
            corners.add(new Corner(bend.getX(), bend.getY()));
        }
        corners.add(new Corner(section.getEndX(), section.getEndY()));
        ElkLabel label = edge.getLabels().get(0);
        return new Line(
                lead.line(),
                lead.to(),
                corners,
                label.getText(),
                new Corner(label.getX(), label.getY()),
                label.getWidth(),
                label.getHeight());
    }
}
