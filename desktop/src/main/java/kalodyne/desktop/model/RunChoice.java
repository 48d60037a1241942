package kalodyne.desktop.model;

import java.util.Comparator;
import java.util.List;
import kalodyne.core.levels.SetupLevels;

/**
 * A run that can be looked at.
 *
 * @param key under which it is known
 * @param name as it is shown
 * @param isRecorded whether it ends in a track; otherwise at the ears
 */
public record RunChoice(String key, String name, boolean isRecorded) {
    /** All of a setup, what is recorded first. */
    static List<RunChoice> all(SetupLevels levels) {
        return levels.traces().stream()
                .map(trace -> new RunChoice(trace.key(), trace.name(), levels.isRecorded(trace)))
                .sorted(Comparator.comparing(choice -> !choice.isRecorded()))
                .toList();
    }
}
