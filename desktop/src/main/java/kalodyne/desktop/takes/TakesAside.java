package kalodyne.desktop.takes;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import kalodyne.core.studio.setup.Take;
import kalodyne.desktop.control.LinesField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.model.TakesModel;

/** The log: every take of the run with the knobs as they stood, what is noted on it, and a filter for finding one of weeks ago. */
final class TakesAside extends VBox {
    /** With fewer there is nothing to look for. */
    private static final int FILTER_FROM = 4;

    private static final int NOTE_ROWS = 3;

    private final StudioModel studio;
    private final TakesModel takes;
    private final TextField filter = new TextField();
    private final VBox list = new VBox(4);
    private final TextArea note = new LinesField("");
    private Optional<Take> noted = Optional.empty();

    TakesAside(StudioModel studio, TakesModel takes) {
        super(6);
        this.studio = studio;
        this.takes = takes;
        filter.setId("log-filter");
        filter.setPromptText("Find in the log");
        filter.textProperty().addListener(change -> showList());
        Styled.of(note).id("take-note").spoken("Note");
        note.setPrefRowCount(NOTE_ROWS);
        note.setPromptText("Anything to remember");
        note.focusedProperty().addListener((property, before, isFocused) -> {
            if (!isFocused) {
                keepNote();
            }
        });
        takes.selectionProperty().addListener(change -> show());
        show();
    }

    private void keepNote() {
        noted.ifPresent(take -> takes.note(take, note.getText()));
    }

    private void show() {
        getChildren().clear();
        Optional<Take> take = takes.selection().take();
        if (take.isEmpty()) {
            noted = take;
            return;
        }
        if (!noted.equals(take)) {
            showNote(take.get());
        }
        noted = take;
        getChildren().addAll(section("Note on " + take.get().name()), note, section("Log"));
        if (takes.selection().takes().size() >= FILTER_FROM) {
            getChildren().add(filter);
        }
        getChildren().add(list);
        showList();
        Button remove = new Button("Remove " + take.get().name() + " from the log");
        Styled.of(remove).as("action-link").id("remove-take").action(() -> takes.remove());
        getChildren().add(remove);
    }

    /** A note that is being typed stays as it is while something else of the take changes. */
    private void showNote(Take take) {
        boolean isSame = noted.filter(before ->
                        before.name().equals(take.name()) && before.run().equals(take.run()))
                .isPresent();
        if (!isSame && note.isFocused()) {
            keepNote();
        }
        if (!isSame || !note.isFocused()) {
            note.setText(take.note());
        }
    }

    private static Label section(String words) {
        Label title = Styled.of(new Label(words)).as("section").node();
        return title;
    }

    private void showList() {
        List<Take> found =
                takes.selection().takes().stream().filter(this::isWanted).toList();
        list.getChildren().setAll(found.stream().map(this::row).toList());
        if (found.isEmpty()) {
            Label none = Styled.of(new Label("No take of this run fits."))
                    .as("second", "small")
                    .node();
            list.getChildren().add(none);
        }
    }

    private boolean isWanted(Take take) {
        boolean isFiltered = takes.selection().takes().size() >= FILTER_FROM;
        String text = (take.name() + " " + TakeTimes.of(take) + " " + take.note() + " " + take.file() + " "
                        + said(take))
                .toLowerCase(Locale.ROOT);
        return !isFiltered
                || filter.getText()
                        .toLowerCase(Locale.ROOT)
                        .lines()
                        .allMatch(line ->
                                List.of(line.strip().split("\\s+")).stream().allMatch(text::contains));
    }

    /** What is known of a take that was read before. */
    private String said(Take take) {
        return takes.sentenceOf(take).orElse("");
    }

    private Node row(Take take) {
        Button name = new Button(take.name() + ", " + TakeTimes.of(take));
        Styled.of(name).as("action-link").action(() -> takes.select(take));
        VBox row = new VBox(name);
        List.of(said(take), knobs(take), take.note()).stream()
                .filter(words -> !words.isBlank())
                .map(TakesAside::line)
                .forEach(row.getChildren()::add);
        row.getStyleClass().add("log-row");
        return row;
    }

    private static Label line(String words) {
        Label line = Styled.of(new Label(words)).as("second", "small").wrap().node();
        return line;
    }

    /** "volume 5:00, gain 10:45". */
    private String knobs(Take take) {
        return studio.reading()
                .map(reading -> reading.plan().turned(take.positions()).knobs().stream()
                        .filter(knob -> take.positions().containsKey(knob.id()))
                        .map(knob -> knob.control().name() + " " + knob.place())
                        .collect(Collectors.joining(", ")))
                .orElse("");
    }
}
