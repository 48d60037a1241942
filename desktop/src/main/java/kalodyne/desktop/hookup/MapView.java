package kalodyne.desktop.hookup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;
import javafx.scene.transform.Scale;
import kalodyne.core.joint.Spot;
import kalodyne.core.rigmap.MapLayout.Corner;
import kalodyne.core.rigmap.MapLayout.Placed;
import kalodyne.core.rigmap.RigMap;
import kalodyne.desktop.control.Copying;

/**
 * The whole setup as a map. A click on a line opens its contacts; a lead is drawn from socket to socket; arrows lead along the
 * signal. As large as the text around, or a little smaller where it then fits.
 */
final class MapView extends ScrollPane {
    /** That all measures of the layout are made for. */
    private static final double LAYOUT_EM = 14;

    /** Smaller, nobody could read it. */
    private static final double SMALLEST = 0.77;

    private final MapModel model;
    private final Runnable open;
    private final BiConsumer<Spot, Spot> plug;
    private final Pane sheet = new Pane();
    private final Scale scale = new Scale();
    private final Line drawn = new Line();
    private final Label measure = new Label();
    private final List<MapCard> cards = new ArrayList<>();
    private final List<MapLine> lines = new ArrayList<>();
    private final ContextMenu menu = new ContextMenu();
    private Optional<Hold> held = Optional.empty();

    /** A lead that is being drawn from a socket, and the socket that it is over. */
    private record Hold(MapCard card, RigMap.Port port, Optional<Aim> aim) {}

    private record Aim(MapCard card, RigMap.Port port) {}

    /**
     * A map.
     *
     * @param open opens the contacts of the joint that is chosen
     * @param unplug pulls what is chosen
     * @param plug asks what should join two sockets
     */
    MapView(MapModel model, Runnable open, Runnable unplug, BiConsumer<Spot, Spot> plug) {
        this.model = model;
        this.open = open;
        this.plug = plug;
        setId("rig-map");
        getStyleClass().add("rig-map");
        setFitToHeight(false);
        setFocusTraversable(false);
        setPannable(true);
        sheet.getTransforms().add(scale);
        drawn.getStyleClass().add("map-drawn");
        drawn.setMouseTransparent(true);
        measure.setVisible(false);
        setContent(new Group(sheet));
        MenuItem contacts = new MenuItem("Contacts");
        contacts.setOnAction(event -> open.run());
        MenuItem pull = new MenuItem("Unplug");
        pull.setOnAction(event -> unplug.run());
        menu.getItems().addAll(contacts, pull, Copying.pictureItem("the map", sheet));
        setContextMenu(new ContextMenu(Copying.pictureItem("the map", sheet)));
        model.placedProperty().addListener(change -> show());
        viewportBoundsProperty().addListener(change -> fit());
        measure.fontProperty().addListener(change -> fit());
        sheet.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        // While the map is moved nothing on it changes: its picture is moved.
        addEventFilter(MouseEvent.DRAG_DETECTED, event -> sheet.setCache(held.isEmpty()));
        addEventFilter(MouseEvent.MOUSE_RELEASED, event -> sheet.setCache(false));
        show();
    }

    private void show() {
        Optional<String> focused = Optional.ofNullable(getScene())
                .map(scene -> scene.getFocusOwner())
                .filter(owner -> isPart(owner))
                .map(Node::getId);
        sheet.getChildren().clear();
        cards.clear();
        lines.clear();
        model.placedProperty().get().ifPresent(this::draw);
        showChosen();
        focused.flatMap(id -> parts().filter(part -> part.getId().equals(id)).findFirst())
                .ifPresent(Node::requestFocus);
    }

    private boolean isPart(Node node) {
        return node instanceof MapCard || node instanceof MapLine;
    }

    private Stream<Node> parts() {
        return Stream.concat(lines.stream(), cards.stream());
    }

    private void draw(Placed placed) {
        sheet.setPrefSize(placed.width(), placed.height());
        placed.lines().forEach(line -> add(new MapLine(line)));
        placed.boxes().forEach(box -> add(new MapCard(box)));
        sheet.getChildren().addAll(lines);
        sheet.getChildren().addAll(cards);
        drawn.setVisible(false);
        sheet.getChildren().addAll(drawn, measure);
        fit();
    }

    private void add(MapLine line) {
        line.setOnMouseClicked(event -> {
            line.requestFocus();
            model.choose(line.line());
            if (event.getButton() == MouseButton.PRIMARY) {
                open.run();
            }
        });
        line.setOnContextMenuRequested(event -> {
            model.choose(line.line());
            menu.show(line, event.getScreenX(), event.getScreenY());
            event.consume();
        });
        lines.add(line);
    }

    private void add(MapCard card) {
        card.setOnMousePressed(event -> take(card, event));
        card.setOnMouseDragged(this::draw);
        card.setOnMouseReleased(event -> let());
        card.setOnMouseClicked(event -> {
            card.requestFocus();
            model.choose(card.card());
        });
        cards.add(card);
    }

    /** As large as it fits, but never so small that it cannot be read. */
    private void fit() {
        model.placedProperty().get().ifPresent(placed -> {
            double usual = measure.getFont().getSize() / LAYOUT_EM;
            double width = getViewportBounds().getWidth();
            double share = width <= 0 ? 1 : width / (placed.width() * usual);
            scale.setX(usual * Math.max(SMALLEST, Math.min(1, share)));
            scale.setY(scale.getX());
        });
    }

    // --- what is chosen ----------------------------------------------------------------------------------------

    void showChosen() {
        lines.forEach(line -> line.choose(model.isChosen(line.line())));
        lines.stream().filter(line -> model.isChosen(line.line())).findFirst().ifPresent(this::reveal);
    }

