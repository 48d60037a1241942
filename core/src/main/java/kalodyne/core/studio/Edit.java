package kalodyne.core.studio;

import java.time.Instant;
import java.util.List;
import java.util.function.Supplier;

/**
 * An edit in the past, or undone: what undo and redo need.
 *
 * @param number rises from edit to edit
 * @param at when it was made
 * @param description for the menu: "turn the gain"
 * @param changes what it did; of an edit from an earlier start read from the file when it is asked for
 */
record Edit(long number, Instant at, String description, Supplier<List<Change>> changes) {}
