package kalodyne.desktop.hookup;

import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.findings.Severity;
import kalodyne.core.route.Way;
import kalodyne.core.route.WayWords;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;

/** A way in the list of ways: its place, what it is, and what one looks at first. */
final class WayCell extends ListCell<Way> {
    private final Label title = new Label();
    private final Label recorded = new Label();
    private final Label toGet = new Label();
    private final SeverityMark mark = new SeverityMark();
    private final VBox box;
    private final VBox drawing = new VBox();

    WayCell() {
        title.getStyleClass().add("medium");
        for (Label label : new Label[] {recorded, toGet}) {
            Styled.of(label).as("second", "small").wrap();
            label.setMinHeight(Region.USE_PREF_SIZE);
        }
        title.setMinWidth(0);
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox head = new HBox(8, title, mark);
        head.setAlignment(Pos.CENTER_LEFT);
        box = new VBox(3, head, drawing, recorded, toGet);
        setPrefWidth(0);
    }

    @Override
    protected void updateItem(Way way, boolean isEmpty) {
        super.updateItem(way, isEmpty);
        boolean isShown = !isEmpty && way != null;
        setGraphic(isShown ? box : null);
        if (isShown) {
            drawing.getChildren().setAll(new RunDrawing(way, false));
            title.setText((getIndex() + 1) + "  " + way.title());
            recorded.setText(way.strands().stream().map(WayWords::recorded).collect(Collectors.joining("; ")));
            toGet.setText(
                    way.missing().isEmpty()
                            ? "All of it is owned"
                            : way.missing().size() + " to get, price class "
                                    + way.missing().stream()
                                            .map(each -> each.price().name())
                                            .distinct()
                                            .sorted()
                                            .collect(Collectors.joining(" and ")));
            mark.show(way.worst());
            setAccessibleText(title.getText() + ", " + recorded.getText() + ", " + toGet.getText() + ", "
                    + way.worst().map(Severity::word).orElse("no fault"));
        }
    }
}
