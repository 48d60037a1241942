package kalodyne.desktop.shelf;

import java.util.function.Consumer;
import javafx.scene.input.KeyCode;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.control.LinesField;

/** A note of some lines. What is typed is taken when the field is left, or with Ctrl+Enter; Escape brings the old one back. */
final class NoteArea extends LinesField {
    private static final int LINES = 3;

    private final Consumer<String> take;
    private final Consumer<String> explain;
    private String value = "";

    NoteArea(Consumer<String> take, Consumer<String> explain) {
        super("");
        this.take = take;
        this.explain = explain;
        setPrefRowCount(LINES);
        setAccessibleText("note");
        focusedProperty().addListener((property, before, focused) -> {
            if (!focused) {
                commit();
            }
        });
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                setText(value);
                explain.accept("");
                event.consume();
            } else if (event.getCode() == KeyCode.ENTER && event.isShortcutDown()) {
                commit();
                event.consume();
            }
        });
    }

    /** Shows a note, unless another one is being typed. */
    void show(String present) {
        boolean isTyping = isFocused() && !getText().equals(value);
        value = present;
        if (!isTyping && !getText().equals(present)) {
            setText(present);
        }
    }

    private void commit() {
        if (getText().equals(value)) {
            return;
        }
        try {
            take.accept(getText());
            explain.accept("");
        } catch (UnreadableQuantity e) {
            explain.accept(e.getMessage());
        }
    }
}
