package kalodyne.desktop.shelf;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.studio.Whereabouts;
import kalodyne.core.studio.exchange.StudioTables;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.BesideOrBelow;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.LeadSketch;
import kalodyne.desktop.control.RoomHeader;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.control.Tabs;
import kalodyne.desktop.shell.Overlay;

/** Gear and leads by kind in a list as high as the room, what is searched for, and beside it the thing that is chosen. */
final class ShelfView extends VBox {
    /** In the size of the text. */
    private static final double LIST_WIDTH = 25;

    private static final double LIST_HEIGHT = 17;
    private static final double DETAIL_WIDTH = 27;

    private final ShelfModel shelf;
    private final Overlay overlay;
    private final Label sentence = new Label();
    private final TextField search = new TextField();
    private final ToggleButton gearTab = new ToggleButton();
    private final ToggleButton leadTab = new ToggleButton();
    private final ListView<Device> devices = new ListView<>();
    private final ListView<Lead> leads = new ListView<>();
    private final BesideOrBelow work;
    private final VBox empty = empty();
    private String turnedTo = "";
    private boolean showing;

    /**
     * A shelf.
     *
     * @param goTo shows where something is plugged
     */
    ShelfView(ShelfModel shelf, Overlay overlay, Consumer<Whereabouts> goTo) {
        this.shelf = shelf;
        this.overlay = overlay;
        getStyleClass().addAll("room", "shelf");
        ItemPane item = new ItemPane(shelf, overlay, goTo);
        work = new BesideOrBelow(lists(), item, LIST_WIDTH, LIST_HEIGHT, DETAIL_WIDTH);
        VBox.setVgrow(work, Priority.ALWAYS);
        VBox.setVgrow(empty, Priority.ALWAYS);
        prepare(devices, "devices", "No gear has these words.", Device::id);
        devices.setCellFactory(list -> new DeviceCell());
        prepare(leads, "leads", "No lead has these words.", Lead::id);
        leads.setCellFactory(list -> new LeadCell());
        getChildren().addAll(header(), empty, work);
        shelf.shownProperty().addListener(change -> show());
        shelf.chosenProperty().addListener(change -> show());
        show();
    }

