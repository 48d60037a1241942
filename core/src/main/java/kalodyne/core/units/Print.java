package kalodyne.core.units;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;

/** Numbers as the program prints them: decimal point, real minus sign, the same in every locale. */
public final class Print {
    private static final char MINUS = '−';
    private static final String INFINITY = "∞";
    private static final int SIGNIFICANT_DIGITS = 4;

    private Print() {}

    /** With a sign: "+6.0", "−2.2", "0.0", "−∞". */
    public static String signed(double value, int decimals) {
        String text = decimal(value, decimals);
        boolean positive = text.charAt(0) != MINUS && !isZero(text);
        return positive ? "+" + text : text;
    }

    /** Without a plus sign: "6.0", "−2.2"; what rounds to nothing has no sign. */
    public static String decimal(double value, int decimals) {
        if (Double.isInfinite(value)) {
            return value < 0 ? MINUS + INFINITY : INFINITY;
        }
        String text = String.format(Locale.ROOT, "%." + decimals + "f", Math.abs(value));
        return value < 0 && !isZero(text) ? MINUS + text : text;
    }

    /** As few digits as tell the value, four at the most: "3", "0.25", "1.333". */
    public static String plain(double value) {
        if (!Double.isFinite(value)) {
            return Double.isNaN(value) ? "not a number" : decimal(value, 0);
        }
        BigDecimal rounded = new BigDecimal(Math.abs(value))
                .round(new MathContext(SIGNIFICANT_DIGITS, RoundingMode.HALF_EVEN))
                .stripTrailingZeros();
        return (value < 0 ? String.valueOf(MINUS) : "") + rounded.toPlainString();
    }

    /** With the prefix that keeps the number between 1 and 1000: "4.7 kΩ", "300 pF". */
    public static String prefixed(double value, String unit) {
        return SiPrefix.print(value, unit);
    }

    /** The same with two digits that count, for what nobody knows better: "480 mA", "1.2 A". */
    public static String about(double value, String unit) {
        return prefixed(
                new BigDecimal(value)
                        .round(new MathContext(2, RoundingMode.HALF_EVEN))
                        .doubleValue(),
                unit);
    }

    /** How many there are of something whose plural ends in s: "1 lead", "3 leads". */
    public static String counted(long number, String what) {
        return count(number) + " " + what + (number == 1 ? "" : "s");
    }

    /** A whole number with its thousands set apart by a comma: "1,204". */
    public static String count(long number) {
        return String.format(Locale.ROOT, "%,d", number);
    }

    /** A moment in a recording: "0:31.2", "1:02:07.5". */
    public static String moment(double seconds) {
        long tenths = Math.round(seconds * 10);
        long minutes = tenths / 600;
        String rest = String.format(Locale.ROOT, "%02d.%d", tenths / 10 % 60, tenths % 10);
        return minutes < 60
                ? minutes + ":" + rest
                : String.format(Locale.ROOT, "%d:%02d:%s", minutes / 60, minutes % 60, rest);
    }

    /** A moment on a time scale, without tenths where there are none: "0:31", "0:00.5". */
    public static String tick(double seconds) {
        String moment = moment(seconds);
        return moment.endsWith(".0") ? moment.substring(0, moment.length() - 2) : moment;
    }

    /** "Cello", "Cello and Bass synth", "Cello, Bass synth and Drum box". */
    public static String listed(List<String> each) {
        int last = each.size() - 1;
        return last < 1 ? String.join("", each) : String.join(", ", each.subList(0, last)) + " and " + each.get(last);
    }

    /** Words that begin a sentence, to stand within one: "Use Lead 3" becomes "use Lead 3". */
    public static String withinSentence(String words) {
        // "DC offset" and "USB lead" stay as they are; "A click" does not.
        boolean isName = words.length() > 1 && Character.isUpperCase(words.charAt(1));
        return isName ? words : Character.toLowerCase(words.charAt(0)) + words.substring(1);
    }

    /** Words that stand within a sentence, to begin one: "use Lead 3" becomes "Use Lead 3". */
    public static String startingSentence(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    private static boolean isZero(String digits) {
        return digits.chars().allMatch(c -> c == '0' || c == '.');
    }
}
