package kalodyne.core.route;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** More gear never makes less possible: whatever is added to a shelf, the best way is at least as good as before. */
class MoreGearTest {
    private static final int SHELVES = 3;

    /** Points are rounded to what can be told apart. */
    private static final double SAME = 0.1;

    @ParameterizedTest
    @CsvSource({"true, 1", "true, 2", "false, 15", "false, 26"})
    void what_is_added_does_no_harm(boolean isUsual, long seed) {
        Random random = new Random(seed);
        for (int shelf = 0; shelf < SHELVES; shelf++) {
            Shelf owned = isUsual ? RandomShelves.usual(random) : RandomShelves.any(random);
            Optional<Wish> wish = isUsual
                    ? RandomShelves.usualWish(random, owned.devices())
                    : RandomShelves.wish(random, owned.devices());
            if (wish.isEmpty()) {
                continue;
            }
            double before = best(owned, wish.get());
            Shelf more = RandomShelves.any(random);
            Device device = more.devices().get(0).withId("more");
            Lead lead = more.leads().get(0).withId("more-lead");
            Shelf richer = new Shelf(with(owned.devices(), device), with(owned.leads(), lead));
            assertThat(best(richer, wish.get()))
                    .as(wish.get().sources() + " of " + names(owned) + " with " + device.name() + " and " + lead.name())
                    .isLessThanOrEqualTo(before + SAME);
        }
    }

    private static double best(Shelf shelf, Wish wish) {
        return shelf.plan(wish).ways().stream().mapToDouble(Way::score).min().orElse(Double.POSITIVE_INFINITY);
    }

    private static <T> List<T> with(List<T> some, T another) {
        List<T> all = new ArrayList<>(some);
        all.add(another);
        return all;
    }

    private static List<String> names(Shelf shelf) {
        return Stream.concat(
                        shelf.devices().stream().map(Device::name),
                        shelf.leads().stream().map(Lead::name))
                .toList();
    }
}
