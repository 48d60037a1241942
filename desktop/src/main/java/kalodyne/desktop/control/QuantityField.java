package kalodyne.desktop.control;

import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import kalodyne.core.units.UnreadableQuantity;

/**
 * A field for one value. What is typed is taken with Enter or when the field is left; what cannot be read stays as it was
 * typed, with the reason beside it; Escape brings the present value back.
 */
public final class QuantityField extends TextField {
    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");

    private final Consumer<String> take;
    private final Consumer<String> explain;
    private String shown = "";

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
                show(shown);
                event.consume();
            }
        });
    }

    /** Shows a value, unless somebody is typing another one. */
    public void show(String value) {
        boolean typing = isFocused() && !getText().equals(shown) && !value.equals(shown);
        shown = value;
        if (!typing) {
            accept();
            if (!getText().equals(value)) {
                setText(value);
            }
        }
    }

    private void commit() {
        if (getText().equals(shown)) {
            accept();
            return;
        }
        try {
            String typed = getText();
            shown = typed;
            take.accept(typed);
            accept();
        } catch (UnreadableQuantity e) {
            refuse(e.getMessage());
        } catch (IllegalArgumentException e) {
            String reason = e.getMessage();
            refuse(Character.toUpperCase(reason.charAt(0)) + reason.substring(1) + ".");
        }
    }

    private void refuse(String reason) {
        shown = "";
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
