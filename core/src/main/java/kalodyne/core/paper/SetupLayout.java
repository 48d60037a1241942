package kalodyne.core.paper;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kalodyne.core.joint.Spot;
import kalodyne.core.runsheet.PatchList;
import org.eclipse.elk.alg.layered.LayeredLayoutProvider;
import org.eclipse.elk.alg.layered.options.LayeredMetaDataProvider;
import org.eclipse.elk.alg.layered.options.LayeredOptions;
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
 * Where everything lies in the picture of a setup: devices in columns along the way of the signal, what gives at their right
 * edge, what takes at their left one, leads as lines with corners. In pixels of a drawing program, from the upper left corner.
 */
final class SetupLayout {
    static final double HEAD = 30;
    static final double ROW = 22;
    static final double NAME_SIZE = 14;
    static final double SOCKET_SIZE = 11.5;
    static final double LABEL_SIZE = 11;
    private static final double PAD = 12;
    private static final double BETWEEN_COLUMNS = 34;
    private static final double BETWEEN = 16;
    private static final double MARGIN = 24;

    /** Programs that do not take the typeface from the drawing put a wider one in its place. */
    private static final double SLACK = 1.15;

    private final TextWidth regular = TextWidth.of(Pages.Weight.REGULAR);
    private final TextWidth strong = TextWidth.of(Pages.Weight.STRONG);

    /** A picture of this size with everything in its place. */
    record Placed(double width, double height, List<Box> boxes, List<Line> lines) {}

    /** A device. */
    record Box(String name, double x, double y, double width, double height, List<Port> ports) {}

    /** A socket at an edge of a device: how far down its middle is. */
    record Port(String name, boolean isGiving, double y) {}

    /** A point of a line. */
    record Corner(double x, double y) {}

    /** A lead from one socket to another, and where the upper left corner of its words is. */
    record Line(PatchList.Row row, List<Corner> corners, String words, Corner at, double width, double height) {}

    /** Which side of which device a socket is drawn at: one that gives and takes is drawn at both. */
    private record Edge(Spot spot, boolean isGiving) {}

    static {
        LayoutMetaDataService.getInstance().registerLayoutMetaDataProviders(new LayeredMetaDataProvider());
    }

    Placed place(List<PatchList.Row> rows) {
        ElkNode graph = ElkGraphUtil.createGraph();
        graph.setProperty(CoreOptions.DIRECTION, Direction.RIGHT);
        graph.setProperty(CoreOptions.EDGE_ROUTING, EdgeRouting.ORTHOGONAL);
        graph.setProperty(CoreOptions.PADDING, new ElkPadding(MARGIN));
        graph.setProperty(LayeredOptions.SPACING_NODE_NODE, 2 * BETWEEN);
        graph.setProperty(LayeredOptions.SPACING_EDGE_EDGE, BETWEEN);
        graph.setProperty(LayeredOptions.SPACING_EDGE_NODE, BETWEEN);
        graph.setProperty(LayeredOptions.SPACING_NODE_NODE_BETWEEN_LAYERS, BETWEEN_COLUMNS);
        graph.setProperty(LayeredOptions.SPACING_EDGE_NODE_BETWEEN_LAYERS, BETWEEN);
        graph.setProperty(LayeredOptions.SPACING_COMPONENT_COMPONENT, 2 * BETWEEN);
        Map<String, ElkNode> nodes = new LinkedHashMap<>();
        Map<Edge, ElkPort> ports = new LinkedHashMap<>();
        Map<String, Set<Edge>> edges = sockets(rows);
        Map<Spot, String> names = names(rows);
        edges.forEach((device, all) -> nodes.put(device, node(graph, rows, device, all, names, ports)));
        Map<ElkEdge, PatchList.Row> lines = new LinkedHashMap<>();
        for (PatchList.Row row : rows) {
            for (PatchList.End to : row.to()) {
                ElkEdge edge = ElkGraphUtil.createSimpleEdge(
                        ports.get(new Edge(row.from().spot(), true)), ports.get(new Edge(to.spot(), false)));
                ElkLabel label = ElkGraphUtil.createLabel(words(row), edge);
                label.setDimensions(width(row) + PAD, LABEL_SIZE + 4);
                label.setProperty(CoreOptions.EDGE_LABELS_INLINE, true);
                lines.put(edge, row);
            }
        }
        new LayeredLayoutProvider().layout(graph, new BasicProgressMonitor());
        return new Placed(
                graph.getWidth(),
                graph.getHeight(),
                nodes.values().stream().map(node -> box(node, ports)).toList(),
                lines.entrySet().stream()
                        .map(each -> line(each.getKey(), each.getValue()))
                        .toList());
    }

