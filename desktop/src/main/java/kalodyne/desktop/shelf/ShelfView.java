package kalodyne.desktop.shelf;

import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.LeadSketch;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.shell.Overlay;

/** Gear and leads side by side, what is searched for, and the thing that is chosen beneath. */
final class ShelfView extends VBox {
    private final ShelfModel shelf;
    private final Overlay overlay;
    private final Label sentence = new Label();
    private final TextField search = new TextField();
    private final Label deviceTitle = title("device-title");
    private final Label leadTitle = title("lead-title");
    private final ListView<Device> devices = new ListView<>();
    private final ListView<Lead> leads = new ListView<>();
    private final HBox lists;
    private final ItemPane item;
    private final VBox empty = empty();
    private boolean showing;

    ShelfView(ShelfModel shelf, Overlay overlay) {
        this.shelf = shelf;
        this.overlay = overlay;
        getStyleClass().addAll("room", "shelf");
        item = new ItemPane(shelf, overlay);
        lists = new HBox(16, column(deviceTitle, devices), column(leadTitle, leads));
        VBox.setVgrow(item, Priority.ALWAYS);
        VBox.setVgrow(lists, Priority.ALWAYS);
        VBox.setVgrow(empty, Priority.ALWAYS);
        devices.setId("devices");
        devices.setCellFactory(list -> new DeviceCell());
        devices.setPlaceholder(quiet("No gear has these words."));
        devices.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            if (!showing && now != null) {
                shelf.choose(now.id());
            }
        });
        leads.setId("leads");
        leads.setCellFactory(list -> new LeadCell());
        leads.setPlaceholder(quiet("No lead has these words."));
        leads.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            if (!showing && now != null) {
                shelf.choose(now.id());
            }
        });
        getChildren().addAll(header(), searchRow(), empty, lists, item);
        shelf.shownProperty().addListener(change -> show());
        shelf.chosenProperty().addListener(change -> show());
        show();
    }

    private static Label title(String id) {
        Label label = Styled.of(new Label()).as("section").id(id).node();
        return label;
    }

    private static Label quiet(String words) {
        Label label = Styled.of(new Label(words)).as("second").node();
        return label;
    }

    private static VBox column(Label title, ListView<?> list) {
        VBox column = new VBox(4, title, list);
        HBox.setHgrow(column, Priority.ALWAYS);
        column.setPrefWidth(0);
        VBox.setVgrow(list, Priority.ALWAYS);
        return column;
    }

    private RoomHeader header() {
        sentence.setId("shelf-sentence");
        return new RoomHeader(
                sentence,
                button("which-plug", "Which plug is this?", this::findPlug),
                button("add-lead", "Add a lead…", this::addLead),
                primary(button("add-gear", "Add gear…", this::addGear)));
    }

    private static Button button(String id, String words, Runnable action) {
        Button button = Styled.of(new Button(words))
                .id(id)
                .whole()
                .action(() -> action.run())
                .node();
        return button;
    }

    private static Button primary(Button button) {
        button.getStyleClass().add("primary");
        return button;
    }

    private HBox searchRow() {
        search.setId("shelf-search");
        search.setPromptText("Find on the shelf: a name, a plug, a colour, “balanced”, “phone”…");
        search.textProperty().bindBidirectional(shelf.queryProperty());
        search.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                search.clear();
                event.consume();
            } else if (event.getCode() == KeyCode.DOWN) {
                (devices.getItems().isEmpty() ? leads : devices).requestFocus();
                event.consume();
            }
        });
        HBox.setHgrow(search, Priority.ALWAYS);
        HBox row = new HBox(search);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private VBox empty() {
        Label what = new Label("Begin with what you want to record");
        what.getStyleClass().add("room-sentence");
        Label how = new Label("Choose what it is like from a list, answer a question or two, and it is on your shelf.");
        Styled.of(how).as("second").wrap();
        VBox box = new VBox(what, how, primary(button("first-gear", "Add gear…", this::addGear)));
        Styled.of(box).as("drop-zone").id("empty-shelf");
        return box;
    }

    void addGear() {
        adding();
    }

    void addLead() {
        adding().beginWithLeads();
    }

    private AddPage adding() {
        AddPage page = new AddPage(shelf, overlay::lift);
        overlay.lay(page, Pos.TOP_CENTER);
        page.focus();
        return page;
    }

    void findPlug() {
        PlugFinderPage page = new PlugFinderPage(overlay::lift);
        overlay.lay(page, Pos.TOP_CENTER);
        page.focus();
    }

    void search() {
        search.requestFocus();
        search.selectAll();
    }

    private void show() {
        showing = true;
        ShelfModel.Shown shown = shelf.shownProperty().get();
        boolean isEmpty = shown.deviceCount() + shown.leadCount() == 0;
        empty.setVisible(isEmpty);
        empty.setManaged(isEmpty);
        lists.setVisible(!isEmpty);
        lists.setManaged(!isEmpty);
        search.setDisable(isEmpty);
        sentence.setText(isEmpty ? "Your shelf is empty" : sentence(shown));
        deviceTitle.setText(count("My gear", shown.devices().size(), shown.deviceCount()));
        leadTitle.setText(count("My leads", shown.leads().size(), shown.leadCount()));
        if (!devices.getItems().equals(shown.devices())) {
            devices.getItems().setAll(shown.devices());
        }
        if (!leads.getItems().equals(shown.leads())) {
            leads.getItems().setAll(shown.leads());
        }
        select();
        showing = false;
    }

    private static String sentence(ShelfModel.Shown shown) {
        return Print.count(shown.deviceCount()) + (shown.deviceCount() == 1 ? " device" : " devices") + " and "
                + Print.count(shown.leadCount()) + (shown.leadCount() == 1 ? " kind of lead" : " kinds of leads");
    }

    private static String count(String title, int found, int all) {
        return found == all
                ? title + " · " + Print.count(all)
                : title + " · " + Print.count(found) + " of " + Print.count(all);
    }

    private void select() {
        String id = shelf.chosen().map(Chosen::id).orElse("");
        select(devices, id, Device::id);
        select(leads, id, Lead::id);
    }

    private static <T> void select(ListView<T> list, String id, Function<T, String> idOf) {
        T wanted = list.getItems().stream()
                .filter(each -> idOf.apply(each).equals(id))
                .findFirst()
                .orElse(null);
        if (wanted == null) {
            list.getSelectionModel().clearSelection();
        } else if (list.getSelectionModel().getSelectedItem() != wanted) {
            list.getSelectionModel().select(wanted);
            list.scrollTo(wanted);
        }
    }

    /** A device in the list. */
    private static final class DeviceCell extends ListCell<Device> {
        private final Label name = new Label();
        private final Label detail = new Label();
        private final VBox box = new VBox(1, name, detail);

        DeviceCell() {
            name.getStyleClass().add("medium");
            detail.getStyleClass().addAll("second", "small");
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(Device device, boolean isEmpty) {
            super.updateItem(device, isEmpty);
            setGraphic(isEmpty || device == null ? null : box);
            if (!isEmpty && device != null) {
                name.setText(device.name());
                detail.setText(ShelfWords.of(device));
            }
        }
    }

    /** A lead in the list, with its plugs. */
    private static final class LeadCell extends ListCell<Lead> {
        private static final double SKETCH_ROOM = 25;

        private final Label name = new Label();
        private final Label detail = new Label();
        private final LeadSketch sketch = new LeadSketch();
        private final HBox box;

        LeadCell() {
            name.getStyleClass().add("medium");
            detail.getStyleClass().addAll("second", "small");
            sketch.getStyleClass().add("lead-sketch");
            VBox words = new VBox(1, name, detail);
            words.setMinWidth(0);
            HBox.setHgrow(words, Priority.ALWAYS);
            box = new HBox(8, words, sketch);
            box.setAlignment(Pos.CENTER_LEFT);
            setPrefWidth(0);
            // Where there is no room for both, the words matter more.
            widthProperty().addListener(change -> {
                boolean hasRoom = getWidth() > SKETCH_ROOM * detail.getFont().getSize();
                sketch.setVisible(hasRoom);
                sketch.setManaged(hasRoom);
            });
        }

        @Override
        protected void updateItem(Lead lead, boolean isEmpty) {
            super.updateItem(lead, isEmpty);
            setGraphic(isEmpty || lead == null ? null : box);
            if (!isEmpty && lead != null) {
                name.setText(lead.name() + (lead.owned() == 1 ? "" : "  × " + lead.owned()));
                detail.setText(ShelfWords.of(lead));
                sketch.show(lead);
            }
        }
    }
}
