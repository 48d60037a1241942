package kalodyne.desktop.hookup;

import java.util.Optional;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.findings.Severity;
import kalodyne.desktop.control.SeverityMark;

/**
 * A line of a list with a name, something said about it beneath, and a mark for the worst that was noticed.
 *
 * @param <T> what is listed
 */
final class MarkedCell<T> extends ListCell<T> {
    private final Function<T, String> nameOf;
    private final Function<T, String> aboutOf;
    private final Function<T, Optional<Severity>> worstOf;
    private final Label name = new Label();
    private final Label about = new Label();
    private final SeverityMark mark = new SeverityMark();
    private final HBox box;

    MarkedCell(Function<T, String> nameOf, Function<T, String> aboutOf, Function<T, Optional<Severity>> worstOf) {
        this.nameOf = nameOf;
        this.aboutOf = aboutOf;
        this.worstOf = worstOf;
        name.getStyleClass().add("medium");
        about.getStyleClass().addAll("second", "small");
        VBox words = new VBox(1, name, about);
        words.setMinWidth(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        box = new HBox(8, words, mark);
        box.setAlignment(Pos.CENTER_LEFT);
        setPrefWidth(0);
    }

    @Override
    protected void updateItem(T item, boolean isEmpty) {
        super.updateItem(item, isEmpty);
        setGraphic(isEmpty || item == null ? null : box);
        if (!isEmpty && item != null) {
            Optional<Severity> worst = worstOf.apply(item);
            name.setText(nameOf.apply(item));
            about.setText(aboutOf.apply(item));
            mark.show(worst);
            setAccessibleText(name.getText() + ", " + about.getText() + ", "
                    + worst.map(Severity::word).orElse("no fault"));
        }
    }
}
