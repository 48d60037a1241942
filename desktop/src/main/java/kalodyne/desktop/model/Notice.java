package kalodyne.desktop.model;

import java.util.Arrays;
import kalodyne.core.findings.Severity;

/**
 * Something to be told that is not about the musician's setup, such as a file that cannot be read.
 *
 * @param severity how bad it is; a note where all went well
 * @param title what happened
 * @param text what it means and what to do
 */
public record Notice(Severity severity, String title, String text) {
    /** Something went wrong. */
    public static Notice problem(String title, String text) {
        return new Notice(Severity.WRONG, title, text);
    }

    /** Something was done. */
    public static Notice done(String title, String text) {
        return new Notice(Severity.NOTE, title, text);
    }

    /** As much of a message of many lines as a notice has room for. */
    public static String firstLines(String message) {
        String[] lines = message.split("\n", -1);
        int shown = Math.min(3, lines.length);
        String text = String.join("\n", Arrays.copyOf(lines, shown));
        return lines.length > shown ? text + "\n… and " + (lines.length - shown) + " more." : text;
    }
}
