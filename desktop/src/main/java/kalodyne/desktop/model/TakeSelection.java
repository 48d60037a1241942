package kalodyne.desktop.model;

import java.util.List;
import java.util.Optional;
import kalodyne.core.studio.setup.Take;

/**
 * The takes of the run and the one that is selected.
 *
 * @param takes newest first
 * @param take empty where the run has none
 * @param shown what was measured in it; empty while it is not read
 * @param sentence what is the case
 */
public record TakeSelection(List<Take> takes, Optional<Take> take, Optional<ShownTake> shown, String sentence) {
    /** The same, while something else is to be said. */
    TakeSelection saying(String other) {
        return new TakeSelection(takes, take, shown, other);
    }

    static final TakeSelection NONE =
            new TakeSelection(List.of(), Optional.empty(), Optional.empty(), "No take of this run yet");
}
