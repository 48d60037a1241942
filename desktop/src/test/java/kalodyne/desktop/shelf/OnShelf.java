package kalodyne.desktop.shelf;

import javafx.scene.input.KeyCode;
import kalodyne.core.studio.Studio;
import kalodyne.desktop.testing.Desk;

/** What tests of the Shelf room do over and over. */
final class OnShelf {
    private OnShelf() {}

    static void enter(Desk desk) {
        desk.press(KeyCode.CONTROL, KeyCode.DIGIT1);
    }

    static void choose(Desk desk, String id) {
        Desk.onScreen(() -> {
            desk.workbench().shelf().choose(id);
            return null;
        });
        desk.rest();
    }

    static Studio studio(Desk desk) {
        return desk.workbench().studio().studio();
    }
}
