package kalodyne.core.route;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import kalodyne.core.units.Print;

/**
 * What somebody would spend, in the money of wherever one lives, and what things cost there as far as one has written it down.
 *
 * @param most all together; empty where only the class of price counts
 * @param prices by the ids of the catalogue
 */
public record Spending(OptionalDouble most, Map<String, Double> prices) {
    public static final Spending UNKNOWN = new Spending(OptionalDouble.empty(), Map.of());

    private static final double DEAREST = 1e7;
    private static final Pattern NUMBER = Pattern.compile("\\d{1,8}(?:[.,]\\d{1,2})?");

    public Spending {
        most.ifPresent(Spending::checked);
        prices.values().forEach(Spending::checked);
        prices = Map.copyOf(prices);
    }

    private static void checked(double money) {
        if (!(money >= 0 && money <= DEAREST)) {
            throw new IllegalArgumentException("a sum of money lies between 0 and ten million, not at " + money);
        }
    }

    /**
     * Reads a price or sum as one writes it: "29", "12.50"; nothing at all where nobody knows it.
     *
     * @throws IllegalArgumentException where it is something else
     */
    public static OptionalDouble read(String typed) {
        String plain = typed.strip();
        if (plain.isEmpty()) {
            return OptionalDouble.empty();
        }
        if (!NUMBER.matcher(plain).matches()) {
            throw new IllegalArgumentException(
                    "a price is a number, such as 29 or 12.50; leave it empty where you do not know it");
        }
        return OptionalDouble.of(Double.parseDouble(plain.replace(',', '.')));
    }

    /** "29", "12.50". */
    public static String write(double money) {
        return money == Math.rint(money)
                ? Print.plain(money)
                : new BigDecimal(money)
                        .setScale(2, java.math.RoundingMode.HALF_EVEN)
                        .toPlainString();
    }

    public Spending withMost(OptionalDouble newMost) {
        return new Spending(newMost, prices);
    }

    /** With what something costs; without it where nobody knows. */
    public Spending withPrice(String id, OptionalDouble price) {
        Map<String, Double> changed = new LinkedHashMap<>(prices);
        changed.remove(id);
        price.ifPresent(money -> changed.put(id, money));
        return new Spending(most, changed);
    }

    /** What something to get costs here. */
    Missing on(Missing missing) {
        Double own = prices.get(missing.id());
        return own == null ? missing : missing.withOwnPrice(OptionalDouble.of(own));
    }

    /** Whether what is known of their prices is not more than there is to spend. */
    boolean allows(List<Missing> missing) {
        return most.isEmpty()
                || missing.stream()
                                .flatMapToDouble(each -> each.ownPrice().stream())
                                .sum()
                        <= most.getAsDouble();
    }
}
