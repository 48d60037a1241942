package kalodyne.core.gear.shelf;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;

/**
 * Finds things by words that stand anywhere in what is known of them. Built once for a list, asked at every key.
 *
 * @param <T> what is found
 */
public final class SearchIndex<T> {
    private final List<T> items;
    private final String[] texts;

    /**
     * An index.
     *
     * @param items in the order in which they are found
     * @param text all the words of one of them
     */
    public SearchIndex(Collection<T> items, Function<T, String> text) {
        this.items = List.copyOf(items);
        this.texts = this.items.stream().map(item -> plain(text.apply(item))).toArray(String[]::new);
    }

    /** Everything in which each of the words stands, or what they mean; everything at all for no words. */
    public List<T> find(String words) {
        return find(Thesaurus.read(words));
    }

    private List<T> find(List<Thesaurus.Said> wanted) {
        List<T> found = new ArrayList<>();
        for (int i = 0; i < texts.length; i++) {
            if (matches(texts[i], wanted)) {
                found.add(items.get(i));
            }
        }
        return found;
    }

    /** The same, those first whose names have the words. */
    public List<T> find(String words, Function<T, String> name) {
        List<Thesaurus.Said> wanted = Thesaurus.read(words);
        List<T> found = find(wanted);
        found.sort(Comparator.comparing(item -> !matches(plain(name.apply(item)), wanted)));
        return found;
    }

    private static boolean matches(String text, List<Thesaurus.Said> wanted) {
        return wanted.stream()
                .allMatch(said -> said.meanings().stream()
                        .anyMatch(meaning -> meaning.stream().allMatch(text::contains)));
    }

    /** Capitals and hyphens do not matter: "sub-woofer", "Subwoofer", "sub woofer". */
    private static String plain(String text) {
        String small = text.toLowerCase(Locale.ROOT).replace('‑', '-');
        return small.indexOf('-') < 0 ? small : small.replace("-", "") + " " + small.replace('-', ' ');
    }
}
