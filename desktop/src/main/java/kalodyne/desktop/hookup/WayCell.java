package kalodyne.desktop.hookup;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.findings.Severity;
import kalodyne.core.route.Way;
import kalodyne.core.route.WayFact;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;

/** A way in the list of ways: its place, what it is, and what one looks at first. */
final class WayCell extends ListCell<Way> {
    private static final int COLUMNS = 2;

    /** The frame of the list, and its scroll bar. */
    private static final double EDGES = 16;

    private final Label title = new Label();
    private final SeverityMark mark = new SeverityMark();
    private final VBox box;
    private final VBox drawing = new VBox();
    private final GridPane facts = new GridPane();

    WayCell() {
        facts.setHgap(12);
        facts.setVgap(1);
        ColumnConstraints half = new ColumnConstraints();
        half.setPercentWidth(50);
        facts.getColumnConstraints().addAll(half, half);
        title.getStyleClass().add("medium");
        title.setMinWidth(0);
        title.setWrapText(true);
        title.setMinHeight(Region.USE_PREF_SIZE);
        HBox.setHgrow(title, Priority.ALWAYS);
        title.setMaxWidth(Double.MAX_VALUE);
        HBox head = new HBox(8, title, mark);
        head.setAlignment(Pos.CENTER_LEFT);
        box = new VBox(3, head, drawing, facts);
        setPrefWidth(0);
    }

    @Override
    protected void updateItem(Way way, boolean isEmpty) {
        super.updateItem(way, isEmpty);
        boolean isShown = !isEmpty && way != null;
        setGraphic(isShown ? box : null);
        setId(isShown ? "way-" + getIndex() : null);
        if (isShown) {
            drawing.getChildren().setAll(new RunDrawing(way, false));
            title.setText((getIndex() + 1) + "  " + way.title());
            facts.getChildren().clear();
            WayFact[] all = WayFact.values();
            for (int i = 0; i < all.length; i++) {
                facts.add(fact(all[i], way), i % COLUMNS, i / COLUMNS);
            }
            mark.show(way.worst());
            setAccessibleText(title.getText() + ", " + WayFact.all(way) + ", "
                    + way.worst().map(Severity::word).orElse("no fault"));
        }
    }

    /** As high as all of it is at the width of the list: a long way takes several lines. */
    @Override
    protected double computePrefHeight(double width) {
        if (isEmpty() || getListView() == null) {
            return super.computePrefHeight(width);
        }
        double inner = getListView().getWidth() - EDGES - snappedLeftInset() - snappedRightInset();
        return snappedTopInset() + box.prefHeight(inner) + snappedBottomInset();
    }

    private static Node fact(WayFact fact, Way way) {
        Label word = Styled.of(new Label(fact.word())).as("second", "small").node();
        Label value = Styled.of(new Label(fact.of(way))).as("small").node();
        word.setMinWidth(Region.USE_PREF_SIZE);
        return new HBox(4, word, value);
    }
}
