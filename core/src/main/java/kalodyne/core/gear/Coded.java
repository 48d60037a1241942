package kalodyne.core.gear;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.units.UnreadableQuantity;

/** A choice from a list, with the word under which it is shown, written to files and read again. */
public interface Coded {
    String word();

    /**
     * The choice of a word.
     *
     * @throws UnreadableQuantity where there is none; says which there are
     */
    static <E extends Enum<E> & Coded> E read(Class<E> choices, String word) {
        Object exact = Words.OF.get(choices).get(word);
        if (exact != null) {
            return choices.cast(exact);
        }
        String wanted = word.strip();
        return Stream.of(choices.getEnumConstants())
                .filter(choice -> choice.word().equalsIgnoreCase(wanted))
                .findFirst()
                .orElseThrow(() -> new UnreadableQuantity(
                        "“" + Names.shown(wanted) + "” is not a choice here.",
                        "Choose one of: "
                                + Stream.of(choices.getEnumConstants())
                                        .map(Coded::word)
                                        .collect(Collectors.joining(", "))
                                + "."));
    }

    /** The choices of each list by their exact words: a studio is full of them. */
    final class Words {
        private static final ClassValue<Map<String, Object>> OF = new ClassValue<>() {
            @Override
            protected Map<String, Object> computeValue(Class<?> choices) {
                Map<String, Object> words = new HashMap<>();
                for (Object choice : choices.getEnumConstants()) {
                    words.put(((Coded) choice).word(), choice);
                }
                return Map.copyOf(words);
            }
        };

        private Words() {}
    }
}
