package kalodyne.desktop.shelf;

import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;
import javafx.beans.value.ChangeListener;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.gear.shelf.SearchIndex;
import kalodyne.core.gear.shelf.SearchText;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.Styled;

/**
 * Adds something: what is it like, what do you call it, and the few things that matter.
 *
 * @param <T> {@link Device} or {@link Lead}
 */
final class AddPage<T> extends VBox {
    private final TextField search = new TextField();
    private final ListView<Profile<T>> profiles = new ListView<>();
    private final SearchIndex<Profile<T>> index;
    private final Function<Profile<T>, Questions<T>> questions;
    private final BiConsumer<ShelfModel, T> add;
    private final ShelfModel shelf;
    private final Function<T, String> name;
    private final Runnable closed;
    private final ScrollPane form = new DownScroll();
    private final Button put = new Button("Add");

    private AddPage(
            String title,
            List<Profile<T>> all,
            Function<Profile<T>, String> words,
            Function<Profile<T>, Questions<T>> questions,
            Function<T, String> name,
            BiConsumer<ShelfModel, T> add,
            ShelfModel shelf,
            Runnable closed) {
        this.index = new SearchIndex<>(all, words);
        this.questions = questions;
        this.add = add;
        this.shelf = shelf;
        this.name = name;
        this.closed = closed;
        getStyleClass().addAll("palette", "add-page");
        setId("add-page");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Label head = Styled.of(new Label(title)).as("card-title").node();
        search.setId("profile-search");
        search.setPromptText("Type a word: guitar, drum machine, headset, white…");
        search.textProperty().addListener(change -> search());
        search.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        profiles.setId("profiles");
        profiles.setPlaceholder(new Label("No profile has these words. Try a plainer one."));
        profiles.setCellFactory(list -> new ProfileCell<>(name));
        ChangeListener<Profile<T>> chosen = (property, before, now) -> show(now);
        profiles.getSelectionModel().selectedItemProperty().addListener(chosen);
        Styled.of(put).id("put-on-shelf").as("primary").action(() -> put());
        Button leave =
                Styled.of(new Button("Cancel")).action(() -> closed.run()).node();
        VBox left = new VBox(6, search, profiles);
        left.getStyleClass().add("add-left");
        VBox.setVgrow(profiles, Priority.ALWAYS);
        HBox.setHgrow(form, Priority.ALWAYS);
        HBox both = new HBox(14, left, form);
        VBox.setVgrow(both, Priority.ALWAYS);
        getChildren().addAll(head, both, new HBox(10, put, leave));
        search();
    }

    static AddPage<Device> ofGear(ShelfModel shelf, Runnable closed) {
        return new AddPage<>(
                "What is it like?",
                Catalogue.shipped().devices(),
                profile -> SearchText.of(profile.gear()) + " " + String.join(" ", profile.words()),
                profile -> Questions.of(
                        profile,
                        profile.gear()
                                .withProfile(profile.gear().id())
                                .withName(shelf.freeDeviceName(profile.gear().name())),
                        shelf.today()),
                Device::name,
                ShelfModel::add,
                shelf,
                closed);
    }

    static AddPage<Lead> ofLeads(ShelfModel shelf, Runnable closed) {
        return new AddPage<>(
                "What does it join?",
                Catalogue.shipped().leads(),
                profile -> SearchText.of(profile.gear()) + " " + String.join(" ", profile.words()),
                profile -> Questions.ofLead(
                        profile,
                        profile.gear().withProfile(profile.gear().id()).withName(shelf.nextLeadName()),
                        shelf.today()),
                Lead::name,
                ShelfModel::add,
                shelf,
                closed);
    }

    void focus() {
        search.requestFocus();
    }

    private void search() {
        Profile<T> before = profiles.getSelectionModel().getSelectedItem();
        profiles.getItems().setAll(index.find(search.getText(), profile -> name.apply(profile.gear())));
        if (before != null && profiles.getItems().contains(before)) {
            profiles.getSelectionModel().select(before);
        } else {
            profiles.getSelectionModel().selectFirst();
        }
    }

    private void key(KeyEvent event) {
        if (event.getCode() == KeyCode.DOWN) {
            profiles.getSelectionModel().selectNext();
        } else if (event.getCode() == KeyCode.UP) {
            profiles.getSelectionModel().selectPrevious();
        } else if (event.getCode() == KeyCode.ENTER) {
            put();
        } else {
            return;
        }
        profiles.scrollTo(Math.max(0, profiles.getSelectionModel().getSelectedIndex() - 3));
        event.consume();
    }

    private void show(Profile<T> profile) {
        put.setDisable(profile == null);
        form.setContent(profile == null ? null : questions.apply(profile));
        form.setVvalue(0);
    }

    @SuppressWarnings("unchecked") // only questions of this kind are ever put there
    private void put() {
        if (form.getContent() instanceof Questions<?> asked && asked.isAnswered()) {
            T made = ((Questions<T>) asked).made();
            closed.run();
            add.accept(shelf, made);
        }
    }

    private static final class ProfileCell<T> extends ListCell<Profile<T>> {
        private final Function<T, String> name;

        ProfileCell(Function<T, String> name) {
            this.name = name;
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(Profile<T> profile, boolean isEmpty) {
            super.updateItem(profile, isEmpty);
            setText(isEmpty || profile == null ? "" : name.apply(profile.gear()));
        }
    }
}
