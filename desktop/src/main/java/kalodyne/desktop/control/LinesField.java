package kalodyne.desktop.control;

import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Text of some lines. Tab leads on, as from every other field: who has no mouse would not get out again. */
public class LinesField extends TextArea {
    public LinesField(String text) {
        super(text);
        setWrapText(true);
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.TAB && !event.isControlDown()) {
                // With Ctrl it leads on in every area of text.
                fireEvent(new KeyEvent(
                        KeyEvent.KEY_PRESSED, "", "\t", KeyCode.TAB, event.isShiftDown(), true, false, false));
                event.consume();
            }
        });
    }
}
