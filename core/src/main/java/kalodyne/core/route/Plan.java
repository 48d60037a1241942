package kalodyne.core.route;

import java.util.List;
import java.util.Optional;

/**
 * What came of a wish.
 *
 * @param ways different in kind, the best first
 * @param dropped what would do harm or not work, with the reason
 * @param looked how many joints were computed
 * @param impossible why there is no way, or none as it was wished, and the nearest that works
 */
public record Plan(List<Way> ways, List<Dropped> dropped, int looked, Optional<String> impossible) {
    public Plan {
        ways = List.copyOf(ways);
        dropped = List.copyOf(dropped);
    }

    /**
     * A way that is not proposed.
     *
     * @param words what it would have been: "Drum box → Old phone, with Lead 4"
     * @param reason the worst of what would come of it
     */
    public record Dropped(String words, String reason) {}
}
