package kalodyne.core.studio;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What became of one item.
 *
 * @param key of the item
 * @param before empty where it is new
 * @param after empty where it is gone
 */
public record Change(Item.Key key, Optional<Placed> before, Optional<Placed> after) {
    Change reversed() {
        return new Change(key, after, before);
    }

    /** The changes that take a list of changes back. */
    static List<Change> reversed(List<Change> changes) {
        List<Change> back = new ArrayList<>();
        changes.forEach(change -> back.add(change.reversed()));
        Collections.reverse(back);
        return back;
    }

    /** Two lists of changes, made one after the other, as one; what ends as it began is left out. */
    static List<Change> joined(List<Change> first, List<Change> second) {
        Map<Item.Key, Change> joined = new LinkedHashMap<>();
        first.forEach(change -> joined.put(change.key(), change));
        for (Change change : second) {
            joined.merge(change.key(), change, (a, b) -> new Change(a.key(), a.before(), b.after()));
        }
        return joined.values().stream()
                .filter(change -> !change.before().equals(change.after()))
                .toList();
    }
}
