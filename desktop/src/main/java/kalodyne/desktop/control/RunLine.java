package kalodyne.desktop.control;

import javafx.scene.layout.Region;

/** The line between two stations of a run. */
public final class RunLine extends Region {
    public RunLine() {
        getStyleClass().add("wire");
        setMaxWidth(Double.MAX_VALUE);
    }
}
