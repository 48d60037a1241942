package kalodyne.core.takes.causes;

import java.util.Map;
import java.util.TreeMap;

/**
 * What is known of some yes-or-no questions; of those that are not named nothing is known.
 *
 * @param answers by the name of the question
 */
public record Known(Map<String, Boolean> answers) {
    public static final Known NOTHING = new Known(Map.of());

    public Known {
        answers = Map.copyOf(answers);
    }

    boolean is(String question) {
        return answers.getOrDefault(question, false);
    }

    boolean isNot(String question) {
        return !answers.getOrDefault(question, true);
    }

    /** The same with all that is known besides. */
    public Known with(Known others) {
        Map<String, Boolean> more = new TreeMap<>(answers);
        more.putAll(others.answers);
        return new Known(more);
    }

    /** The same with one more. */
    public Known with(String question, boolean answer) {
        Map<String, Boolean> more = new TreeMap<>(answers);
        more.put(question, answer);
        return new Known(more);
    }
}
