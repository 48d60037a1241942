package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import kalodyne.core.joint.Patch;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What would change the place of a way; the points were added up by hand from the table in docs/formats/plan.md. */
class PlaceChangeTest {
    /** A clean sound counts most, three times; spending nothing next, 1.6 times. */
    private static final Wish WISH = Wish.of("synth", "laptop");

    /** "Box: BREAK 4, PRICE_B 1". */
    private static Way way(String line) {
        String[] told = line.split(": ", 2);
        List<Reason> reasons = Arrays.stream(told[1].split(", ", -1))
                .map(each -> each.split(" ", 2))
                .map(each -> Reason.of(
                        Weight.valueOf(each[0]), each[0].toLowerCase(Locale.ROOT), Double.parseDouble(each[1]), WISH))
                .toList();
        boolean isBought = told[1].contains("PRICE");
        return new Way(
                told[0],
                List.of(),
                new Way.MonitorFeed("", true, 0, true),
                List.of(),
                new Patch(Map.of(), Map.of(), List.of()),
                List.of(),
                List.of(),
                isBought
                        ? List.of(new Missing("box", "a box", "", Missing.Price.B, OptionalDouble.empty()))
                        : List.of(),
                List.of(),
                reasons.stream().mapToDouble(Reason::points).sum(),
                reasons);
    }

    /**
     * Noise of 10 dB is 5 points, 15 where clean counts most; a box to get is 20 points, 32 where spending nothing counts next and 60
     * where it counts most.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Short: BREAK 2                     | Long: BREAK 6                       | It stays first, whatever counts most. | Nothing by itself puts it first: it is 4 points behind.
            Clean: DEVICE 3, BREAK 6           | Plain: NOISE_DB 10, BREAK 2         | If spending nothing or few breaks or being quick or ordinary leads counted most: “Plain” would be first. | First if spending nothing or few breaks or being quick or ordinary leads counted most. First if nobody minded this: noise_db.
            Owned: NOISE_DB 10, BREAK 2        | Bought: PRICE_B 1, BREAK 2          | If you had what it needs (a box): “Bought” would be first. | First if you had what it needs: a box.
            Whole: BREAK 6                     | Faulty: WEAK 1, BREAK 2             | If few breaks counted most: “Faulty” would be first. | First if few breaks counted most. First if this were mended: weak.
            Loose: BREAK 2, NOT_AS_WISHED 1    | Other: BREAK 4, NOT_AS_WISHED 1     | It stays first, whatever counts most. | Nothing by itself puts it first: it is 2 points behind.
            Free: BREAK 4                      | Taken: BREAK 3, UNPLUGGED 4         | If few breaks counted most: “Taken” would be first. | First if few breaks counted most. First if nothing had to go for it: unplugged.
            """)
    void what_would_change_a_place_is_told(String first, String other, String ofFirst, String ofOther) {
        List<Way> all = List.of(way(first), way(other));
        assertThat(all.get(0).score()).isLessThanOrEqualTo(all.get(1).score());
        assertThat(String.join(" ", PlaceChange.of(all.get(0), all, WISH))).isEqualTo(ofFirst);
        assertThat(String.join(" ", PlaceChange.of(all.get(1), all, WISH))).isEqualTo(ofOther);
        assertThat(PlaceChange.of(all.get(0), all.subList(0, 1), WISH)).hasSize(1);
    }

    /** What is told once is told with its points, how often, why it counts more, and why it counts at all. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            A: BREAK 1, PRICE_A 1, NOISE_DB 10 | noise_db: 15 points, 3 times as much because a clean sound counts. With less | price_a: 12.8 points, 1.6 times as much because spending nothing counts. A lead | break: 1 point. Every plug
            A: CLIPPED 1, CLIPPED_DB 4, KNOBS 0 | clipped: 20 points. What clips | clipped_db: 12 points. The further | ''
            """)
    void points_are_told_with_their_reasons(String way, String most, String next, String last) {
        List<String> points = PlaceChange.points(way(way), WISH);
        assertThat(points).hasSize(last.isEmpty() ? 2 : 3);
        assertThat(points.get(0)).startsWith(most);
        assertThat(points.get(1)).startsWith(next);
        assertThat(points.get(points.size() - 1)).startsWith(last.isEmpty() ? next : last);
    }
}
