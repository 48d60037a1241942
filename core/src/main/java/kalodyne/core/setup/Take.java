package kalodyne.core.setup;

import java.time.Instant;
import java.util.Map;

/**
 * A recording that belongs to a run.
 *
 * @param name "Take 2"
 * @param run name of the described run that it was made with, or the ends of the plugged one
 * @param file where it lies; relative to the setup file unless absolute
 * @param at when it was added
 * @param positions where each control stood when it was made
 */
public record Take(String name, String run, String file, Instant at, Map<String, Double> positions) {
    public Take {
        positions = Map.copyOf(positions);
    }

    /** Whether it is of a run of what was plugged: such a run is known by its two ends, "bass-synth.out>interface.adc-3". */
    public boolean isOfPlugged() {
        return run.contains(">");
    }
}
