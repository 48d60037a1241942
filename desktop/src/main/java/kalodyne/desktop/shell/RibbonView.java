package kalodyne.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.InvalidationListener;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.value.ObservableBooleanValue;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.Station;
import kalodyne.desktop.control.RunLine;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.StudioModel;

/**
 * The run as a row of stations and joints, each with the worst that was found at it. Choosing one focuses every room. A run that
 * is longer than the window is scrolled, and the chosen one kept in sight.
 */
final class RibbonView extends ScrollPane {
    /** All wires start as long and grow alike. */
    private static final double WIRE_WIDTH = 80;

    private final StudioModel studio;
    private final HBox row = new HBox();
    private final ToggleGroup group = new ToggleGroup();
    private final List<Piece> pieces = new ArrayList<>();
    private List<Station> shownStations = List.of();

    private final InvalidationListener shown = change -> show();
    private ObservableBooleanValue onRun = new SimpleBooleanProperty(true);

    private record Piece(ToggleButton button, Label name, Label detail, SeverityMark mark) {}

    RibbonView(StudioModel studio) {
        this.studio = studio;
        getStyleClass().add("ribbon-scroll");
        setVbarPolicy(ScrollBarPolicy.NEVER);
        setFitToHeight(true);
        setFitToWidth(true);
        setFocusTraversable(false);
        setContent(row);
        Styled.of(row).as("ribbon").id("ribbon");
        studio.readingProperty().addListener(change -> show());
        studio.focusProperty().addListener(change -> show());
        show();
    }

    /** Marks what is chosen only while a room shows something of the run. */
    void follow(ObservableBooleanValue isOnRun) {
        onRun.removeListener(shown);
        onRun = isOnRun;
        onRun.addListener(shown);
        show();
    }

    private void build(List<Station> stations) {
        shownStations = stations;
        row.getChildren().clear();
        pieces.clear();
        for (Station station : stations) {
            boolean isBehindDevice = station.index() > 0
                    && !station.isJoint()
                    && !stations.get(station.index() - 1).isJoint();
            if (isBehindDevice) {
                row.getChildren().add(plainWire(station.detail().startsWith("at the ears") ? "" : "converter"));
            }
            if (station.isJoint()) {
                addJoint(station);
            } else {
                addStation(station);
            }
        }
    }

    private void addStation(Station station) {
        Label name = Styled.of(new Label()).as("strong", "card-title").node();
        Label detail = Styled.of(new Label()).as("second", "small").node();
        SeverityMark mark = new SeverityMark();
        name.setMinWidth(USE_PREF_SIZE);
        detail.setMinWidth(USE_PREF_SIZE);
        HBox head = new HBox(6, name, mark);
        head.setAlignment(Pos.CENTER_LEFT);
        VBox words = Styled.of(new VBox(2, head, detail)).as("station-words").node();
        add(station, words, name, detail, mark, "station");
    }

    private void addJoint(Station station) {
        Label name = Styled.of(new Label()).as("second", "small").node();
        SeverityMark mark = new SeverityMark();
        StackPane wire = new StackPane(new RunLine(), mark);
        VBox content = new VBox(3, name, wire);
        content.setAlignment(Pos.CENTER);
        Piece piece = add(station, content, name, new Label(), mark, "joint");
        HBox.setHgrow(piece.button(), Priority.ALWAYS);
        // Wires share what is left; none is shorter than its words.
        name.setMinWidth(USE_PREF_SIZE);
        wire.setMinWidth(WIRE_WIDTH);
        content.setMinWidth(USE_PREF_SIZE);
    }

    private Piece add(Station station, Node content, Label name, Label detail, SeverityMark mark, String style) {
        ToggleButton button = new ToggleButton();
        button.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        // Of a run that is longer than the window nothing lies over its neighbour: it is scrolled.
        button.setMinWidth(USE_PREF_SIZE);
        button.setGraphic(content);
        button.getStyleClass().add(style);
        button.setToggleGroup(group);
        button.setId("station-" + station.index());
        button.setTooltip(new Tooltip());
        // Pressing the chosen one again must not leave none chosen.
        button.setOnAction(event -> {
            button.setSelected(true);
            studio.pointAt(station.index());
        });
        Piece piece = new Piece(button, name, detail, mark);
        pieces.add(piece);
        row.getChildren().add(button);
        return piece;
    }

    private static Node plainWire(String words) {
        Label name = Styled.of(new Label(words)).as("second", "small").node();
        StackPane line = new StackPane(new RunLine());
        VBox wire = new VBox(3, name, line);
        wire.setAlignment(Pos.CENTER);
        name.setMinWidth(USE_PREF_SIZE);
        wire.setMinWidth(WIRE_WIDTH);
        HBox.setHgrow(wire, Priority.ALWAYS);
        return wire;
    }

    private void show() {
        Optional<RunLevels> reading = studio.reading();
        reading.ifPresent(run -> {
            List<Station> stations = run.plan().trace().stations();
            if (!stations.equals(shownStations)) {
                build(stations);
            }
            stations.forEach(station -> show(run, station, pieces.get(station.index())));
            reveal();
        });
    }

    private void show(RunLevels run, Station station, Piece piece) {
        piece.name().setText(station.isJoint() ? station.joined(" · ") : station.name());
        piece.detail().setText(station.detail());
        piece.mark().show(run.worstAt(station.index()));
        piece.button().setSelected(onRun.get() && station.index() == studio.focus());
        piece.button().getTooltip().setText(station.words());
        piece.button()
                .setAccessibleText(station.words()
                        + run.worstAt(station.index())
                                .map(worst -> ", " + worst.word())
                                .orElse(""));
    }

    /** Scrolls so far that the chosen one is seen. */
    private void reveal() {
        double hidden = row.getWidth() - getViewportBounds().getWidth();
        if (hidden > 0 && studio.focus() < pieces.size()) {
            ToggleButton chosen = pieces.get(studio.focus()).button();
            double middle = chosen.getBoundsInParent().getCenterX()
                    - getViewportBounds().getWidth() / 2;
            setHvalue(Math.max(0, Math.min(1, middle / hidden)));
        }
    }
}
