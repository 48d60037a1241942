package kalodyne.core.units;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;

/**
 * How numbers are told that were computed and not printed by a maker: no finer than what they mean, and nothing at all where only the
 * arithmetic is left. One rule for each quantity.
 */
public final class Computed {
    private static final MathContext TWO_DIGITS = new MathContext(2, RoundingMode.HALF_EVEN);

    /** Less is what contacts leak. */
    private static final double LEAST_AMPERES = 10e-6;

    /** Less is an offset of the arithmetic, or of an amplifier. */
    private static final double LEAST_VOLTS = 10e-3;

    /** Less is the resistance of wires and contacts. */
    private static final double LEAST_OHMS = 1;

    /** More is the insulation of a lead. */
    private static final double MOST_OHMS = 20e6;

    private static final double LEAST_FARADS = 1e-12;

    /** Less is "0.0 dB". */
    private static final double LEAST_DB = 0.05;

    private Computed() {}

    /** "480 mA", "no current". */
    public static String current(double amperes) {
        return Math.abs(amperes) < LEAST_AMPERES ? "no current" : rounded(amperes, "A");
    }

    /** "2.5 V", "no voltage". */
    public static String voltage(double volts) {
        return Math.abs(volts) < LEAST_VOLTS ? "no voltage" : rounded(volts, "V");
    }

    /** "1.5 kΩ", "a short", "nothing connected". */
    public static String resistance(double ohms) {
        return ohms < LEAST_OHMS ? "a short" : ohms > MOST_OHMS ? "nothing connected" : rounded(ohms, "Ω");
    }

    /** "80 Hz", "12 kHz": of corners and resonances. */
    public static String frequency(double hertz) {
        return rounded(hertz, "Hz");
    }

    /** "300 pF". */
    public static String capacitance(double farads) {
        return farads < LEAST_FARADS ? "no capacitance" : rounded(farads, "F");
    }

    /** Whether so many decibels are told as more than none. */
    public static boolean isSome(double decibels) {
        return Math.abs(decibels) >= LEAST_DB;
    }

    private static String rounded(double value, String unit) {
        return Double.isFinite(value)
                ? Print.prefixed(new BigDecimal(value).round(TWO_DIGITS).doubleValue(), unit)
                : Print.prefixed(value, unit);
    }
}
