package kalodyne.core.units;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.DoubleFunction;
import java.util.function.ToDoubleFunction;

/**
 * A kind of quantity that people type: which units it may have and what becomes of a number with each.
 *
 * <p>Reading accepts what data sheets print: a decimal point or comma, a real minus sign or a hyphen, a blank before the
 * unit or none, SI prefixes. It never guesses: a missing or foreign unit, and a number that can be read in two ways, are
 * refused with a sentence that says how to write it.
 *
 * @param <T> the record that holds such a quantity
 */
public final class Quantity<T> {
    public static final Quantity<Level> LEVEL = new Quantity<>("level", "+4 dBu or 300 mVpp", "dBu", Level::dbu)
            .decibels("dBu", Level::new)
            .decibels("dBV", Level::ofDbv)
            .volts("V", Level::ofVolts)
            .volts("Vrms", Level::ofVolts)
            .volts("Vpp", Level::ofVoltsPeakToPeak)
            .volts("Vp-p", Level::ofVoltsPeakToPeak)
            .volts("Vp", Level::ofVoltsPeak);

    public static final Quantity<DigitalLevel> DIGITAL_LEVEL = new Quantity<>(
                    "level in a recording", "−12 dBFS", "dBFS", DigitalLevel::dbfs)
            .decibels("dBFS", DigitalLevel::new);

    public static final Quantity<Gain> GAIN = new Quantity<>("gain", "+12 dB", "dB", Gain::db)
            .decibels("dB", Gain::new)
            .with("%", Sign.ABOVE_ZERO, percent -> Gain.ofRatio(percent / 100), SiPrefix.NONE)
            .with("×", Sign.ABOVE_ZERO, Gain::ofRatio, SiPrefix.NONE)
            .with("x", Sign.ABOVE_ZERO, Gain::ofRatio, SiPrefix.NONE);

    public static final Quantity<Impedance> IMPEDANCE = new Quantity<>("impedance", "10 kΩ or 1M", "Ω", Impedance::ohms)
            .with("Ω", Sign.FROM_ZERO, Impedance::new, SiPrefix.MILLI, SiPrefix.NONE, SiPrefix.KILO, SiPrefix.MEGA)
            .with("ohm", Sign.FROM_ZERO, Impedance::new, SiPrefix.NONE, SiPrefix.KILO, SiPrefix.MEGA)
            .with("ohms", Sign.FROM_ZERO, Impedance::new, SiPrefix.NONE, SiPrefix.KILO, SiPrefix.MEGA)
            .with("", Sign.FROM_ZERO, Impedance::new, SiPrefix.KILO, SiPrefix.MEGA);

    /** What one metre of a lead has between its wires. */
    public static final Quantity<Capacitance> CAPACITANCE_PER_METRE = new Quantity<>(
                    "capacitance per metre", "100 pF/m", "pF/m", SiPrefix.PICO, Capacitance::farads)
            .with("F/m", Sign.FROM_ZERO, Capacitance::new, SiPrefix.PICO, SiPrefix.NANO)
            .with("F/ft", Sign.FROM_ZERO, farads -> new Capacitance(farads / 0.3048), SiPrefix.PICO, SiPrefix.NANO);

    /** Of one wire of a lead. */
    public static final Quantity<Impedance> RESISTANCE_PER_METRE = new Quantity<>(
                    "resistance per metre", "80 mΩ/m", "mΩ/m", SiPrefix.MILLI, Impedance::ohms)
            .with("Ω/m", Sign.FROM_ZERO, Impedance::new, SiPrefix.MILLI, SiPrefix.NONE)
            .with("Ω/km", Sign.FROM_ZERO, perKilometre -> new Impedance(perKilometre / 1e3), SiPrefix.NONE);

    public static final Quantity<Capacitance> CAPACITANCE = new Quantity<>(
                    "capacitance", "150 pF", "pF", SiPrefix.PICO, Capacitance::farads)
            .with("F", Sign.FROM_ZERO, Capacitance::new, SiPrefix.PICO, SiPrefix.NANO, SiPrefix.MICRO);

    public static final Quantity<Inductance> INDUCTANCE = new Quantity<>(
                    "inductance", "2.5 H", "H", Inductance::henries)
            .with("H", Sign.FROM_ZERO, Inductance::new, SiPrefix.MICRO, SiPrefix.MILLI, SiPrefix.NONE);

    public static final Quantity<Current> CURRENT = new Quantity<>(
                    "current", "500 mA", "mA", SiPrefix.MILLI, Current::amperes)
            .with("A", Sign.FROM_ZERO, Current::new, SiPrefix.MICRO, SiPrefix.MILLI, SiPrefix.NONE);

