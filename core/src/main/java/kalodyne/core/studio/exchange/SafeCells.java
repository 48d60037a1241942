package kalodyne.core.studio.exchange;

import java.util.regex.Pattern;

/**
 * Cells that a spreadsheet would run as formulas, made harmless: an apostrophe goes before them, and is taken off again when
 * they are read. Spreadsheets show the text behind it.
 */
final class SafeCells {
    private static final String DANGEROUS = "=+-@\t\r";

    /** Begins like a formula, and is none. */
    private static final Pattern BELOW_ZERO = Pattern.compile("-\\d+(\\.\\d+)?");

    private SafeCells() {}

    static String write(String text) {
        boolean isHarmless = BELOW_ZERO.matcher(text).matches();
        return isMarked(text) || (startsDangerously(text) && !isHarmless) ? "'" + text : text;
    }

    static String read(String cell) {
        return isMarked(cell) ? cell.substring(1) : cell;
    }

    /** A text that begins so would be mistaken for a marked one, and is marked itself. */
    private static boolean isMarked(String text) {
        return text.startsWith("'") && (startsDangerously(text.substring(1)) || isMarked(text.substring(1)));
    }

    private static boolean startsDangerously(String text) {
        return !text.isEmpty() && DANGEROUS.indexOf(text.charAt(0)) >= 0;
    }
}
