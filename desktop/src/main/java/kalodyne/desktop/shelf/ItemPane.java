package kalodyne.desktop.shelf;

import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Part;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.studio.Whereabouts;
import kalodyne.desktop.control.Chooser;
import kalodyne.desktop.control.ContactWords;
import kalodyne.desktop.control.DownScroll;
import kalodyne.desktop.control.QuantityField;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.control.TwoColumns;
import kalodyne.desktop.shell.Overlay;

/** The thing that is chosen: its names, a drawing of one of its plugs, and its values, all to be corrected in place. */
final class ItemPane extends VBox {
    /** Narrower than this, in the size of its text, it stands in one column. */
    private static final double TWO_COLUMNS = 44;

    private final ShelfModel shelf;
    private final QuantityField name;
    private final Label kind = new Label();
    private final Chooser<Face> faces = new Chooser<>(Face::words);
    private final Label about =
            Styled.of(new Label()).as("second", "small").id("face-about").wrap().node();
    private final ChangeMenu change;
    private final PlugDrawing drawing = new PlugDrawing();
    private final Label problem = new Label();
    private final Label wiring = new Label();
    private final ValueGrid values;
    private final ItemExtras extras;
    private String shownId = "";
    private boolean showing;

    /**
     * One of its sockets or ends.
     *
     * @param id its mark
     * @param about which connector it is, and what it is for
     */
    private record Face(
            String id, String name, String about, Connector connector, Form form, Map<Contact, String> contacts) {
        String words() {
            return name + " · " + about;
        }

        static Face of(Socket socket) {
            return new Face(
                    socket.id(),
                    socket.name(),
                    socket.words(),
                    socket.connector(),
                    // A socket is told by the plug that goes in.
                    socket.form(),
                    ContactWords.carriedBy(socket));
        }

        static Face of(LeadEnd end) {
            return new Face(end.id(), "End " + end.id(), end.words(), end.connector(), end.form(), Map.of());
        }
    }

    /**
     * A pane.
     *
     * @param goTo shows where something is plugged
     */
    ItemPane(ShelfModel shelf, Overlay overlay, Consumer<Whereabouts> goTo) {
        super(8);
        this.shelf = shelf;
        getStyleClass().add("item-pane");
        setId("item-pane");
        Styled.of(problem).as("problem", "small").id("item-problem").wrap();
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        name = new QuantityField(shelf::rename, problem::setText);
        Styled.of(name).id("item-name").as("item-name").spoken("Name");
        Styled.of(kind).as("second", "small").id("item-kind");
        change = new ChangeMenu(shelf, overlay, problem::setText);
        values = new ValueGrid(shelf, overlay, problem::setText);
        Styled.of(faces).id("faces").spoken("Socket or end");
        // There is not always room for all of it in one line: that stands beneath.
        faces.setButtonCell(new NameCell());
        faces.setOnAction(event -> {
            if (!showing) {
                showFace();
            }
        });
        extras = new ItemExtras(shelf, problem::setText, goTo);
        DownScroll scroll = new DownScroll(new TwoColumns(left(), right(), TWO_COLUMNS));
        VBox.setVgrow(scroll, Priority.ALWAYS);
        getChildren().addAll(problem, scroll, buttons());
        shelf.chosenProperty().addListener(change -> show());
        show();
    }

    private HBox buttons() {
        Button duplicate = new Button("Duplicate");
        Styled.of(duplicate).id("duplicate").whole().action(() -> shelf.duplicate());
        Button remove = new Button("Remove");
        Styled.of(remove).id("remove-item").whole().action(() -> shelf.remove());
        HBox buttons = new HBox(8, change, duplicate, remove);
        buttons.setAlignment(Pos.CENTER_LEFT);
        buttons.setMinHeight(USE_PREF_SIZE);
        return buttons;
    }

    private VBox left() {
        return Styled.of(new VBox(6, name, kind, faces, about, drawing, wiring, extras))
                .as("item-left")
                .node();
    }

    private VBox right() {
        Styled.of(wiring).as("second", "small").id("wiring").wrap();
        wiring.setMinHeight(Region.USE_PREF_SIZE);
        wiring.managedProperty().bind(wiring.textProperty().isNotEmpty());
        Label legend = Styled.of(
                        new Label(
                                "Typical: what such gear usually has. Datasheet: read in its manual. Measured: measured on it."))
                .as("second", "small")
                .wrap()
                .node();
        return new VBox(8, values, legend);
    }

