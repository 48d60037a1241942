package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.List;

/**
 * What is done in one go: a step, or several that belong together.
 *
 * @param title what it is, in one sentence
 * @param parts in their order; one at least
 */
public record Task(String title, List<Step> parts) {
    public Task {
        parts = List.copyOf(parts);
    }

    /** Steps beside each other that name the same task are one; what has to be waited for stands alone. */
    static List<Task> of(List<Step> steps) {
        List<Task> tasks = new ArrayList<>();
        for (int from = 0, to; from < steps.size(); from = to) {
            Step first = steps.get(from);
            to = from + 1;
            while (to < steps.size() && isOne(first, steps.get(to))) {
                to++;
            }
            List<Step> parts = steps.subList(from, to);
            tasks.add(new Task(parts.size() == 1 ? first.title() : first.task(), parts));
        }
        return List.copyOf(tasks);
    }

    private static boolean isOne(Step one, Step other) {
        return !one.task().isEmpty()
                && one.task().equals(other.task())
                && one.section() == other.section()
                && one.pause().isEmpty()
                && other.pause().isEmpty();
    }

    public boolean isSingle() {
        return parts.size() == 1;
    }

    public Section section() {
        return parts.get(0).section();
    }
}
