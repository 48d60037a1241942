package kalodyne.desktop.shelf;

import java.util.function.Consumer;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Region;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.EndEdits;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.LeadKind;
import kalodyne.core.gear.SocketEdits;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.shell.Overlay;

/** Changes what a thing is made of, where it differs from its profile: its sockets or ends, its wires, its power. */
final class ChangeMenu extends MenuButton {
    private final ShelfModel shelf;
    private final Overlay overlay;
    private final Consumer<String> explain;

    ChangeMenu(ShelfModel shelf, Overlay overlay, Consumer<String> explain) {
        super("Change");
        this.shelf = shelf;
        this.overlay = overlay;
        this.explain = explain;
        getStyleClass().add("acts");
        setId("change-item");
        setMinWidth(Region.USE_PREF_SIZE);
        setTooltip(new Tooltip("Other plugs, sockets, wires and power than its profile says"));
    }

    /** Offers what can be changed of a device, and of its socket that is looked at, if any. */
    void show(Device device, String socketId) {
        getItems().setAll(item("Its kind, power and sample rates…", () -> DevicePage.lay(overlay, shelf, device)));
        device.socket(socketId)
                .ifPresent(socket -> getItems()
                        .addAll(
                                item("This socket…", () -> SocketPage.lay(overlay, shelf, socket)),
                                item(
                                        "Add a socket like this",
                                        () -> shelf.changeDevice(
                                                "add a socket like " + socket.name(),
                                                each -> SocketEdits.another(each, socket))),
                                item(
                                        "Remove this socket",
                                        () -> shelf.changeDevice(
                                                "remove the socket " + socket.name(),
                                                each -> SocketEdits.without(each, socketId)))));
    }

    /** Offers what can be changed of a lead, and of its end that is looked at. */
    void show(Lead lead, String endId) {
        LeadEnd end = lead.ends().stream()
                .filter(each -> each.id().equals(endId))
                .findFirst()
                .orElseThrow();
        getItems()
                .setAll(
                        item("This end and its wires…", () -> EndPage.lay(overlay, shelf, lead, end)),
                        item(
                                "Add an end like this",
                                () -> shelf.changeLead(
                                        "add an end to " + lead.name(), each -> EndEdits.another(each, end))),
                        item(
                                "Remove this end",
                                () -> shelf.changeLead(
                                        "remove an end of " + lead.name(), each -> EndEdits.without(each, endId))),
                        kinds(lead));
    }

    private Menu kinds(Lead lead) {
        Menu kinds = new Menu("It is");
        for (LeadKind each : LeadKind.values()) {
            CheckMenuItem choice = new CheckMenuItem(each.word());
            choice.setSelected(each == lead.kind());
            choice.setOnAction(event -> shelf.changeLead("say what it is", changed -> changed.withKind(each)));
            kinds.getItems().add(choice);
        }
        return kinds;
    }

    private MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(event -> {
            try {
                action.run();
                explain.accept("");
            } catch (UnreadableQuantity e) {
                explain.accept(e.getMessage());
            }
        });
        return item;
    }
}
