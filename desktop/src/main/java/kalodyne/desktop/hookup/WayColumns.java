package kalodyne.desktop.hookup;

import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kalodyne.core.findings.Finding;
import kalodyne.core.route.Way;
import kalodyne.core.route.WayFact;
import kalodyne.desktop.control.Styled;

/** The ways beside each other, a column each, on the same six facts and the worst that speaks against each. */
final class WayColumns extends ScrollPane {
    private final GridPane grid = new GridPane();
    private final Consumer<Way> choose;

    /**
     * A table.
     *
     * @param choose told which way was pressed
     */
    WayColumns(Consumer<Way> choose) {
        this.choose = choose;
        setId("way-columns");
        getStyleClass().add("way-pane");
        grid.setHgap(18);
        grid.setVgap(7);
        setContent(grid);
        setFitToWidth(true);
    }

    /** Shows ways, of which one is chosen. */
    void show(List<Way> ways, Way chosen) {
        grid.getChildren().clear();
        grid.getColumnConstraints().clear();
        ColumnConstraints words = new ColumnConstraints();
        words.setMinWidth(Region.USE_PREF_SIZE);
        grid.getColumnConstraints().add(words);
        WayFact[] facts = WayFact.values();
        for (int row = 0; row < facts.length; row++) {
            head(facts[row].word(), row + 1);
        }
        head("Against it", facts.length + 1);
        ToggleGroup group = new ToggleGroup();
        for (int i = 0; i < ways.size(); i++) {
            column(ways.get(i), i, group, ways.get(i).equals(chosen));
        }
    }

    private void head(String words, int row) {
        Label label = Styled.of(new Label(words)).as("second", "small").whole().node();
        GridPane.setValignment(label, VPos.TOP);
        grid.add(label, 0, row);
    }

    private void column(Way way, int index, ToggleGroup group, boolean isChosen) {
        ColumnConstraints column = new ColumnConstraints();
        column.setHgrow(Priority.ALWAYS);
        grid.getColumnConstraints().add(column);
        ToggleButton title = new ToggleButton((index + 1) + "  " + way.title());
        Styled.of(title)
                .as("chip", "way-column")
                .id("way-column-" + (index + 1))
                .wrap();
        title.setMaxWidth(Double.MAX_VALUE);
        title.setMinHeight(USE_PREF_SIZE);
        title.setToggleGroup(group);
        title.setSelected(isChosen);
        title.setOnAction(event -> {
            title.setSelected(true);
            choose.accept(way);
        });
        grid.add(title, index + 1, 0);
        WayFact[] facts = WayFact.values();
        for (int row = 0; row < facts.length; row++) {
            cell(facts[row].of(way), index + 1, row + 1);
        }
        cell(way.findings().stream().findFirst().map(Finding::title).orElse("nothing"), index + 1, facts.length + 1);
    }

    private void cell(String words, int column, int row) {
        Label label = WayPane.wrapped(words);
        GridPane.setValignment(label, VPos.TOP);
        grid.add(label, column, row);
    }
}
