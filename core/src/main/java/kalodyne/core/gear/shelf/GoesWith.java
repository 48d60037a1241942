package kalodyne.core.gear.shelf;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kalodyne.core.files.Table;
import kalodyne.core.gear.catalogue.Catalogue;

/** What most people have beside what is there: beside a turntable a phono preamp. Common practice; a table that ships. */
public final class GoesWith {
    private static final int MOST = 6;

    private GoesWith() {}

    private static final class Shipped {
        static final Map<String, List<String>> WANTS = Table.rows(GoesWith.class, "goes-with.csv").stream()
                .collect(Collectors.toMap(
                        row -> row.get("has"), row -> List.of(row.get("wants").split(" ", -1))));
    }

    /**
     * What is likely to be described next, the likeliest first.
     *
     * @param owned the profiles of what is on the shelf, the newest last
     */
    public static List<Offer> likely(List<String> owned) {
        List<String> newestFirst = new ArrayList<>(owned);
        Collections.reverse(newestFirst);
        List<List<String>> wants = newestFirst.stream()
                .map(profile -> Shipped.WANTS.getOrDefault(profile, List.of()))
                .toList();
        int longest = wants.stream().mapToInt(List::size).max().orElse(0);
        // The first wish of each, then the second of each.
        Set<String> likely = new LinkedHashSet<>();
        IntStream.range(0, longest)
                .forEach(i -> wants.stream().filter(each -> each.size() > i).forEach(each -> likely.add(each.get(i))));
        owned.forEach(likely::remove);
        return likely.stream()
                .limit(MOST)
                .map(profile -> Offer.of(Catalogue.shipped(), profile))
                .toList();
    }
}