    private static Map<String, Set<Edge>> sockets(List<PatchList.Row> rows) {
        Map<String, Set<Edge>> all = new LinkedHashMap<>();
        for (PatchList.Row row : rows) {
            for (PatchList.End end : row.ends()) {
                all.computeIfAbsent(end.spot().item(), device -> new LinkedHashSet<>())
                        .add(new Edge(end.spot(), end.equals(row.from())));
            }
        }
        return all;
    }

    private static Map<Spot, String> names(List<PatchList.Row> rows) {
        Map<Spot, String> names = new HashMap<>();
        rows.forEach(row -> row.ends().forEach(end -> names.put(end.spot(), end.socket())));
        return names;
    }

    /** "7 blue", and how bad the worst is that was noticed, as a word: a line has no room for more. */
    private static String words(PatchList.Row row) {
        return row.number()
                + (row.colour().isEmpty() ? "" : " " + row.colour())
                + row.caution().map(worst -> " · " + worst.severity().word()).orElse("");
    }

    private double width(PatchList.Row row) {
        return SLACK * (row.caution().isPresent() ? strong : regular).of(words(row), LABEL_SIZE);
    }

    private ElkNode node(
            ElkNode graph,
            List<PatchList.Row> rows,
            String device,
            Set<Edge> edges,
            Map<Spot, String> names,
            Map<Edge, ElkPort> ports) {
        ElkNode node = ElkGraphUtil.createNode(graph);
        String name = rows.stream()
                .flatMap(row -> row.ends().stream())
                .filter(end -> end.spot().item().equals(device))
                .findFirst()
                .orElseThrow()
                .device();
        node.setIdentifier(name);
        double[] widest = new double[2];
        int[] count = new int[2];
        for (Edge edge : edges) {
            int side = edge.isGiving() ? 1 : 0;
            widest[side] = Math.max(widest[side], SLACK * regular.of(names.get(edge.spot()), SOCKET_SIZE));
            ElkPort port = ElkGraphUtil.createPort(node);
            port.setIdentifier(names.get(edge.spot()));
            port.setProperty(CoreOptions.PORT_SIDE, edge.isGiving() ? PortSide.EAST : PortSide.WEST);
            port.setDimensions(0, 0);
            count[side]++;
            ports.put(edge, port);
        }
        double gap = widest[0] > 0 && widest[1] > 0 ? 2 * PAD : 0;
        double width = Math.max(SLACK * strong.of(name, NAME_SIZE), widest[0] + gap + widest[1]) + 2 * PAD;
        double height = HEAD + Math.max(count[0], count[1]) * ROW + PAD / 2;
        node.setDimensions(width, height);
        // Sockets in the order in which they were plugged, beneath the name: the picture stays when one more is
        // plugged.
        int[] placed = new int[2];
        for (Edge edge : edges) {
            int side = edge.isGiving() ? 1 : 0;
            ports.get(edge).setLocation(side * width, HEAD + (placed[side] + 0.5) * ROW);
            placed[side]++;
        }
        node.setProperty(CoreOptions.PORT_CONSTRAINTS, PortConstraints.FIXED_POS);
        return node;
    }

    private static Box box(ElkNode node, Map<Edge, ElkPort> ports) {
        List<Port> own = new ArrayList<>();
        ports.forEach((edge, port) -> {
            if (port.getParent().equals(node)) {
                own.add(new Port(port.getIdentifier(), edge.isGiving(), port.getY()));
            }
        });
        return new Box(node.getIdentifier(), node.getX(), node.getY(), node.getWidth(), node.getHeight(), own);
    }

    private static Line line(ElkEdge edge, PatchList.Row row) {
        ElkEdgeSection section = edge.getSections().get(0);
        List<Corner> corners = new ArrayList<>();
        corners.add(new Corner(section.getStartX(), section.getStartY()));
        for (ElkBendPoint bend : section.getBendPoints()) {
            corners.add(new Corner(bend.getX(), bend.getY()));
        }
        corners.add(new Corner(section.getEndX(), section.getEndY()));
        ElkLabel label = edge.getLabels().get(0);
        return new Line(
                row,
                corners,
                label.getText(),
                new Corner(label.getX(), label.getY()),
                label.getWidth(),
                label.getHeight());
    }
}
