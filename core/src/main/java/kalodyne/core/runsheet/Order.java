package kalodyne.core.runsheet;

import java.util.Comparator;
import kalodyne.core.gear.Coded;

/**
 * A reason for an order of two steps.
 *
 * @param before id of what comes first
 * @param after id of what comes later
 * @param why a sentence that stands by itself
 * @param strength how much depends on it
 */
public record Order(String before, String after, String why, Strength strength) {
    /** The strongest first. */
    static final Comparator<Order> STRONGEST_FIRST = Comparator.comparing(Order::strength);

    /** How much depends on an order; the most first. */
    public enum Strength implements Coded {
        /** Something or somebody is harmed otherwise. Never given up. */
        SAFETY("safety"),
        /** The later one cannot be done, or means nothing, without the earlier one. Never given up. */
        NEED("need"),
        /** It works better so. Given up where stronger reasons contradict. */
        HABIT("habit");

        private final String word;

        Strength(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }
    }

    /** Whether the later one must not be done while the earlier one is not. */
    public boolean isBinding() {
        return strength != Strength.HABIT;
    }
}
