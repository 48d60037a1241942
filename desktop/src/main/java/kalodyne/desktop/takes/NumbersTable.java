package kalodyne.desktop.takes;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import kalodyne.desktop.control.Styled;

/** A small table of worded numbers: the first column names them, the others hold them, flush right. */
final class NumbersTable extends GridPane {
    private final Map<String, String> meanings;
    private final List<String> lines = new ArrayList<>();
    private int rows;

    /**
     * An empty table.
     *
     * @param meanings what its words mean, for hover
     */
    NumbersTable(String id, Map<String, String> meanings) {
        this.meanings = meanings;
        setId(id);
        getStyleClass().add("numbers");
    }

    /** What is in it, cells apart by tabs. */
    String tabbed() {
        return String.join("\n", lines) + "\n";
    }

    void begin(String... heads) {
        lines.clear();
        getChildren().clear();
        getColumnConstraints().clear();
        for (int column = 0; column < heads.length; column++) {
            ColumnConstraints constraints = new ColumnConstraints();
            constraints.setHgrow(column == 0 ? Priority.ALWAYS : Priority.SOMETIMES);
            constraints.setHalignment(column == 0 ? HPos.LEFT : HPos.RIGHT);
            getColumnConstraints().add(constraints);
        }
        rows = 0;
        row(List.of(heads), "head");
    }

    /**
     * Adds a row.
     *
     * @param styles of the cells, by column; an empty text for none
     */
    void row(List<String> cells, String... styles) {
        for (int column = 0; column < cells.size(); column++) {
            Label label = Styled.of(new Label(cells.get(column))).as("cell").node();
            if (meanings.containsKey(label.getText())) {
                label.setTooltip(new Tooltip(meanings.get(label.getText())));
            }
            String style = styles.length == 1 ? styles[0] : column < styles.length ? styles[column] : "";
            if (!style.isEmpty()) {
                label.getStyleClass().add(style);
            }
            label.setMinWidth(Region.USE_PREF_SIZE);
            label.setMaxWidth(Double.MAX_VALUE);
            label.setAlignment(column == 0 ? Pos.CENTER_LEFT : Pos.CENTER_RIGHT);
            add(label, column, rows);
        }
        rows++;
        lines.add(String.join("\t", cells));
    }
}
