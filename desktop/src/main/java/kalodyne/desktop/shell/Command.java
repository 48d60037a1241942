package kalodyne.desktop.shell;

import javafx.scene.input.KeyCombination;

/**
 * Something that can be done anywhere in the window: from a menu, by its keys, and by finding its name.
 *
 * @param name as shown: "Set all as advised"
 * @param keys its shortcut; null for none
 * @param run does it
 */
public record Command(String name, KeyCombination keys, Runnable run) {
    public static Command of(String name, String keys, Runnable run) {
        return new Command(name, keys == null ? null : KeyCombination.valueOf(keys), run);
    }

    /** With its keys, for lists. */
    @Override
    public String toString() {
        return keys == null ? name : name + "   " + keys.getDisplayText();
    }
}
