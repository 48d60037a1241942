package kalodyne.desktop.log;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.studio.log.Entry;
import kalodyne.desktop.control.SeverityMark;
import kalodyne.desktop.control.Styled;

/** An entry in the list: what and when, what came of it. */
final class EntryCell extends ListCell<Entry> {
    private static final DateTimeFormatter FORM = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    private final Label name = new Label();
    private final Label when = new Label();
    private final Label sentence = new Label();
    private final SeverityMark mark = new SeverityMark();
    private final VBox box;

    EntryCell() {
        name.getStyleClass().add("medium");
        name.setMinWidth(0);
        Styled.of(when).as("second", "small").whole();
        sentence.getStyleClass().addAll("second", "small");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        HBox head = new HBox(8, mark, name, space, when);
        head.setAlignment(Pos.CENTER_LEFT);
        box = new VBox(2, head, sentence);
        setPrefWidth(0);
    }

    @Override
    protected void updateItem(Entry entry, boolean isEmpty) {
        super.updateItem(entry, isEmpty);
        boolean isShown = !isEmpty && entry != null;
        setGraphic(isShown ? box : null);
        mark.show(isShown ? entry.worst() : Optional.empty());
        if (isShown) {
            name.setText(words(entry));
            when.setText(time(entry.at()));
            sentence.setText(entry.sentence());
        }
    }

    static String words(Entry entry) {
        return entry.isTake() ? entry.about() + ", " + entry.name() : "Run sheet, " + entry.name();
    }

    /** "1 Mar 2026, 12:52". */
    static String time(Instant at) {
        return FORM.format(at.atZone(ZoneId.systemDefault()));
    }
}
