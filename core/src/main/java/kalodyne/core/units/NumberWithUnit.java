package kalodyne.core.units;

import java.math.BigDecimal;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A number and the word behind it, as people and data sheets write them: "+4 dBu", "−10dBV", "1,2 Vrms", "4k7", "1M".
 *
 * @param value the number with every digit that was written
 * @param unit what stands behind it, without blanks around; may be empty
 */
record NumberWithUnit(BigDecimal value, String unit) {
    /** Longer than anything that a person means as one number; keeps pathological input away from the pattern. */
    private static final int LONGEST = 60;

    private static final Pattern FORM =
            Pattern.compile("([+\\-−–±]?)\\s*(\\d+(?:[.,]\\d*)?|[.,]\\d+)(?:[eE]([+\\-−]?\\d{1,2}))?\\s*(\\D.*)?");

    /** "4k7" is an old way to write 4.7 k that cannot lose its decimal point in a bad copy. */
    private static final Pattern LETTER_FOR_POINT = Pattern.compile("(\\d+)([kKMR])(\\d+)\\s*(Ω|ohms?)?");

    private static final Pattern COMMA_OR_THOUSANDS = Pattern.compile("[1-9]\\d{0,2},\\d{3}");

    static NumberWithUnit read(String text, String example) {
        String trimmed = text.strip().replace(' ', ' ');
        if (trimmed.isEmpty()) {
            throw new UnreadableQuantity("Nothing is written here.", "Write for example " + example + ".");
        }
        if (trimmed.length() > LONGEST) {
            throw new UnreadableQuantity(
                    "“" + trimmed.substring(0, 20) + "…” is too long for a number with its unit.",
                    "Write for example " + example + ".");
        }
        Matcher lettered = LETTER_FOR_POINT.matcher(trimmed);
        if (lettered.matches()) {
            String prefix = lettered.group(2).equals("R") ? "Ω" : lettered.group(2);
            return new NumberWithUnit(new BigDecimal(lettered.group(1) + "." + lettered.group(3)), prefix);
        }
        Matcher matcher = FORM.matcher(trimmed);
        if (!matcher.matches()) {
            throw new UnreadableQuantity(
                    "“" + trimmed + "” does not begin with a number.", "Write for example " + example + ".");
        }
        String unit = matcher.group(4) == null ? "" : matcher.group(4).strip();
        return new NumberWithUnit(number(trimmed, matcher), unit);
    }

    private static BigDecimal number(String text, Matcher matcher) {
        String sign = matcher.group(1);
        if (sign.equals("±")) {
            throw new UnreadableQuantity("“" + text + "” has two signs at once.", "Write plus or minus.");
        }
        String digits = matcher.group(2);
        if (COMMA_OR_THOUSANDS.matcher(digits).matches()) {
            throw new UnreadableQuantity(
                    "“" + digits + "” can be read in two ways.",
                    "Write " + digits.replace(",", "") + " or " + digits.replace(',', '.') + ".");
        }
        String exponent = matcher.group(3) == null ? "" : "e" + matcher.group(3).replace('−', '-');
        BigDecimal size = new BigDecimal(digits.replace(',', '.') + exponent);
        return sign.isEmpty() || sign.equals("+") ? size : size.negate();
    }
}
