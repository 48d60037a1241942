package kalodyne.core.studio;

import java.time.Instant;
import java.util.List;

/**
 * What has to be written in one go: the items as they now are, and what becomes of the list of edits.
 *
 * @param items as they changed since the last commit
 * @param log what becomes of the list of edits
 */
record Commit(List<Change> items, Log log) {
    /** What becomes of the list of edits. */
    sealed interface Log {
        /** An edit was made; what was undone before can no longer be redone. */
        record Made(long number, Instant at, String description, List<Change> changes) implements Log {}

        /** The last edit went on, as a drag does; without changes it has come back to where it began. */
        record WentOn(long number, String description, List<Change> changes) implements Log {}

        record Undone(long number) implements Log {}

        record Redone(long number) implements Log {}

        /** A studio that was not in this file before, with nothing to undo. */
        record Begun() implements Log {}
    }
}
