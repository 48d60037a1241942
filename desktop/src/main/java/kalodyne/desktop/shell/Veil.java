package kalodyne.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** Dims the window while something lies over it; a click beside that lifts it. */
final class Veil extends StackPane implements Overlay {
    private Node focusBefore;

    Veil() {
        getStyleClass().add("veil");
        setVisible(false);
        setOnMousePressed(event -> {
            if (event.getTarget() == this) {
                lift();
            }
        });
    }

    /** Lays something over the window, instead of what lies there. */
    @Override
    public void lay(Node node, Pos where) {
        if (!isVisible()) {
            focusBefore = getScene().getFocusOwner();
        }
        setAlignment(node, where);
        getChildren().setAll(node);
        setVisible(true);
    }

    /** Uncovers the window and gives the focus back to where it was. */
    @Override
    public void lift() {
        setVisible(false);
        getChildren().clear();
        if (focusBefore != null) {
            focusBefore.requestFocus();
        }
    }
}
