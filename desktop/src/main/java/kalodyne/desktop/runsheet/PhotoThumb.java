package kalodyne.desktop.runsheet;

import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import kalodyne.desktop.control.Styled;

/** A photograph, small; its name where it cannot be shown. */
final class PhotoThumb {
    private static final double HEIGHT = 54;

    private PhotoThumb() {}

    static Node of(Path file) {
        if (!Files.isReadable(file)) {
            return label(file.getFileName() + " is not there any more");
        }
        // In the background: a photograph of a phone has tens of megapixels.
        Image image = new Image(file.toUri().toString(), 0, 2 * HEIGHT, true, true, true);
        ImageView view = new ImageView(image);
        view.setFitHeight(HEIGHT);
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
