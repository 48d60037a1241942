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
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import kalodyne.core.run.Station;
import kalodyne.desktop.control.RunLine;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.model.RunReading;
import kalodyne.desktop.model.StudioModel;

/** The run as a row of stations and joints, each with the worst that was found at it. Choosing one focuses every room. */
final class RibbonView extends HBox {
    /** All wires start as long and grow alike. */
    private static final double WIRE_WIDTH = 80;

    private final StudioModel studio;
    private final ToggleGroup group = new ToggleGroup();
    private final List<Piece> pieces = new ArrayList<>();

    private final InvalidationListener shown = change -> show();
    private ObservableBooleanValue onRun = new SimpleBooleanProperty(true);

    private record Piece(Station.Part part, ToggleButton button, Label name, Label detail, SeverityMark mark) {}

    RibbonView(StudioModel studio) {
        this.studio = studio;
        getStyleClass().add("ribbon");
        setId("ribbon");
        addStation(Station.Part.SOURCE);
        addJoint(Station.Part.LEAD);
        addStation(Station.Part.INPUT);
        getChildren().add(plainWire());
        addStation(Station.Part.TRACK);
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

    private void addStation(Station.Part part) {
        Label name = new Label();
        name.getStyleClass().addAll("strong", "card-title");
        Label detail = new Label();
        detail.getStyleClass().addAll("second", "small");
        SeverityMark mark = new SeverityMark();
        HBox head = new HBox(6, name, mark);
        head.setAlignment(Pos.CENTER_LEFT);
        add(part, new VBox(2, head, detail), name, detail, mark, "station");
    }

    private void addJoint(Station.Part part) {
        Label name = new Label();
        name.getStyleClass().addAll("second", "small");
        SeverityMark mark = new SeverityMark();
        StackPane wire = new StackPane(new RunLine(), mark);
        VBox content = new VBox(3, name, wire);
        content.setAlignment(Pos.CENTER);
        Piece piece = add(part, content, name, new Label(), mark, "joint");
        HBox.setHgrow(piece.button(), Priority.ALWAYS);
        piece.button().setPrefWidth(WIRE_WIDTH);
        content.prefWidthProperty().bind(piece.button().widthProperty());
    }

    private Piece add(Station.Part part, Node content, Label name, Label detail, SeverityMark mark, String style) {
        ToggleButton button = new ToggleButton();
        button.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        button.setGraphic(content);
        button.getStyleClass().add(style);
        button.setToggleGroup(group);
        button.setId("station-" + part.index());
        button.setTooltip(new Tooltip());
        // Pressing the chosen one again must not leave none chosen.
        button.setOnAction(event -> {
            button.setSelected(true);
            studio.pointAt(part);
        });
        Piece piece = new Piece(part, button, name, detail, mark);
        pieces.add(piece);
        getChildren().add(button);
        return piece;
    }

    private static Node plainWire() {
        Label name = new Label("converter");
        name.getStyleClass().addAll("second", "small");
        StackPane line = new StackPane(new RunLine());
        VBox wire = new VBox(3, name, line);
        wire.setAlignment(Pos.CENTER);
        wire.setPrefWidth(WIRE_WIDTH);
        HBox.setHgrow(wire, Priority.ALWAYS);
        return wire;
    }

    private void show() {
        Optional<RunReading> reading = studio.reading();
        reading.ifPresent(run -> {
            List<Station> stations = Station.of(run.run());
            for (Piece piece : pieces) {
                Station station = stations.get(piece.part().index());
                boolean joint = piece.part() == Station.Part.LEAD;
                piece.name().setText(joint ? station.name() + " · " + station.detail() : station.name());
                piece.detail().setText(station.detail());
                piece.mark().show(run.worstAt(piece.part()));
                piece.button()
                        .setSelected(onRun.get()
                                && piece.part() == studio.focusProperty().get());
                piece.button().getTooltip().setText(station.name() + ", " + station.detail());
                piece.button()
                        .setAccessibleText(station.name() + ", " + station.detail()
                                + run.worstAt(piece.part())
                                        .map(worst -> ", " + worst.word())
                                        .orElse(""));
            }
        });
    }
}
