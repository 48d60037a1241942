package kalodyne.core.joint.circuit;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers as circuit simulators write them: "4.7k", "100n", "1meg", "2.2uF". Letters behind the factor are passed over. */
final class NetlistNumber {
    private static final Pattern FORM = Pattern.compile(
            "([+-]?(?:\\d{1,30}\\.?\\d{0,30}|\\.\\d{1,30})(?:e[+-]?\\d{1,3})?)(meg|mil|[tgkmunpfa])?[a-zµω]*");
    private static final Map<String, Integer> POWERS_OF_TEN =
            Map.of("t", 12, "g", 9, "meg", 6, "k", 3, "m", -3, "u", -6, "n", -9, "p", -12, "f", -15, "a", -18);

    /** A thousandth of an inch, in metres. */
    private static final BigDecimal MIL = new BigDecimal("25.4e-6");

    private NetlistNumber() {}

    /**
     * Reads one.
     *
     * @throws NetlistProblem where it is none
     */
    static double read(String text) throws NetlistProblem {
        Matcher matcher = FORM.matcher(text.toLowerCase(Locale.ROOT).replace('µ', 'u'));
        if (!matcher.matches()) {
            throw new NetlistProblem(
                    "“" + NetlistProblem.shown(text) + "” is not a number.", "Write for example 4.7k or 100n.");
        }
        // Decimal throughout: 100n is then the number that 1e-7 is.
        BigDecimal number = new BigDecimal(matcher.group(1));
        double value = scaled(number, matcher.group(2)).doubleValue();
        if (!Double.isFinite(value)) {
            throw new NetlistProblem("“" + NetlistProblem.shown(text) + "” is too large.", "Check its exponent.");
        }
        return value;
    }

    private static BigDecimal scaled(BigDecimal number, String factor) {
        if (factor == null) {
            return number;
        }
        return factor.equals("mil") ? number.multiply(MIL) : number.scaleByPowerOfTen(POWERS_OF_TEN.get(factor));
    }

    /** A number as any simulator reads it: "4700", "1.5e-10". */
    static String write(double value) {
        return BigDecimal.valueOf(value)
                .round(new MathContext(12))
                .stripTrailingZeros()
                .toString()
                .toLowerCase(Locale.ROOT)
                .replace("e+", "e");
    }
}
