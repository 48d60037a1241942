package kalodyne.desktop.control;

import javafx.scene.Node;
import javafx.scene.control.ScrollPane;

/** Scrolls down and never sideways: what is in it is as wide as it. */
public class DownScroll extends ScrollPane {
    public DownScroll() {
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
    }

    public DownScroll(Node content) {
        this();
        setContent(content);
    }

    /** As high as there is room, whatever is in it. */
    public DownScroll shrinking() {
        setMinHeight(0);
        return this;
    }
}
