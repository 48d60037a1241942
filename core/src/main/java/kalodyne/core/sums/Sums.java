package kalodyne.core.sums;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** All sums that there are, by their groups. */
public final class Sums {
    private static final List<Sum> ALL = Stream.of(
                    LevelSums.ALL, SoundSums.ALL, ResistorSums.ALL, PowerSums.ALL, TimeSums.ALL)
            .flatMap(List::stream)
            .toList();

    private Sums() {}

    public static List<Sum> all() {
        return ALL;
    }

    public static Optional<Sum> named(String id) {
        return ALL.stream().filter(sum -> sum.id().equals(id)).findFirst();
    }
}
