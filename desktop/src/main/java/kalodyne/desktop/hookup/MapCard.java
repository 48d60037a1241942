package kalodyne.desktop.hookup;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.geometry.Point2D;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Circle;
import kalodyne.core.rigmap.MapLayout;
import kalodyne.core.rigmap.RigMap;
import kalodyne.desktop.control.Styled;

/** A device on the map with its sockets: where the signal comes in at the left edge, where it leaves at the right one. */
final class MapCard extends Pane {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final double DOT = 4.5;
    private static final double INDENT = 10;

    private final MapLayout.Box box;
    private final Map<RigMap.Port, Circle> dots = new LinkedHashMap<>();

    MapCard(MapLayout.Box box) {
        this.box = box;
        getStyleClass().add("map-card");
        setId("map-card-" + box.card().id());
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.BUTTON);
        setAccessibleText(spoken(box.card()));
        setMinSize(box.width(), box.height());
        setMaxSize(box.width(), box.height());
        relocate(box.x(), box.y());
        Label name = Styled.of(new Label(box.card().name())).as("map-name").node();
        place(name, 0, MapLayout.HEAD / 2, box.width(), Pos.CENTER);
        box.ports().forEach(this::add);
    }

    private static String spoken(RigMap.Card card) {
        return card.name() + ": "
                + card.ports().stream()
                        .map(port -> port.name() + (port.isFree() ? ", free" : ""))
                        .collect(Collectors.joining("; "));
    }

    private void add(MapLayout.Port placed) {
        RigMap.Port port = placed.port();
        Circle dot = new Circle(port.isGiving() ? box.width() : 0, placed.y(), DOT);
        dot.getStyleClass().addAll("map-dot", port.isFree() ? "free" : "used");
        dots.put(port, dot);
        Label words = Styled.of(new Label(port.name()))
                .as("map-socket", port.isFree() ? "free" : "used")
                .node();
        place(
                words,
                INDENT,
                placed.y(),
                box.width() - 2 * INDENT,
                port.isGiving() ? Pos.CENTER_RIGHT : Pos.CENTER_LEFT);
        getChildren().add(dot);
    }

    private void place(Label label, double x, double middle, double width, Pos where) {
        label.setAlignment(where);
        label.setMouseTransparent(true);
        label.setMinSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        label.setPrefSize(width, MapLayout.ROW);
        label.relocate(x, middle - MapLayout.ROW / 2);
        getChildren().add(label);
    }

    RigMap.Card card() {
        return box.card();
    }

    MapLayout.Box box() {
        return box;
    }

    void choose(boolean isChosen) {
        pseudoClassStateChanged(CHOSEN, isChosen);
    }

    /** The socket at a place of the card: of those at its own edge the one in that line. */
    Optional<RigMap.Port> portAt(Point2D inCard) {
        return box.ports().stream()
                .filter(port -> Math.abs(port.y() - inCard.getY()) <= MapLayout.ROW / 2)
                .min((one, other) -> Double.compare(distance(one, inCard), distance(other, inCard)))
                .map(MapLayout.Port::port);
    }

    private double distance(MapLayout.Port port, Point2D inCard) {
        return Math.abs((port.port().isGiving() ? box.width() : 0) - inCard.getX());
    }

    /** Where a socket is on the map. */
    Point2D middle(RigMap.Port port) {
        Circle dot = dots.get(port);
        return new Point2D(box.x() + dot.getCenterX(), box.y() + dot.getCenterY());
    }

    /** Shows that a lead could be let go here. */
    void aim(RigMap.Port port, boolean isAimedAt) {
        dots.get(port).pseudoClassStateChanged(CHOSEN, isAimedAt);
    }
}
