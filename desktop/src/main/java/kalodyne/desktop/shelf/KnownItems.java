package kalodyne.desktop.shelf;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.shelf.Plausible;
import kalodyne.core.gear.shelf.SearchIndex;
import kalodyne.core.units.Print;

/**
 * What was worked out for each item of a list, so that an edit works out one item only.
 *
 * @param <T> what kind of item
 */
final class KnownItems<T> {
    private final Function<T, String> text;
    private final Function<T, List<Plausible.Doubt>> doubts;
    private final Function<T, String> id;
    private final Function<T, String> name;
    private List<T> list = List.of();
    private IdentityHashMap<T, String> texts = new IdentityHashMap<>();
    private IdentityHashMap<T, List<Finding>> found = new IdentityHashMap<>();
    private SearchIndex<T> index = new SearchIndex<>(List.of(), item -> "");

    KnownItems(
            Function<T, String> text,
            Function<T, List<Plausible.Doubt>> doubts,
            Function<T, String> id,
            Function<T, String> name) {
        this.text = text;
        this.doubts = doubts;
        this.id = id;
        this.name = name;
    }

    void follow(List<T> now) {
        if (now == list) {
            return;
        }
        IdentityHashMap<T, String> newTexts = new IdentityHashMap<>();
        IdentityHashMap<T, List<Finding>> newFound = new IdentityHashMap<>();
        for (T item : now) {
            newTexts.put(item, texts.containsKey(item) ? texts.get(item) : text.apply(item));
            newFound.put(item, found.containsKey(item) ? found.get(item) : findings(item));
        }
        texts = newTexts;
        found = newFound;
        list = now;
        index = new SearchIndex<>(now, texts::get);
    }

    private List<Finding> findings(T item) {
        return doubts.apply(item).stream()
                .map(doubt -> new Finding(
                        FindingCode.GEAR_UNUSUAL,
                        Severity.WEAK,
                        new Place.Shelf(id.apply(item)),
                        new Figure(0, ""),
                        name.apply(item) + ": "
                                + Print.withinSentence(doubt.fact().label()),
                        doubt.label().equals(name.apply(item)) ? doubt.text() : doubt.label() + ": " + doubt.text(),
                        Optional.empty()))
                .toList();
    }

    /** The items in which each of the words stands. */
    List<T> find(String words) {
        return index.find(words);
    }

    Stream<Finding> found() {
        return list.stream().flatMap(item -> found.get(item).stream());
    }
}
