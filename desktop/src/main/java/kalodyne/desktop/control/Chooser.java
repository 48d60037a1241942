package kalodyne.desktop.control;

import java.util.Collection;
import java.util.function.Function;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;

/**
 * A list that opens, of which one thing is chosen, not typed.
 *
 * @param <C> what is chosen
 */
public final class Chooser<C> extends ComboBox<C> {
    /**
     * A chooser.
     *
     * @param words how a thing is called in it
     */
    public Chooser(Function<C, String> words) {
        setMaxWidth(Double.MAX_VALUE);
        setConverter(new StringConverter<>() {
            @Override
            public String toString(C choice) {
                return choice == null ? "" : words.apply(choice);
            }

            @Override
            public C fromString(String text) {
                throw new UnsupportedOperationException("it is chosen, not typed");
            }
        });
    }

    /** Offers things, of which one is chosen at first. */
    public Chooser<C> offering(Collection<? extends C> choices, C present) {
        getItems().setAll(choices);
        setValue(present);
        return this;
    }
}
