package kalodyne.desktop.hookup;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import kalodyne.core.route.Missing;
import kalodyne.core.route.Way;
import kalodyne.core.route.WayWords;
import kalodyne.desktop.control.RunLine;
import kalodyne.desktop.control.Styled;

/** A way drawn as a run: stations in boxes, leads as lines between them; what is not owned has a broken frame and says so. */
final class RunDrawing extends VBox {
    /**
     * A drawing.
     *
     * @param hasNames whether the leads are named
     */
    RunDrawing(Way way, boolean hasNames) {
        super(5);
        getStyleClass().add(hasNames ? "run-drawing" : "run-sketch");
        way.strands().forEach(strand -> getChildren().add(row(way, strand, hasNames)));
    }

    private static Node row(Way way, Way.Strand strand, boolean hasNames) {
        FlowPane row = new FlowPane(0, 4);
        row.setAlignment(Pos.CENTER_LEFT);
        row.getChildren().add(station(way, strand.stations().get(0)));
        for (int i = 1; i < strand.stations().size(); i++) {
            HBox pair = new HBox(
                    hasNames ? lead(strand.leads().get(i - 1)) : new RunLine(),
                    station(way, strand.stations().get(i)));
            pair.setAlignment(Pos.CENTER_LEFT);
            row.getChildren().add(pair);
        }
        row.setAccessibleText(WayWords.path(way, strand));
        return row;
    }

    private static Node station(Way way, String mark) {
        Label name = new Label(WayWords.name(way, mark) + (Missing.is(mark) ? " (to get)" : ""));
        name.getStyleClass().addAll("run-station", "small");
        name.setMinWidth(0);
        if (Missing.is(mark)) {
            name.getStyleClass().add("to-get");
        }
        return name;
    }

    /** The names of the leads over a line. */
    private static Node lead(List<String> names) {
        String words = names.isEmpty()
                ? "straight in"
                : names.size() > 1 && isAlike(names) ? "2 × " + names.get(0) : String.join(", ", names);
        Label over = Styled.of(new Label(words)).as("second", "small").node();
        VBox lead = new VBox(1, over, new StackPane(new RunLine()));
        lead.getStyleClass().add("run-lead");
        lead.setAlignment(Pos.CENTER);
        return lead;
    }

    private static boolean isAlike(List<String> names) {
        return names.size() == 2 && names.get(0).equals(names.get(1));
    }
}
