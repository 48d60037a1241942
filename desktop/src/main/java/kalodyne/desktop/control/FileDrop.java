package kalodyne.desktop.control;

import java.io.File;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;

/** Files from elsewhere, dropped on a part of the window; while they are over it, it has the state "dropping" in the style sheets. */
public final class FileDrop {
    private static final PseudoClass DROPPING = PseudoClass.getPseudoClass("dropping");

    private FileDrop() {}

    /** Takes what is dropped on a node. */
    public static void on(Node node, Consumer<List<Path>> take) {
        node.setOnDragOver(event -> over(node, event));
        node.setOnDragExited(event -> node.pseudoClassStateChanged(DROPPING, false));
        node.setOnDragDropped(event -> {
            List<Path> files =
                    event.getDragboard().getFiles().stream().map(File::toPath).toList();
            take.accept(files);
            event.setDropCompleted(!files.isEmpty());
            event.consume();
        });
    }

    private static void over(Node node, DragEvent event) {
        if (event.getDragboard().hasFiles()) {
            event.acceptTransferModes(TransferMode.COPY, TransferMode.LINK, TransferMode.MOVE);
            node.pseudoClassStateChanged(DROPPING, true);
        }
        event.consume();
    }
}
