package kalodyne.core.findings;

import java.util.Map;

/**
 * What to do about a finding, as words and, where the program can do it, as new knob positions.
 *
 * @param words an instruction: "Turn the gain to 8:45"
 * @param turns the position from 0 to 1 that each named control gets; empty where only the musician can do it
 */
public record Remedy(String words, Map<String, Double> turns) {
    public Remedy {
        turns = Map.copyOf(turns);
    }

    /** Something that only the musician can do. */
    public static Remedy byHand(String words) {
        return new Remedy(words, Map.of());
    }

    /** Whether the program can do it at a click. */
    public boolean isApplicable() {
        return !turns.isEmpty();
    }
}
