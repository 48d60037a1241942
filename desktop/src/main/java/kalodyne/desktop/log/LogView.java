package kalodyne.desktop.log;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.studio.log.Entry;
import kalodyne.core.studio.log.Habits;
import kalodyne.core.studio.log.Recurring;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.BesideOrBelow;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.model.PaperModel;
import kalodyne.desktop.shell.PrintMenu;

/** All that was done at the left, newest first; what is looked at at the right. */
final class LogView extends VBox {
    private static final double LIST_EM = 27;
    private static final double LIST_HIGH_EM = 13;
    private static final double DETAIL_EM = 24;
    private static final int SEARCH_COLUMNS = 18;

    private final LogModel log;
    private final Label sentence = new Label();
    private final TextField search = new TextField();
    private final ToggleButton all = new ToggleButton("All setups");
    private final Button read = new Button();
    private final MenuButton print;
    private final ListView<Entry> list = new ListView<>();
    private final Label nothing = new Label();
    private boolean isShowing;

    LogView(LogModel log, PaperModel paper, Consumer<Entry> showTake) {
        this.log = log;
        getStyleClass().add("room");
        sentence.setId("log-sentence");
        Styled.of(search).id("log-search").spoken("Find in the log");
        search.setPromptText("Find: a run, a knob, a fault");
        search.setPrefColumnCount(SEARCH_COLUMNS);
        search.textProperty().addListener((property, before, typed) -> log.search(typed));
        all.setId("log-all");
        Styled.of(all).tip("What was done with other setups too").whole().action(() -> log.showAll(all.isSelected()));
        Styled.of(read)
                .id("log-read")
                .tip("Measures them, so that the log knows what was wrong")
                .whole();
        read.managedProperty().bind(read.visibleProperty());
        read.setOnAction(event -> log.readAll());
        print = new PrintMenu(
                "log-print", paper, () -> paper.recallSheets(log.state().chosen()));
        Styled.of(list).id("log-list").spoken("Takes and sessions");
        list.setCellFactory(view -> new EntryCell());
        list.setMinHeight(0);
        Copying.dragOut(list, () -> log.state().chosen().flatMap(log::recording));
        list.setOnMouseClicked(event -> {
            if (event.getClickCount() == 2 && event.getButton() == MouseButton.PRIMARY) {
                log.state().chosen().ifPresent(showTake);
            }
        });
        Styled.of(nothing).wrap().as("second");
        list.setPlaceholder(nothing);
        list.getSelectionModel().selectedItemProperty().addListener((property, before, entry) -> {
            if (!isShowing && entry != null) {
                log.choose(entry);
            }
        });
        DownScroll detail = new DownScroll(new EntryPane(log, showTake)).shrinking();
        BesideOrBelow both = new BesideOrBelow(list, detail, LIST_EM, LIST_HIGH_EM, DETAIL_EM);
        VBox.setVgrow(both, Priority.ALWAYS);
        getChildren().addAll(new RoomHeader(sentence, search, all, read, print), both);
        log.stateProperty().addListener(change -> show());
        show();
    }

    private void show() {
        LogModel.State state = log.state();
        sentence.setText(sentence(state));
        all.setSelected(log.isOfAll());
        int unread = state.habits().unread();
        read.setVisible(unread > 0);
        read.setText("Read " + Print.counted(unread, "take"));
        print.setDisable(state.chosen().isEmpty());
        nothing.setText(
                state.count() == 0
                        ? "Takes and run-sheet sessions are listed here, each with how everything was set."
                        : "No entry has these words.");
        isShowing = true;
        if (!list.getItems().equals(state.shown())) {
            list.getItems().setAll(state.shown());
        }
        state.chosen()
                .filter(state.shown()::contains)
                .ifPresentOrElse(this::select, () -> list.getSelectionModel().clearSelection());
        isShowing = false;
    }

    /** What was chosen elsewhere comes into sight; what was clicked stays where it is. */
    private void select(Entry entry) {
        if (!entry.equals(list.getSelectionModel().getSelectedItem())) {
            list.getSelectionModel().select(entry);
            list.scrollTo(entry);
        }
    }

    private static String sentence(LogModel.State state) {
        Habits habits = state.habits();
        if (state.count() == 0) {
            return "Nothing was recorded with this setup yet";
        }
        if (habits.read() == 0) {
            return Print.counted(state.count(), "entry").replace("entrys", "entries") + " in the log";
        }
        Optional<Recurring> worst = habits.recurring().stream().findFirst();
        return habits.clean() + " of " + Print.counted(habits.read(), "take") + " clean"
                + worst.map(each -> ". Most often wrong: " + Print.withinSentence(each.title()))
                        .orElse("");
    }
}
