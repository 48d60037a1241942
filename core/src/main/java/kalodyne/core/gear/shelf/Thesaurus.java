package kalodyne.core.gear.shelf;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import kalodyne.core.files.Table;

/** What people call things, and how it is said here: "big jack" is 6.35 mm. Common practice; a table that ships. */
final class Thesaurus {
    private static final int LONGEST = 3;

    private Thesaurus() {}

    /**
     * One thing that was said.
     *
     * @param meanings ways to say it, the first as it was typed; of each, every word has to be there
     */
    record Said(List<List<String>> meanings) {}

    private static final class Shipped {
        static final Map<String, List<String>> MEANINGS = read();

        private static Map<String, List<String>> read() {
            Map<String, List<String>> meanings = new HashMap<>();
            Table.rows(Thesaurus.class, "thesaurus.csv")
                    .forEach(row -> meanings.put(
                            row.get("said"), List.of(row.get("means").split("\\|", -1))));
            return meanings;
        }
    }

    /** What a search says, phrases that mean something together first. */
    static List<Said> read(String search) {
        List<String> words = words(search);
        List<Said> said = new ArrayList<>();
        int at = 0;
        while (at < words.size()) {
            int length = Math.min(LONGEST, words.size() - at);
            while (length > 1 && meanings(words.subList(at, at + length)).isEmpty()) {
                length--;
            }
            List<String> typed = words.subList(at, at + length);
            said.add(new Said(Stream.of(
                            Stream.of(typed),
                            singular(typed),
                            meanings(typed).stream().map(Thesaurus::words))
                    .flatMap(each -> each)
                    .toList()));
            at += length;
        }
        return said;
    }

    private static List<String> meanings(List<String> typed) {
        return Stream.concat(Stream.of(typed), singular(typed))
                .flatMap(words -> Shipped.MEANINGS.getOrDefault(String.join(" ", words), List.of()).stream())
                .distinct()
                .toList();
    }

    /** The same of one only, where it was said of several: "decks". */
    private static Stream<List<String>> singular(List<String> typed) {
        String last = typed.get(typed.size() - 1);
        if (last.length() < 4 || !last.endsWith("s") || last.endsWith("ss")) {
            return Stream.empty();
        }
        List<String> one = new ArrayList<>(typed);
        one.set(typed.size() - 1, last.substring(0, last.length() - 1));
        return Stream.of(one);
    }

    /** The words of a text in small letters. A word with a hyphen is two. */
    static List<String> words(String text) {
        return Stream.of(text.toLowerCase(Locale.ROOT).split("[\\s,;:()“”\"‑-]+", -1))
                .filter(word -> !word.isEmpty())
                .toList();
    }
}
