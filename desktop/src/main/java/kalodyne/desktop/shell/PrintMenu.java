package kalodyne.desktop.shell;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.Region;
import javafx.stage.FileChooser;
import kalodyne.desktop.model.PaperModel;

/** What can be printed, each on every paper; asks where the document is to go. */
public final class PrintMenu extends MenuButton {
    private final PaperModel paper;

    /**
     * A menu.
     *
     * @param printables asked for when it opens
     */
    public PrintMenu(String id, PaperModel paper, Supplier<List<PaperModel.Printable>> printables) {
        super("Print");
        this.paper = paper;
        setId(id);
        getStyleClass().add("acts");
        setMinWidth(Region.USE_PREF_SIZE);
        managedProperty().bind(visibleProperty());
        getItems().add(new MenuItem("…"));
        setOnShowing(event ->
                getItems().setAll(printables.get().stream().map(this::item).toList()));
    }

    private MenuItem item(PaperModel.Printable what) {
        MenuItem item = new MenuItem(what.name() + ", " + what.paper() + "…");
        item.setOnAction(event -> print(what));
        return item;
    }

    private void print(PaperModel.Printable what) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Where to put the document");
        chooser.setInitialFileName(what.fileName());
        chooser.getExtensionFilters().add(new FileChooser.ExtensionFilter("PDF documents", "*.pdf"));
        Optional.ofNullable(chooser.showSaveDialog(getScene().getWindow()))
                .ifPresent(file -> paper.print(file.toPath(), what));
    }
}
