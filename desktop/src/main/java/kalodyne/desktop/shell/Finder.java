package kalodyne.desktop.shell;

import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;

/** Finds anything by its name while it is typed: rooms, runs, stations, commands. */
final class Finder extends VBox {
    private final TextField query = new TextField();
    private final ListView<Command> hits = new ListView<>();
    private final Supplier<List<Command>> all;
    private final Runnable close;

    Finder(Supplier<List<Command>> all, Runnable close) {
        this.all = all;
        this.close = close;
        getStyleClass().add("palette");
        setId("finder");
        setMaxWidth(520);
        setMaxHeight(USE_PREF_SIZE);
        query.setPromptText("A room, a run, a piece of gear, something to do");
        query.setId("finder-query");
        query.textProperty().addListener(change -> search());
        query.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        hits.setId("finder-hits");
        hits.setOnMouseClicked(event -> runSelected());
        hits.setPlaceholder(new Label("Nothing has this name. Try another word."));
        getChildren().addAll(query, hits);
    }

    void open() {
        query.clear();
        search();
        query.requestFocus();
    }

    private void search() {
        String[] words = query.getText().toLowerCase(Locale.ROOT).strip().split("\\s+");
        hits.getItems()
                .setAll(all.get().stream()
                        .filter(command -> matches(command.name().toLowerCase(Locale.ROOT), words))
                        .toList());
        hits.getSelectionModel().selectFirst();
    }

    private static boolean matches(String name, String[] words) {
        for (String word : words) {
            if (!name.contains(word)) {
                return false;
            }
        }
        return true;
    }

    private void key(KeyEvent event) {
        switch (event.getCode()) {
            case DOWN -> hits.getSelectionModel().selectNext();
            case UP -> hits.getSelectionModel().selectPrevious();
            case ENTER -> runSelected();
            default -> {
                return;
            }
        }
        hits.scrollTo(hits.getSelectionModel().getSelectedIndex());
        event.consume();
    }

    private void runSelected() {
        Command chosen = hits.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            close.run();
            chosen.run().run();
        }
    }
}
