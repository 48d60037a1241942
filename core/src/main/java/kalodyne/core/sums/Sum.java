package kalodyne.core.sums;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import kalodyne.core.units.UnreadableQuantity;

/**
 * A small sum: what is typed into it, and what comes out.
 *
 * @param id by which it is known
 * @param group under which it stands
 * @param title what it answers: "How long does the disk last?"
 * @param fields what is typed
 * @param working works it out
 * @param drawing draws it
 * @param source what it rests on: a standard, a law, common practice
 */
public record Sum(
        String id,
        Group group,
        String title,
        List<Field<?>> fields,
        Function<Given, List<Answer>> working,
        Function<Given, List<Sketch>> drawing,
        String source) {
    public Sum {
        fields = List.copyOf(fields);
    }

    /** A sum of which there is nothing to see. */
    Sum(
            String id,
            Group group,
            String title,
            List<Field<?>> fields,
            Function<Given, List<Answer>> working,
            String source) {
        this(id, group, title, fields, working, given -> List.of(), source);
    }

    /** Headings. */
    public enum Group {
        LEVELS("Levels"),
        SOUND("Sound in the air"),
        RESISTORS("Pads and filters"),
        POWER("Power"),
        TIME("Time and storage"),
        TEMPO("Tempo and clocks"),
        LEADS("Leads");

        private final String word;

        Group(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** One line of the result. */
    public record Answer(String label, String value) {
        /** "3 dB down at: 15.9 kHz". */
        public String words() {
            return label + ": " + value;
        }
    }

    /**
     * What came of it.
     *
     * @param answers empty where something could not be read
     * @param sketches pictures of it, where there is something to see
     * @param problems by the ids of the fields
     */
    public record Worked(List<Answer> answers, List<Sketch> sketches, Map<String, String> problems) {
        public Worked {
            answers = List.copyOf(answers);
            sketches = List.copyOf(sketches);
            problems = Map.copyOf(problems);
        }
    }

    /** What was typed, read. */
    static final class Given {
        private final Map<String, Object> values = new HashMap<>();

        @SuppressWarnings("unchecked") // each was read by its own field
        <T> T of(Field<T> field) {
            return (T) values.get(field.id());
        }
    }

    /** Works it out from what was typed; of a field that nothing was typed into, what stands there at first. */
    public Worked work(Map<String, String> typed) {
        Given given = new Given();
        Map<String, String> problems = new LinkedHashMap<>();
        for (Field<?> field : fields) {
            try {
                given.values.put(field.id(), field.reader().apply(typed.getOrDefault(field.id(), field.initial())));
            } catch (UnreadableQuantity e) {
                problems.put(field.id(), e.problem() + " " + e.remedy());
            }
        }
        if (!problems.isEmpty()) {
            return new Worked(List.of(), List.of(), problems);
        }
        try {
            return new Worked(working.apply(given), drawing.apply(given), Map.of());
        } catch (IllegalArgumentException e) {
            String first = fields.get(0).id();
            return new Worked(
                    List.of(),
                    List.of(),
                    Map.of(first, "With these values there is no answer: " + e.getMessage() + "."));
        }
    }
}
