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

    /** Everything in which each of the words stands; everything at all for no words. */
    public List<T> find(String words) {
        String[] wanted = plain(words).strip().split("\\s+");
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
        String[] wanted = plain(words).strip().split("\\s+");
        List<T> found = new ArrayList<>(find(words));
        found.sort(Comparator.comparing(item -> !matches(plain(name.apply(item)), wanted)));
        return found;
    }

    private static boolean matches(String text, String[] wanted) {
        for (String word : wanted) {
            if (!text.contains(word)) {
                return false;
            }
        }
        return true;
    }

    /** Capitals and hyphens do not matter: "sub-woofer", "Subwoofer". */
    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT).replace("-", "").replace("‑", "");
    }
}