    public static final Quantity<Voltage> VOLTAGE = new Quantity<>("voltage", "48 V", "V", Voltage::volts)
            .with("V", Sign.FROM_ZERO, Voltage::new, SiPrefix.MILLI, SiPrefix.NONE)
            .with("VDC", Sign.FROM_ZERO, Voltage::new, SiPrefix.NONE);

    public static final Quantity<Frequency> FREQUENCY = new Quantity<>("frequency", "80 Hz", "Hz", Frequency::hertz)
            .with("Hz", Sign.FROM_ZERO, Frequency::new, SiPrefix.NONE, SiPrefix.KILO, SiPrefix.MEGA);

    public static final Quantity<Power> POWER = new Quantity<>("power", "20 W", "W", Power::watts)
            .with("W", Sign.FROM_ZERO, Power::new, SiPrefix.MILLI, SiPrefix.NONE, SiPrefix.KILO);

    public static final Quantity<Energy> ENERGY = new Quantity<>("energy", "37 Wh", "Wh", Energy::wattHours)
            .with("Wh", Sign.FROM_ZERO, Energy::new, SiPrefix.NONE);

    public static final Quantity<BitRate> BIT_RATE = new Quantity<>(
                    "bit rate", "28 Mbit/s", "Mbit/s", SiPrefix.MEGA, BitRate::bitsPerSecond)
            .with("bit/s", Sign.ABOVE_ZERO, BitRate::new, SiPrefix.KILO, SiPrefix.MEGA);

    public static final Quantity<RunningTime> RUNNING_TIME = new Quantity<>(
                    "running time", "5.5 h", "h", RunningTime::hours)
            .with("h", Sign.FROM_ZERO, RunningTime::new, SiPrefix.NONE)
            .with("min", Sign.FROM_ZERO, minutes -> new RunningTime(minutes / 60), SiPrefix.NONE);

    public static final Quantity<MicSensitivity> MIC_SENSITIVITY = new Quantity<>(
                    "microphone sensitivity", "2.2 mV/Pa", "mV/Pa", SiPrefix.MILLI, MicSensitivity::voltsPerPascal)
            .with("V/Pa", Sign.ABOVE_ZERO, MicSensitivity::new, SiPrefix.MILLI, SiPrefix.NONE)
            .decibels("dBV/Pa", dbv -> new MicSensitivity(Level.ofDbv(dbv).volts()))
            .decibels("dBV", dbv -> new MicSensitivity(Level.ofDbv(dbv).volts()));

    /** A sound as it is, without weighting. */
    public static final Quantity<SoundLevel> SOUND_LEVEL =
            sound("sound level", "94 dB SPL", "dB SPL").decibels("dB", SoundLevel::new);

    /** A microphone's own noise as the sound that would give as much, A-weighted (IEC 61672). */
    public static final Quantity<SoundLevel> SELF_NOISE =
            sound("self noise", "18 dB(A)", "dB(A)").decibels("dBA", SoundLevel::new);

    /** What headphones give from a milliwatt. */
    public static final Quantity<SoundLevel> SOUND_PER_MILLIWATT =
            sound("sensitivity", "98 dB/mW", "dB/mW").decibels("dBSPL/mW", SoundLevel::new);

    public static final Quantity<Length> LENGTH = new Quantity<>("length", "3 m", "m", Length::metres)
            .with("m", Sign.FROM_ZERO, Length::new, SiPrefix.MILLI, SiPrefix.NONE)
            .with("cm", Sign.FROM_ZERO, centimetres -> new Length(centimetres / 100), SiPrefix.NONE)
            .with("ft", Sign.FROM_ZERO, feet -> new Length(feet * 0.3048), SiPrefix.NONE)
            .with("in", Sign.FROM_ZERO, inches -> new Length(inches * 0.0254), SiPrefix.NONE);

    /** Beyond this many decibels, or this many of any other unit, nothing in a studio has a value. */
    private static final double MOST_DECIBELS = 250;

    private static final double MOST_OTHERS = 1e11;

    /** In volts or as a ratio, −260 dB. */
    private static final double LEAST_ABOVE_ZERO = 1e-13;

    private enum Sign {
        ANY,
        FROM_ZERO,
        ABOVE_ZERO
    }

    private record Reading<T>(SiPrefix prefix, Sign sign, double most, DoubleFunction<T> make) {}

    private final String kind;
    private final String example;
    private final String writtenUnit;
    private final SiPrefix writtenPrefix;
    private final ToDoubleFunction<T> number;
    private final Map<String, Reading<T>> units = new LinkedHashMap<>();

    private Quantity(String kind, String example, String writtenUnit, ToDoubleFunction<T> number) {
        this(kind, example, writtenUnit, SiPrefix.NONE, number);
    }

    private Quantity(
            String kind, String example, String writtenUnit, SiPrefix writtenPrefix, ToDoubleFunction<T> number) {
        this.kind = kind;
        this.example = example;
        this.writtenUnit = writtenUnit;
        this.writtenPrefix = writtenPrefix;
        this.number = number;
    }

