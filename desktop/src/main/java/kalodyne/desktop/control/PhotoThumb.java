package kalodyne.desktop.control;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;

/** A photograph, small; its name where it cannot be shown. */
public final class PhotoThumb {
    /** Usual, in lists of steps. */
    public static final double SMALL = 54;

    private PhotoThumb() {}

    public static Node of(Path file, double height) {
        if (!Files.isReadable(file)) {
            return label(file.getFileName() + " is not there any more");
        }
        // In the background: a photograph of a phone has tens of megapixels.
        Image image = new Image(file.toUri().toString(), 0, 2 * height, true, true, true);
        ImageView view = new ImageView(image);
        view.setFitHeight(height);
        view.setPreserveRatio(true);
        Tooltip.install(view, new Tooltip(file.toString()));
        Label box = new Label("", view);
        image.errorProperty().addListener(change -> {
            box.setGraphic(null);
            box.setText(file.getFileName() + " is not a picture that can be shown");
        });
        return box;
    }

    private static Label label(String words) {
        Label label = Styled.of(new Label(words)).as("second", "small").node();
        return label;
    }
}
