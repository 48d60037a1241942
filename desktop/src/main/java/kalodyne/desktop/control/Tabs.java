package kalodyne.desktop.control;

import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;

/** Buttons in a row, of which one is always chosen; the first at first. */
public final class Tabs extends HBox {
    public Tabs(ToggleButton... tabs) {
        super(tabs);
        getStyleClass().add("tabs");
        oneOf(tabs);
    }

    /** Binds buttons, wherever they stand, so that one of them is always chosen. */
    public static void oneOf(ToggleButton... buttons) {
        ToggleGroup group = new ToggleGroup();
        for (ToggleButton button : buttons) {
            button.setToggleGroup(group);
        }
        buttons[0].setSelected(true);
        group.selectedToggleProperty().addListener((property, before, now) -> {
            if (now == null) {
                group.selectToggle(before);
            }
        });
    }
}
