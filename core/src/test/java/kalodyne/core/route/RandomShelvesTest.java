package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever lies on a shelf, whatever is wished of it and is plugged already: what is proposed can be plugged so. */
class RandomShelvesTest {
    private static final Catalogue CATALOGUE = Catalogue.shipped();
    private static final int SHELVES = 2;

    @ParameterizedTest
    @ValueSource(longs = {8, 13, 18})
    void what_is_proposed_can_be_plugged(long seed) {
        Random random = new Random(seed);
        int told = 0;
        for (int shelf = 0; shelf < SHELVES; shelf++) {
            Shelf owned = RandomShelves.any(random);
            Wiring wiring = Wiring.NONE;
            for (int again = 0; again < 2; again++) {
                Optional<Wish> wish = RandomShelves.wish(random, owned.devices());
                if (wish.isPresent()) {
                    Plan plan = new Planner(owned.devices(), owned.leads(), CATALOGUE, wiring, Settings.NONE)
                            .plan(wish.get(), () -> false);
                    assertThat(plan.ways().isEmpty() && plan.impossible().isEmpty())
                            .as("neither a way nor why there is none")
                            .isFalse();
                    for (Way way : plan.ways()) {
                        check(wish.get(), way, wiring);
                    }
                    told += plan.ways().size();
                    Wiring before = wiring;
                    wiring = plan.ways().stream()
                            .filter(way -> way.missing().isEmpty())
                            .findFirst()
                            .map(way -> List.copyOf(together(before, way)))
                            .map(before::withPlugged)
                            .orElse(wiring);
                }
            }
        }
        assertThat(told).isPositive();
    }

    private static Set<Plugging> together(Wiring wiring, Way way) {
        Set<Plugging> all =
                new LinkedHashSet<>(wiring.unplugged(way.unplugged()).plugged());
        all.addAll(way.patch().pluggings());
        return all;
    }

    private static void check(Wish wish, Way way, Wiring wiring) {
        assertThat(way.score()).isFinite();
        assertThat(way.missing()).allMatch(each -> wish.extras().budget().allows(each.price()));
        List<Spot> spots = new ArrayList<>();
        together(wiring, way).forEach(plugging -> spots.addAll(plugging.spots()));
        assertThat(new HashSet<>(spots)).as("each socket and each end once").hasSameSizeAs(spots);
        for (Way.Strand strand : way.strands()) {
            assertThat(strand.stations()).endsWith(wish.target()).doesNotHaveDuplicates();
            strand.prediction().ifPresent(prediction -> {
                assertThat(prediction.peak().dbfs()).isFinite();
                assertThat(prediction.noise().dbfs()).isFinite();
            });
        }
        assertThat(Software.of(wish, way)).isNotEmpty().noneMatch(line -> line.contains("null"));
    }
}
