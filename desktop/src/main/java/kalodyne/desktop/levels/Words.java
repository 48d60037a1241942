package kalodyne.desktop.levels;

import java.util.function.Function;
import javafx.util.StringConverter;

/** How choices are worded in a list that is chosen from and not typed into. */
final class Words {
    private Words() {}

    static <T> StringConverter<T> of(Function<T, String> words) {
        return new StringConverter<>() {
            @Override
            public String toString(T choice) {
                return choice == null ? "" : words.apply(choice);
            }

            @Override
            public T fromString(String text) {
                throw new UnsupportedOperationException("it is chosen, not typed");
            }
        };
    }
}
