package kalodyne.desktop.control;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.scene.paint.Paint;
import kalodyne.core.studio.exchange.PastedTable;

/** Hands things on to other programs: by the clipboard, or dragged there. */
public final class Copying {
    /** In every room, for what is most wanted from it. */
    public static final String KEYS = "Shortcut+Shift+C";

    private Copying() {}

    public static void text(String words) {
        ClipboardContent content = new ClipboardContent();
        content.putString(words);
        copy(content);
    }

    /** A table, such that it falls into the cells of a spreadsheet. */
    public static void table(String csv) {
        text(PastedTable.of(csv));
    }

    /** What something looks like. */
    public static void picture(Node node) {
        SnapshotParameters onItsGround = new SnapshotParameters();
        onItsGround.setFill(ground(node));
        ClipboardContent content = new ClipboardContent();
        content.putImage(
                node instanceof PaintedRegion painted
                        ? painted.whole(() -> node.snapshot(onItsGround, null))
                        : node.snapshot(onItsGround, null));
        copy(content);
    }

    /** What it lies on: light words on a dark ground are copied with that. */
    private static Paint ground(Node node) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (each instanceof Region region && region.getBackground() != null) {
                for (BackgroundFill fill : region.getBackground().getFills()) {
                    if (fill.getFill() instanceof Color color && color.isOpaque()) {
                        return color;
                    }
                }
            }
        }
        return Color.WHITE;
    }

    /** A file, for folders and for programs that open it. */
    public static void file(Path file) {
        copy(of(file));
    }

    private static void copy(ClipboardContent content) {
        Clipboard.getSystemClipboard().setContent(content);
    }

    private static ClipboardContent of(Path file) {
        ClipboardContent content = new ClipboardContent();
        content.putFiles(List.of(file.toFile()));
        return content;
    }

    /** Lets a file be dragged from a node to wherever it is wanted. */
    public static void dragOut(Node from, Supplier<Optional<Path>> file) {
        from.setOnDragDetected(event -> file.get().ifPresent(dragged -> {
            from.startDragAndDrop(TransferMode.COPY).setContent(of(dragged));
            event.consume();
        }));
    }

    /** "Copy the map as a picture", in a menu of the node's own. */
    public static MenuItem pictureItem(String what, Node node) {
        MenuItem item = new MenuItem("Copy " + what + " as a picture");
        item.setOnAction(event -> picture(node));
        return item;
    }

    /** The same where there is nothing else to do with it. */
    public static void offerPicture(String what, Node node) {
        ContextMenu menu = new ContextMenu(pictureItem(what, node));
        node.setOnContextMenuRequested(event -> menu.show(node, event.getScreenX(), event.getScreenY()));
    }
}
