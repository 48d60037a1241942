package kalodyne.core.units;

import java.math.BigDecimal;

/** The prefixes of the SI that sound equipment uses. */
enum SiPrefix {
    PICO("p", -12),
    NANO("n", -9),
    MICRO("µ", -6),
    MILLI("m", -3),
    NONE("", 0),
    KILO("k", 3),
    MEGA("M", 6),
    GIGA("G", 9);

    private final String symbol;
    private final int exponent;

    SiPrefix(String symbol, int exponent) {
        this.symbol = symbol;
        this.exponent = exponent;
    }

    String symbol() {
        return symbol;
    }

    /** The number without the prefix, rounded once: "100 p" is exactly the double nearest to 1e-10. */
    double applyTo(BigDecimal value) {
        return value.scaleByPowerOfTen(exponent).doubleValue();
    }

    private double applyTo(double value) {
        return applyTo(BigDecimal.valueOf(value));
    }

    /** The inverse of {@link #applyTo(BigDecimal)}, as decimal digits that lose nothing. */
    String exactly(double value) {
        BigDecimal digits = BigDecimal.valueOf(value).scaleByPowerOfTen(-exponent);
        return digits.signum() == 0 ? "0" : digits.stripTrailingZeros().toPlainString();
    }

    static String print(double value, String unit) {
        SiPrefix best = NONE;
        if (value != 0) {
            best = PICO;
            for (SiPrefix prefix : values()) {
                // 0.99995 so that what would print as 1000 of one prefix prints as 1 of the next.
                if (Math.abs(value) >= prefix.applyTo(0.99995)) {
                    best = prefix;
                }
            }
        }
        return Print.plain(value / best.applyTo(1)) + " " + best.symbol + unit;
    }
}
