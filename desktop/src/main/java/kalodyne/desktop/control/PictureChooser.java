package kalodyne.desktop.control;

import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.Node;
import javafx.stage.FileChooser;

/** Asks for a picture that lies on the disk. */
public final class PictureChooser {
    private PictureChooser() {}

    /**
     * Asks in a window over another one.
     *
     * @param title what the picture is of
     * @param owner in the window that asks
     */
    public static Optional<Path> choose(String title, Node owner) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter("Pictures", "*.jpg", "*.jpeg", "*.png", "*.gif"));
        return Optional.ofNullable(chooser.showOpenDialog(owner.getScene().getWindow()))
                .map(File::getPath)
                .map(Path::of);
    }
}
