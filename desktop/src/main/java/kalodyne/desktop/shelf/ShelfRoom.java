package kalodyne.desktop.shelf;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.studio.Whereabouts;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.shell.Command;
import kalodyne.desktop.shell.Overlay;
import kalodyne.desktop.shell.Room;

/** The Shelf room: my gear and my leads. */
public final class ShelfRoom implements Room {
    private final Supplier<ShelfModel> made;
    private final Consumer<Whereabouts> goTo;
    private final ReadOnlyObjectWrapper<Report> report = new ReadOnlyObjectWrapper<>(this, "report");
    private ShelfModel shelf;
    private Overlay overlay;
    private ShelfView view;

    /**
     * A room.
     *
     * @param shelf is asked for when the room is first entered: until then nobody needs it searched
     * @param goTo shows where something is plugged
     */
    public ShelfRoom(Supplier<ShelfModel> shelf, Consumer<Whereabouts> goTo) {
        this.made = shelf;
        this.goTo = goTo;
        report.set(new Report("", List.of(), "", Optional.empty(), ""));
    }

    private ShelfModel shelf() {
        if (shelf == null) {
            shelf = made.get();
            shelf.findingsProperty().addListener(change -> report.set(report()));
            report.set(report());
        }
        return shelf;
    }

    @Override
    public String id() {
        return "shelf";
    }

    @Override
    public String title() {
        return "Shelf";
    }

    @Override
    public boolean isAboutRun() {
        return false;
    }

    @Override
    public void useOverlay(Overlay windowsOverlay) {
        overlay = windowsOverlay;
    }

    @Override
    public Node node() {
        return view();
    }

    private ShelfView view() {
        if (view == null) {
            view = new ShelfView(shelf(), overlay, goTo);
        }
        return view;
    }

    @Override
    public Optional<Node> aside() {
        return Optional.empty();
    }

    @Override
    public ObservableValue<Report> reportProperty() {
        return report.getReadOnlyProperty();
    }

    private Report report() {
        List<Finding> findings = shelf().findingsProperty().get();
        return new Report(
                findings.isEmpty() ? "" : "What was noticed on the shelf", findings, "", Optional.empty(), "");
    }

    @Override
    public List<Command> commands() {
        return List.of(
                Command.of("Find on the shelf", "Shortcut+F", () -> view().search()),
                Command.of("Add gear…", "Shortcut+G", () -> view().addGear()),
                Command.of("Add a lead…", "Shortcut+Shift+G", () -> view().addLead()),
                Command.of("Which plug is this?", "Shortcut+P", () -> view().findPlug()),
                Command.of("Copy this list as a table", Copying.KEYS, () -> view().copyTable()),
                Command.of("Duplicate what is chosen", "Shortcut+D", () -> shelf().duplicate()),
                Command.of("Remove what is chosen", "Shortcut+Delete", () -> shelf().remove()));
    }

    @Override
    public void show(Place place) {
        if (place instanceof Place.Shelf here) {
            shelf().choose(here.id());
        }
    }

    @Override
    public List<Command> findable() {
        return shelf().named().entrySet().stream()
                .map(entry -> Command.of("Shelf: " + entry.getValue(), null, () -> shelf().choose(entry.getKey())))
                .toList();
    }

    @Override
    public String helpResource() {
        return "shelf.txt";
    }
}
