package kalodyne.core.gear;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kalodyne.core.units.UnreadableQuantity;

/** Sample rates and bit depths as people list them: "44.1, 48, 96 kHz", "16, 24 bit". */
public final class Conversion {
    /** A comma without a blank behind it is a decimal one. */
    private static final Pattern SEPARATORS = Pattern.compile("\\s*(?:;|,(?=\\s)|(?<=\\d)\\s+(?=\\d))\\s*");

    private static final Pattern NUMBER = Pattern.compile("(\\d{1,7}(?:[.,]\\d{1,4})?)\\s*(kHz|Hz|bits?|)");
    private static final int MOST = 10;

    /** From here on a plain number is one of hertz. */
    private static final BigDecimal LEAST_HZ = BigDecimal.valueOf(1000);

    private Conversion() {}

    /**
     * Reads sample rates.
     *
     * @return in Hz
     * @throws UnreadableQuantity where it is something else
     */
    public static List<Integer> readRates(String text) {
        List<Integer> rates = new ArrayList<>();
        String remedy = "Write for example 44.1, 48, 96 kHz.";
        for (Listed listed : read(text, "sample rates", remedy)) {
            boolean isKilo = listed.unit().equals("kHz")
                    || (listed.unit().isEmpty() && listed.number().compareTo(LEAST_HZ) < 0);
            BigDecimal hertz = isKilo ? listed.number().movePointRight(3) : listed.number();
            rates.add(whole(hertz, text, "sample rates", remedy));
        }
        return rates;
    }

    /**
     * Reads bit depths.
     *
     * @throws UnreadableQuantity where it is something else
     */
    public static List<Integer> readDepths(String text) {
        String remedy = "Write for example 16, 24 bit.";
        return read(text, "bit depths", remedy).stream()
                .map(listed -> whole(listed.number(), text, "bit depths", remedy))
                .toList();
    }

    private record Listed(BigDecimal number, String unit) {}

    private static List<Listed> read(String text, String what, String remedy) {
        List<Listed> listed = new ArrayList<>();
        for (String each : SEPARATORS.split(text.strip(), -1)) {
            Matcher matcher = NUMBER.matcher(each);
            if (matcher.matches()) {
                listed.add(new Listed(new BigDecimal(matcher.group(1).replace(',', '.')), matcher.group(2)));
            } else if (!text.isBlank()) {
                throw unreadable(text, what, remedy);
            }
        }
        if (listed.size() > MOST) {
            throw unreadable(text, what, remedy);
        }
        return listed;
    }

    private static int whole(BigDecimal number, String text, String what, String remedy) {
        try {
            return number.intValueExact();
        } catch (ArithmeticException e) {
            throw unreadable(text, what, remedy);
        }
    }

    private static UnreadableQuantity unreadable(String text, String what, String remedy) {
        return new UnreadableQuantity("“" + Names.shown(text) + "” is not a list of " + what + ".", remedy);
    }

    /** "44.1, 48, 96 kHz"; empty where there are none. */
    public static String printRates(List<Integer> ratesHz) {
        return ratesHz.isEmpty()
                ? ""
                : ratesHz.stream()
                                .map(rate -> BigDecimal.valueOf(rate, 3)
                                        .stripTrailingZeros()
                                        .toPlainString())
                                .collect(Collectors.joining(", "))
                        + " kHz";
    }

    /** "16, 24 bit"; empty where there are none. */
    public static String printDepths(List<Integer> depths) {
        return depths.isEmpty() ? "" : depths.stream().map(String::valueOf).collect(Collectors.joining(", ")) + " bit";
    }
}