    private void reveal(Node part) {
        Bounds all = getContent().getLayoutBounds();
        Bounds seen = getViewportBounds();
        Bounds here = getContent().sceneToLocal(part.localToScene(part.getLayoutBounds()));
        if (here == null) {
            return;
        }
        setHvalue(along(getHvalue(), here.getMinX(), here.getMaxX(), all.getWidth(), seen.getWidth()));
        setVvalue(along(getVvalue(), here.getMinY(), here.getMaxY(), all.getHeight(), seen.getHeight()));
    }

    /** How far to scroll so that a stretch is seen: not at all where it is. */
    private static double along(double value, double from, double to, double all, double seen) {
        double hidden = all - seen;
        if (hidden <= 0) {
            return 0;
        }
        double start = value * hidden;
        if (from >= start && to <= start + seen) {
            return value;
        }
        return Math.max(0, Math.min(1, ((from + to) / 2 - seen / 2) / hidden));
    }

    // --- by keyboard -------------------------------------------------------------------------------------------

    /** Focuses what is chosen, so that the arrows go on from there. */
    void focus() {
        Stream.concat(lines.stream().filter(line -> model.isChosen(line.line())), parts())
                .findFirst()
                .ifPresent(Node::requestFocus);
    }

    private void key(KeyEvent event) {
        Node part = (Node) event.getTarget();
        switch (event.getCode()) {
            case RIGHT -> go(part instanceof MapLine line ? endOf(line) : leaving((MapCard) part));
            case LEFT -> go(part instanceof MapLine line ? startOf(line) : entering((MapCard) part));
            case DOWN -> go(beside(part, 1));
            case UP -> go(beside(part, -1));
            case ENTER, SPACE -> {
                choose(part);
                if (part instanceof MapLine) {
                    open.run();
                }
            }
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void go(Optional<? extends Node> to) {
        to.ifPresent(part -> {
            part.requestFocus();
            reveal(part);
            choose(part);
        });
    }

    private void choose(Node part) {
        if (part instanceof MapLine line) {
            model.choose(line.line());
        } else if (part instanceof MapCard card) {
            model.choose(card.card());
        }
    }

    private Optional<MapCard> card(Spot spot) {
        return cards.stream()
                .filter(card -> card.card().id().equals(spot.item()))
                .findFirst();
    }

    private Optional<MapCard> startOf(MapLine line) {
        return card(line.line().row().from().spot());
    }

    private Optional<MapCard> endOf(MapLine line) {
        return card(line.placed().to());
    }

    private Optional<MapLine> leaving(MapCard card) {
        return lines.stream()
                .filter(line -> startOf(line).filter(card::equals).isPresent())
                .findFirst();
    }

    private Optional<MapLine> entering(MapCard card) {
        return lines.stream()
                .filter(line -> endOf(line).filter(card::equals).isPresent())
                .findFirst();
    }

    /** The next of its own kind in the same column, by height; lines column by column. */
    private Optional<? extends Node> beside(Node part, int direction) {
        List<? extends Node> column = part instanceof MapCard here
                ? cards.stream()
                        .filter(card -> card.box().x()
                                        < here.box().x() + here.box().width()
                                && here.box().x() < card.box().x() + card.box().width())
                        .sorted(Comparator.comparingDouble(card -> card.box().y()))
                        .toList()
                : lines.stream()
                        .sorted(Comparator.comparingDouble(
                                        (MapLine line) -> start(line).x())
                                .thenComparingDouble(line -> start(line).y()))
                        .toList();
        int next = column.indexOf(part) + direction;
        return next >= 0 && next < column.size() ? Optional.of(column.get(next)) : Optional.empty();
    }

    private static Corner start(MapLine line) {
        return line.placed().corners().get(0);
    }

    // --- drawing a lead from socket to socket ------------------------------------------------------------------

    private void take(MapCard card, MouseEvent event) {
        held = event.getButton() == MouseButton.PRIMARY
                ? card.portAt(new Point2D(event.getX(), event.getY()))
                        .map(port -> new Hold(card, port, Optional.empty()))
                : Optional.empty();
        event.consume();
    }

    private void draw(MouseEvent event) {
        held.ifPresent(hold -> {
            Point2D here = sheet.sceneToLocal(event.getSceneX(), event.getSceneY());
            Point2D start = hold.card().middle(hold.port());
            drawn.setStartX(start.getX());
            drawn.setStartY(start.getY());
            drawn.setEndX(here.getX());
            drawn.setEndY(here.getY());
            drawn.setVisible(true);
            aim(hold, aimAt(hold, here));
        });
        event.consume();
    }

    private Optional<Aim> aimAt(Hold hold, Point2D here) {
        return cards.stream()
                .filter(card -> card.getBoundsInParent().contains(here) && !card.equals(hold.card()))
                .findFirst()
                .flatMap(card -> card.portAt(card.parentToLocal(here)).map(port -> new Aim(card, port)));
    }

    private void aim(Hold hold, Optional<Aim> now) {
        if (!now.equals(hold.aim())) {
            hold.aim().ifPresent(aim -> aim.card().aim(aim.port(), false));
            now.ifPresent(aim -> aim.card().aim(aim.port(), true));
            held = Optional.of(new Hold(hold.card(), hold.port(), now));
        }
    }

    private void let() {
        drawn.setVisible(false);
        Optional<Hold> done = held;
        held = Optional.empty();
        done.ifPresent(hold -> hold.aim().ifPresent(aim -> {
            aim.card().aim(aim.port(), false);
            boolean isForward = hold.port().isGiving() || !aim.port().isGiving();
            plug.accept(
                    isForward ? hold.port().spot() : aim.port().spot(),
                    isForward ? aim.port().spot() : hold.port().spot());
        }));
    }
}
