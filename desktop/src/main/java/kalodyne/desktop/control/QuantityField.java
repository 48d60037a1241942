package kalodyne.desktop.control;

import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import kalodyne.core.units.Print;
import kalodyne.core.units.UnreadableQuantity;

/**
 * A field for one value. What is typed is taken with Enter or when the field is left; what cannot be read stays as it was
 * typed, with the reason beside it; Escape brings the present value back.
 */
public final class QuantityField extends TextField {
    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    private final Consumer<String> take;
    private final Consumer<String> explain;

    /** The present value, and what was typed last and found good or bad. */
    private String value = "";

    private String settled = "";

    /**
     * A field.
     *
     * @param take is given what was typed; throws {@link UnreadableQuantity} where it cannot be read
     * @param explain is given the reason, or an empty text when all is well again
     */
    public QuantityField(Consumer<String> take, Consumer<String> explain) {
        this.take = take;
        this.explain = explain;
        setOnAction(event -> commit());
        focusedProperty().addListener((property, before, focused) -> {
            if (focused) {
                selectAll();
            } else {
                commit();
            }
        });
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                settled = value;
                setText(value);
                selectAll();
                accept();
                event.consume();
            }
        });
    }

    /** Shows a value, unless somebody is typing another one. */
    public void show(String present) {
        boolean isTyping = isFocused() && !getText().equals(settled);
        boolean isRefused = getPseudoClassStates().contains(REFUSED) && present.equals(value);
        value = present;
        if (!isTyping && !isRefused) {
            settled = present;
            accept();
            if (!getText().equals(present)) {
                setText(present);
            }
        }
    }

    private void commit() {
        String typed = getText();
        if (typed.equals(settled)) {
            return;
        }
        // Before it is taken: what takes it shows the new value, which is then no longer being typed over.
        settled = typed;
        if (typed.equals(value)) {
            accept();
            return;
        }
        try {
            take.accept(typed);
            accept();
            settled = value;
            setText(value);
        } catch (UnreadableQuantity e) {
            refuse(e.getMessage());
        } catch (IllegalArgumentException e) {
            refuse(Print.startingSentence(e.getMessage()) + ".");
        }
    }

    private void refuse(String reason) {
        pseudoClassStateChanged(REFUSED, true);
        setTooltip(new Tooltip(reason));
        explain.accept(reason);
    }

    private void accept() {
        pseudoClassStateChanged(REFUSED, false);
        setTooltip(null);
        explain.accept("");
    }
}