    private <T> void prepare(ListView<T> list, String id, String none, Function<T, String> idOf) {
        Styled.of(list).id(id).spoken("My " + id);
        list.setPlaceholder(Styled.of(new Label(none)).as("second").wrap().node());
        list.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
        list.getSelectionModel().selectedItemProperty().addListener((property, before, now) -> {
            if (!showing && now != null) {
                shelf.choose(idOf.apply(now));
            }
        });
        Runnable remove = () -> shelf.remove(
                list.getSelectionModel().getSelectedItems().stream().map(idOf).toList());
        MenuItem duplicate = new MenuItem("Duplicate");
        duplicate.setOnAction(event -> shelf.duplicate());
        MenuItem removing = new MenuItem("Remove");
        removing.setOnAction(event -> remove.run());
        list.setContextMenu(new ContextMenu(duplicate, removing));
        list.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.DELETE && !event.isShortcutDown()) {
                remove.run();
                event.consume();
            }
        });
        VBox.setVgrow(list, Priority.ALWAYS);
    }

    private VBox lists() {
        tab(gearTab, "shelf-gear", devices);
        tab(leadTab, "shelf-leads", leads);
        return new VBox(6, searchRow(), new Tabs(gearTab, leadTab), devices, leads);
    }

    private static void tab(ToggleButton tab, String id, ListView<?> list) {
        tab.setId(id);
        list.visibleProperty().bind(tab.selectedProperty());
        list.managedProperty().bind(tab.selectedProperty());
    }

    /** The list that is looked at, for a spreadsheet. */
    void copyTable() {
        Copying.table(
                gearTab.isSelected() ? StudioTables.devices(devices.getItems()) : StudioTables.leads(leads.getItems()));
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
        Styled.of(search).id("shelf-search").spoken("Find on the shelf");
        search.setPromptText("Find on the shelf: a name, a plug, a colour, “balanced”, “phone”…");
        search.textProperty().bindBidirectional(shelf.queryProperty());
        search.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                search.clear();
                event.consume();
            } else if (event.getCode() == KeyCode.DOWN) {
                (gearTab.isSelected() ? devices : leads).requestFocus();
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
        Styled.of(empty).shown(isEmpty);
        Styled.of(work).shown(!isEmpty);
        sentence.setText(isEmpty ? "Your shelf is empty" : sentence(shown));
        gearTab.setText(count("Gear", shown.devices().size(), shown.deviceCount()));
        leadTab.setText(count("Leads", shown.leads().size(), shown.leadCount()));
        if (!devices.getItems().equals(shown.devices())) {
            devices.getItems().setAll(shown.devices());
        }
        if (!leads.getItems().equals(shown.leads())) {
            leads.getItems().setAll(shown.leads());
        }
        select();
        turn(shown);
        showing = false;
    }

    /** To the list in which something is: what is chosen, or the only one in which anything was found. */
    private void turn(ShelfModel.Shown shown) {
        String id = shelf.chosen().map(Chosen::id).orElse("");
        boolean isChosenLead =
                shelf.chosen().filter(Chosen.OfLead.class::isInstance).isPresent();
        boolean isAnother = !id.equals(turnedTo);
        turnedTo = id;
        if (shown.devices().isEmpty() != shown.leads().isEmpty()) {
            (shown.devices().isEmpty() ? leadTab : gearTab).setSelected(true);
        } else if (isAnother) {
            (isChosenLead ? leadTab : gearTab).setSelected(true);
        }
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
        } else if (!list.getSelectionModel().getSelectedItems().contains(wanted)) {
            list.getSelectionModel().clearSelection();
            list.getSelectionModel().select(wanted);
            list.scrollTo(wanted);
        }
    }

    /** A thing in a list; above the first of its kind the heading of that kind. */
    private abstract static class KindCell<T> extends ListCell<T> {
        private final Label heading =
                Styled.of(new Label()).as("section", "list-heading").node();
        private final VBox box;
        private final Label name = Styled.of(new Label()).as("medium").node();
        private final Label detail =
                Styled.of(new Label()).as("second", "small").node();

        /**
         * A cell.
         *
         * @param beneath what stands beneath the words
         */
        KindCell(Node... beneath) {
            box = new VBox(1, heading, name, detail);
            box.getChildren().addAll(beneath);
            setPrefWidth(0);
        }

        abstract String kind(T item);

        abstract String name(T item);

        abstract String detail(T item);

        @Override
        protected void updateItem(T item, boolean isEmpty) {
            super.updateItem(item, isEmpty);
            setGraphic(isEmpty || item == null ? null : box);
            if (!isEmpty && item != null) {
                List<T> all = getListView().getItems();
                boolean isFirst = getIndex() == 0
                        || (getIndex() < all.size()
                                && !kind(all.get(getIndex() - 1)).equals(kind(item)));
                heading.setText(kind(item));
                Styled.of(heading).shown(isFirst);
                name.setText(name(item));
                detail.setText(detail(item));
                setAccessibleText(name(item) + ", " + detail(item));
            }
        }
    }

    /** A device in the list. */
    private static final class DeviceCell extends KindCell<Device> {
        @Override
        String kind(Device device) {
            return device.kind().purpose();
        }

        @Override
        String name(Device device) {
            return device.name();
        }

        @Override
        String detail(Device device) {
            return ShelfWords.of(device);
        }
    }

    /** A lead in the list, with its plugs. */
    private static final class LeadCell extends KindCell<Lead> {
        private final LeadSketch sketch;

        LeadCell() {
            this(new LeadSketch());
        }

        private LeadCell(LeadSketch sketch) {
            super(sketch);
            this.sketch = sketch;
            sketch.getStyleClass().add("lead-sketch");
        }

        @Override
        String kind(Lead lead) {
            return lead.kind().plural();
        }

        @Override
        String name(Lead lead) {
            return lead.name() + (lead.owned() == 1 ? "" : "  × " + lead.owned());
        }

        @Override
        String detail(Lead lead) {
            return ShelfWords.of(lead);
        }

        @Override
        protected void updateItem(Lead lead, boolean isEmpty) {
            super.updateItem(lead, isEmpty);
            if (!isEmpty && lead != null) {
                sketch.show(lead);
            }
        }
    }
}
