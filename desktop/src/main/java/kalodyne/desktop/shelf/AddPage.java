package kalodyne.desktop.shelf;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.gear.shelf.GearSearch;
import kalodyne.core.gear.shelf.Offer;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.Styled;

/** Adds gear and leads, one after the other: what is it like, what do you call it, and the few things that matter. */
final class AddPage extends VBox {
    private static final GearSearch SEARCH = GearSearch.of(Catalogue.shipped());

    private final ShelfModel shelf;
    private final TextField search = new TextField();
    private final ListView<Row> found = new ListView<>();
    private final ScrollPane form = new DownScroll();
    private final Button put = new Button("Add");
    private final Button leave = new Button("Cancel");
    private final Label told = new Label();
    private final List<String> added = new ArrayList<>();

    /** A line of the list: what several are, or one of them. */
    private sealed interface Row {
        record Heading(String words) implements Row {}

        record Found(Offer offer) implements Row {}
    }

    AddPage(ShelfModel shelf, Runnable closed) {
        this.shelf = shelf;
        getStyleClass().addAll("palette", "add-page");
        setId("add-page");
        setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        Label head = Styled.of(new Label("What do you have?")).as("card-title").node();
        search.setId("profile-search");
        search.setPromptText("Type what you call it: guitar, drum machine, big jack, phone…");
        search.textProperty().addListener(change -> search());
        search.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        found.setId("profiles");
        found.setPlaceholder(new Label("Nothing is called so. Try a plainer word."));
        found.setCellFactory(list -> new RowCell());
        found.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> show(now));
        Styled.of(put).id("put-on-shelf").as("primary").action(() -> put());
        Styled.of(leave).id("leave-adding").action(() -> closed.run());
        Styled.of(told).as("second", "small").id("added").wrap();
        told.setMinHeight(Region.USE_PREF_SIZE);
        VBox left = new VBox(6, search, found);
        left.getStyleClass().add("add-left");
        VBox.setVgrow(found, Priority.ALWAYS);
        HBox.setHgrow(form, Priority.ALWAYS);
        HBox.setHgrow(told, Priority.ALWAYS);
        HBox both = new HBox(14, left, form);
        VBox.setVgrow(both, Priority.ALWAYS);
        HBox buttons = new HBox(10, put, leave, told);
        buttons.getStyleClass().add("add-buttons");
        getChildren().addAll(head, both, buttons);
        search();
    }

    /** Looks at the leads and adapters first. */
    void beginWithLeads() {
        List<Row> rows = found.getItems();
        String heading = "";
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i) instanceof Row.Heading above) {
                heading = above.words();
            } else if (rows.get(i) instanceof Row.Found row
                    && row.offer().isLead()
                    && row.offer().group().equals(heading)) {
                select(i);
                return;
            }
        }
    }

    void focus() {
        search.requestFocus();
    }

    private void search() {
        List<Row> rows = new ArrayList<>();
        if (search.getText().isBlank()) {
            List<Offer> likely = shelf.likelyNext();
            if (!likely.isEmpty()) {
                rows.add(new Row.Heading("Goes with what you have"));
                likely.forEach(offer -> rows.add(new Row.Found(offer)));
            }
        }
        String group = "";
        for (Offer offer : SEARCH.find(search.getText())) {
            if (!offer.group().equals(group)) {
                group = offer.group();
                rows.add(new Row.Heading(group));
            }
            rows.add(new Row.Found(offer));
        }
        found.getItems().setAll(rows);
        if (rows.isEmpty()) {
            show(null);
        } else {
            select(1);
        }
    }

    private void select(int index) {
        found.getSelectionModel().select(index);
        // With the heading above it.
        found.scrollTo(Math.max(0, index - 3));
    }

    private void key(KeyEvent event) {
        switch (event.getCode()) {
            case DOWN -> step(1);
            case UP -> step(-1);
            case ENTER -> put();
            default -> {
                return;
            }
        }
        event.consume();
    }

    /** To the next one, over headings. */
    private void step(int by) {
        int index = found.getSelectionModel().getSelectedIndex() + by;
        while (index >= 0 && index < found.getItems().size()) {
            if (found.getItems().get(index) instanceof Row.Found) {
                select(index);
                return;
            }
            index += by;
        }
    }

    private void show(Row row) {
        Offer offer = row instanceof Row.Found chosen ? chosen.offer() : null;
        put.setDisable(offer == null);
        form.setContent(offer == null ? null : questions(offer));
        form.setVvalue(0);
    }

    private Questions<?> questions(Offer offer) {
        if (offer.what() instanceof Offer.What.OfDevice device) {
            Profile<Device> profile = device.profile();
            String name = shelf.freeDeviceName(offer.name());
            return Questions.of(profile, profile.gear().withProfile(offer.id()).withName(name), shelf.today());
        }
        Profile<Lead> profile = ((Offer.What.OfLead) offer.what()).profile();
        return Questions.ofLead(
                profile, profile.gear().withProfile(offer.id()).withName(shelf.nextLeadName()), shelf.today());
    }

    /** Onto the shelf; then the next can be typed. */
    private void put() {
        if (form.getContent() instanceof Questions<?> asked && asked.isAnswered()) {
            Chosen made = asked.made();
            shelf.add(made);
            added.add(made.name());
            told.setText("On the shelf: " + String.join(", ", added) + ".");
            leave.setText("Done");
            search.clear();
            search();
            search.requestFocus();
        }
    }

    /** What several are is told, and cannot be chosen. */
    private static final class RowCell extends ListCell<Row> {
        /** Room for the bar beside the list. */
        private static final double SCROLL_BAR = 24;

        private final Label words = Styled.of(new Label()).wrap().node();

        RowCell() {
            setPrefWidth(0);
        }

        /** As high as its words need in the width of the list. */
        @Override
        protected double computePrefHeight(double width) {
            if (isEmpty() || getListView() == null) {
                return super.computePrefHeight(width);
            }
            double inner = getListView().getWidth() - SCROLL_BAR - snappedLeftInset() - snappedRightInset();
            return snappedTopInset() + words.prefHeight(inner) + snappedBottomInset();
        }

        @Override
        protected void updateItem(Row row, boolean isEmpty) {
            super.updateItem(row, isEmpty);
            setDisable(row instanceof Row.Heading);
            getStyleClass().remove("list-heading");
            words.getStyleClass().remove("section");
            setGraphic(isEmpty || row == null ? null : words);
            if (row instanceof Row.Heading heading) {
                getStyleClass().add("list-heading");
                words.getStyleClass().add("section");
                words.setText(heading.words());
            } else if (row instanceof Row.Found found) {
                words.setText(found.offer().name());
            }
        }
    }
}
