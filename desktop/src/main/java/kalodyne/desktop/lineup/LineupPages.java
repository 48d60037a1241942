package kalodyne.desktop.lineup;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import kalodyne.desktop.control.Styled;
import kalodyne.desktop.control.Tabs;

/** The two works of the room, one at a time. */
final class LineupPages extends VBox {
    private final ToggleButton lineUp = new ToggleButton("Line up two");
    private final ToggleButton tidyUp = new ToggleButton("Tidy up");

    /**
     * Shows the first.
     *
     * @param turned told that the other one is shown
     */
    LineupPages(LineupView two, TidyView tidy, Runnable turned) {
        super(8);
        getStyleClass().add("room");
        page(lineUp, "page-lineup", "Two recordings of the same sound, in time with each other");
        page(tidyUp, "page-tidy", "Cut, split, pick channels, match levels, on copies");
        Tabs.oneOf(lineUp, tidyUp);
        tidyUp.selectedProperty().addListener(change -> turned.run());
        HBox switches = new HBox(6, lineUp, tidyUp);
        switches.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(switches, two, tidy);
        shown(two, lineUp);
        shown(tidy, tidyUp);
    }

    private static void page(ToggleButton button, String id, String tip) {
        Styled.of(button).id(id).as("wave-tool").tip(tip);
    }

    private static void shown(Node page, ToggleButton by) {
        VBox.setVgrow(page, Priority.ALWAYS);
        page.visibleProperty().bind(by.selectedProperty());
        page.managedProperty().bind(by.selectedProperty());
    }

    void showLineUp() {
        lineUp.setSelected(true);
    }

    void showTidyUp() {
        tidyUp.setSelected(true);
    }

    boolean isTidyUp() {
        return tidyUp.isSelected();
    }
}