    private void show() {
        boolean has = shelf.chosen().isPresent();
        setVisible(has);
        setManaged(has);
        if (!has) {
            shownId = "";
            return;
        }
        Chosen chosen = shelf.chosen().orElseThrow();
        showing = true;
        name.show(chosen.name());
        kind.setText(words(chosen));
        List<Face> all = faces(chosen);
        String face = chosen.id().equals(shownId) ? stillLookedAt(all) : "";
        if (!chosen.id().equals(shownId)) {
            problem.setText("");
        }
        shownId = chosen.id();
        faces.getItems().setAll(all);
        faces.setValue(all.stream()
                .filter(each -> each.id().equals(face))
                .findFirst()
                .orElse(all.isEmpty() ? null : all.get(0)));
        showing = false;
        showFace();
    }

    /** The socket or end that was looked at, or one that has just come. */
    private String stillLookedAt(List<Face> now) {
        List<String> before = faces.getItems().stream().map(Face::id).toList();
        String present = faces.getValue() == null ? "" : faces.getValue().id();
        return now.stream()
                .map(Face::id)
                .filter(id -> !before.contains(id))
                .findFirst()
                .orElse(present);
    }

    private static String words(Chosen chosen) {
        return chosen instanceof Chosen.OfDevice device
                ? device.device().kind().word()
                : ((Chosen.OfLead) chosen).lead().kind().word();
    }

    private static List<Face> faces(Chosen chosen) {
        return chosen instanceof Chosen.OfDevice device
                ? device.device().sockets().stream().map(Face::of).toList()
                : faces(((Chosen.OfLead) chosen).lead());
    }

    private static List<Face> faces(Lead lead) {
        return lead.ends().stream().map(Face::of).toList();
    }

    private void showFace() {
        Chosen chosen = shelf.chosen().orElseThrow();
        Face face = faces.getValue();
        about.setText(face == null ? "" : face.about());
        if (face != null) {
            drawing.show(face.connector(), face.form(), face.contacts());
        }
        List<Part> shown = chosen instanceof Chosen.OfDevice device
                ? parts(chosen.parts(), device.device(), face == null ? "" : face.id())
                : chosen.parts().stream().filter(part -> !isBareWire(part)).toList();
        values.show(
                chosen.id(),
                shown,
                chosen instanceof Chosen.OfDevice device ? controls(device.device(), shown) : List.of());
        String id = face == null ? "" : face.id();
        if (chosen instanceof Chosen.OfDevice device) {
            change.show(device.device(), id);
        } else {
            change.show(((Chosen.OfLead) chosen).lead(), id);
        }
        wiring.setText(
                chosen instanceof Chosen.OfLead lead && face != null
                        ? ContactWords.wiring(lead.lead(), face.id())
                        : "");
    }

    private static boolean isBareWire(Part part) {
        return part.mark().startsWith("wire ") && part.facts().known().isEmpty();
    }

    /** Of a device the chosen socket, what feeds it or is fed by it, and what is true of the whole. */
    private static List<Part> parts(List<Part> all, Device device, String socket) {
        List<String> stages = Stream.concat(
                        device.stages().stream()
                                .filter(stage -> stage.from().stream()
                                        .anyMatch(from -> from.equals(socket) || from.startsWith(socket + ":")))
                                .map(Stage::id),
                        device.socket(socket).stream().flatMap(each -> each.from().stream()))
                .map(id -> "stage " + id)
                .toList();
        String own = "socket " + socket;
        return all.stream()
                .filter(part -> part.mark().equals("device")
                        || part.mark().equals(own)
                        || part.mark().startsWith(own + " ")
                        || stages.contains(part.mark())
                        || part.mark().startsWith("powering "))
                .toList();
    }

    /** The controls of the stages that are shown, and those that act on the whole. */
    private static List<DeviceControl> controls(Device device, List<Part> shown) {
        List<String> elsewhere = device.stages().stream()
                .filter(stage -> shown.stream().noneMatch(part -> part.mark().equals("stage " + stage.id())))
                .flatMap(stage -> stage.controls().stream())
                .toList();
        List<String> here = device.stages().stream()
                .filter(stage -> shown.stream().anyMatch(part -> part.mark().equals("stage " + stage.id())))
                .flatMap(stage -> stage.controls().stream())
                .toList();
        return device.controls().stream()
                .filter(control -> here.contains(control.id()) || !elsewhere.contains(control.id()))
                .toList();
    }

    /** The name alone. */
    private static final class NameCell extends ListCell<Face> {
        @Override
        protected void updateItem(Face face, boolean isEmpty) {
            super.updateItem(face, isEmpty);
            setText(face == null ? "" : face.name());
        }
    }
}
