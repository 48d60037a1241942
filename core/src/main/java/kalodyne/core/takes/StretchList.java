package kalodyne.core.takes;

import java.util.ArrayList;
import java.util.List;

/**
 * Stretches in the order of time. Those that lie close together are joined; when there are too many, closeness is taken
 * more widely, so that the list stays short for a take of any length.
 */
final class StretchList {
    private static final int MOST = 400;

    private final List<Stretch> stretches = new ArrayList<>();
    private long joinWithin;

    /**
     * An empty list.
     *
     * @param joinWithin stretches with a gap of fewer frames are one
     */
    StretchList(long joinWithin) {
        this.joinWithin = joinWithin;
    }

    void add(Stretch stretch) {
        append(stretches, stretch);
        while (stretches.size() > MOST) {
            joinWithin *= 2;
            List<Stretch> all = List.copyOf(stretches);
            stretches.clear();
            all.forEach(each -> append(stretches, each));
        }
    }

    private void append(List<Stretch> list, Stretch stretch) {
        int last = list.size() - 1;
        if (last >= 0 && stretch.fromFrame() - list.get(last).toFrame() < joinWithin) {
            list.set(last, list.get(last).until(stretch));
        } else {
            list.add(stretch);
        }
    }

    List<Stretch> toList() {
        return List.copyOf(stretches);
    }
}
