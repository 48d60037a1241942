package kalodyne.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.Node;

/** Lays something over the window, one thing at a time. */
public interface Overlay {
    void lay(Node node, Pos where);

    /** Uncovers the window. */
    void lift();
}