    private static Quantity<SoundLevel> sound(String kind, String example, String unit) {
        return new Quantity<SoundLevel>(kind, example, unit, SoundLevel::db)
                .decibels(unit.replace(" ", ""), SoundLevel::new);
    }

    private Quantity<T> decibels(String unit, DoubleFunction<T> make) {
        units.put(unit, new Reading<>(SiPrefix.NONE, Sign.ANY, MOST_DECIBELS, make));
        return this;
    }

    private Quantity<T> volts(String unit, DoubleFunction<T> make) {
        return with(unit, Sign.ABOVE_ZERO, make, SiPrefix.MICRO, SiPrefix.MILLI, SiPrefix.NONE);
    }

    private Quantity<T> with(String unit, Sign sign, DoubleFunction<T> make, SiPrefix... prefixes) {
        for (SiPrefix prefix : prefixes) {
            units.put(prefix.symbol() + unit, new Reading<>(prefix, sign, MOST_OTHERS, make));
        }
        return this;
    }

    /** What it is, in words: "impedance". */
    public String kind() {
        return kind;
    }

    /** How it may be written, for hints: "10 kΩ or 1M". */
    public String example() {
        return example;
    }

    /** The value as people read it, such that {@link #read} understands it: "100 pF/m". */
    public String print(T value) {
        if (value instanceof SoundLevel sound) {
            return Print.plain(sound.db()) + " " + writtenUnit;
        }
        boolean isPerMetre = writtenUnit.endsWith("/m");
        return isPerMetre ? value + "/m" : value.toString();
    }

    /** Its number in the unit that it is kept in, to compare values of one quantity by: ohms, dBu, farads. */
    public double measure(T value) {
        return number.applyAsDouble(value);
    }

    /** The value with every digit it has, such that {@link #read} gives the same value back. */
    public String write(T value) {
        return writtenPrefix.exactly(number.applyAsDouble(value)) + " " + writtenUnit;
    }

    /**
     * Reads what somebody typed.
     *
     * @throws UnreadableQuantity with a sentence on what is wrong and one on what to write
     */
    public T read(String text) {
        NumberWithUnit typed = NumberWithUnit.read(text, example);
        Reading<T> reading = readingOf(typed.unit(), text.strip());
        double value = reading.prefix().applyTo(typed.value());
        if (reading.sign() != Sign.ANY && value < 0) {
            throw refused(text, "is below zero, and there is no negative " + kind);
        }
        if (reading.sign() == Sign.ABOVE_ZERO && value == 0) {
            throw refused(text, "is nothing at all, which has no place on a scale in decibels");
        }
        boolean tiny = reading.sign() == Sign.ABOVE_ZERO && value < LEAST_ABOVE_ZERO;
        if (tiny || Math.abs(value) > reading.most()) {
            throw refused(text, "is far beyond anything in a studio");
        }
        return reading.make().apply(value);
    }

    private UnreadableQuantity refused(String text, String why) {
        return new UnreadableQuantity(
                "“" + text.strip() + "” " + why + ".", "Check the number; it looks for example like " + example + ".");
    }

    private Reading<T> readingOf(String unit, String text) {
        String written = canonical(unit);
        Reading<T> exact = units.get(written);
        if (exact != null) {
            return exact;
        }
        if (written.equals("dBv")) {
            throw new UnreadableQuantity(
                    "“dBv” meant dBu in some old manuals and dBV in others.",
                    "Write dBu or dBV, whichever the maker meant.");
        }
        if (unit.isEmpty()) {
            throw new UnreadableQuantity("“" + text + "” has no unit.", "Write for example " + example + ".");
        }
        return units.entrySet().stream()
                .filter(entry -> sameButForCase(entry.getKey(), written))
                .map(Map.Entry::getValue)
                .findFirst()
                .orElseThrow(() -> new UnreadableQuantity(
                        "“" + unit + "” is not a unit of " + kind + ".", "Write for example " + example + "."));
    }

    /** "DBU" is read as dBu, but a prefix keeps its case: milli is not mega. */
    private static boolean sameButForCase(String known, String written) {
        return !known.isEmpty()
                && known.equalsIgnoreCase(written)
                && (known.toLowerCase(Locale.ROOT).startsWith("db") || known.charAt(0) == written.charAt(0));
    }

    /** One spelling for signs that look the same: the Greek letter and the ohm sign, both micros, "K" for kilo. */
    private static String canonical(String unit) {
        String plain = unit.replace('\u2126', 'Ω').replace('\u03bc', 'µ').replace(" ", "");
        if (plain.startsWith("u")) {
            return "µ" + plain.substring(1);
        }
        return plain.startsWith("K") ? "k" + plain.substring(1) : plain;
    }
}
