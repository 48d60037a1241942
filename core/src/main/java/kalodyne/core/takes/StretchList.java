package kalodyne.core.takes;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Stretches in the order of time. Those that lie close together are joined. When there are too many to keep, those with
 * the smaller gaps are joined pair by pair, so that the list stays short for a take of any length; their number is kept.
 */
final class StretchList {
    private static final int MOST = 400;
    private static final int AFTER_THINNING = 300;

    private final long joinWithin;
    private final List<Stretch> stretches = new ArrayList<>();
    private int count;

    /**
     * An empty list.
     *
     * @param joinWithin stretches with a gap of fewer frames are one
     */
    StretchList(long joinWithin) {
        this.joinWithin = joinWithin;
    }

    /** Adds a stretch behind all others. */
    void add(Stretch stretch) {
        int last = stretches.size() - 1;
        if (last >= 0 && stretches.get(last).gapTo(stretch) < joinWithin) {
            stretches.set(last, stretches.get(last).until(stretch));
            return;
        }
        stretches.add(stretch);
        count++;
        if (stretches.size() > MOST) {
            while (stretches.size() > AFTER_THINNING) {
                thin();
            }
        }
    }

    private void thin() {
        List<Stretch> all = List.copyOf(stretches);
        long[] gaps = IntStream.range(1, all.size())
                .mapToLong(i -> all.get(i - 1).gapTo(all.get(i)))
                .sorted()
                .toArray();
        long median = gaps[gaps.length / 2];
        stretches.clear();
        for (int i = 0; i < all.size(); i++) {
            boolean pair = i + 1 < all.size() && all.get(i).gapTo(all.get(i + 1)) <= median;
            stretches.add(pair ? all.get(i).until(all.get(i + 1)) : all.get(i));
            i += pair ? 1 : 0;
        }
    }

    /** How many there were, those that lie close together joined. */
    int count() {
        return count;
    }

    List<Stretch> toList() {
        return List.copyOf(stretches);
    }
}
