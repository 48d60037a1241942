package kalodyne.core.setup;

import java.time.Instant;
import java.util.Map;

/**
 * A recording that belongs to a run.
 *
 * @param name "Take 2"
 * @param run name of the run that it was made with
 * @param file where it lies; relative to the setup file unless absolute
 * @param at when it was added
 * @param positions where each control stood when it was made
 */
public record Take(String name, String run, String file, Instant at, Map<String, Double> positions) {
    public Take {
        positions = Map.copyOf(positions);
    }
}
