package kalodyne.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityTest {
    private static final Map<String, Quantity<?>> KINDS = Map.ofEntries(
            Map.entry("level", Quantity.LEVEL),
            Map.entry("dbfs", Quantity.DIGITAL_LEVEL),
            Map.entry("gain", Quantity.GAIN),
            Map.entry("ohms", Quantity.IMPEDANCE),
            Map.entry("ohms/m", Quantity.RESISTANCE_PER_METRE),
            Map.entry("farads/m", Quantity.CAPACITANCE_PER_METRE),
            Map.entry("farads", Quantity.CAPACITANCE),
            Map.entry("henries", Quantity.INDUCTANCE),
            Map.entry("amperes", Quantity.CURRENT),
            Map.entry("volts", Quantity.VOLTAGE),
            Map.entry("hertz", Quantity.FREQUENCY),
            Map.entry("watts", Quantity.POWER),
            Map.entry("hours", Quantity.RUNNING_TIME),
            Map.entry("watt-hours", Quantity.ENERGY),
            Map.entry("volts/pascal", Quantity.MIC_SENSITIVITY),
            Map.entry("spl", Quantity.SOUND_LEVEL),
            Map.entry("self noise", Quantity.SELF_NOISE),
            Map.entry("spl/mW", Quantity.SOUND_PER_MILLIWATT),
            Map.entry("metres", Quantity.LENGTH));

    private static <T> double measure(Quantity<T> quantity, String text) {
        return quantity.measure(quantity.read(text));
    }

    /** As it is shown, typed back. */
    private static <T> double shownAndTyped(Quantity<T> quantity, String text) {
        return measure(quantity, quantity.print(quantity.read(text)));
    }

    /** As files hold it, read back: not a digit is lost. */
    private static <T> double written(Quantity<T> quantity, String text) {
        return measure(quantity, quantity.write(quantity.read(text)));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            level  | +4 dBu        | 4
            level  | −10 dBV       | -7.7815
            level  | -10dBV        | -7.7815
            level  | 1.2 Vrms      | 3.8021
            level  | 1,2 Vrms      | 3.8021
            level  | 300 mVpp      | -17.26999
            level  | 775 mV        | 0.0045
            level  | 10 DBU        | 10
            level  | 1e1 dBu       | 10
            dbfs   | -12dBFS       | -12
            gain   | 200 %         | 6.0206
            gain   | 10 ×          | 20
            ohms   | 47k           | 47000
            ohms   | 4k7           | 4700
            ohms   | 1 M           | 1000000
            ohms   | 1MΩ           | 1000000
            ohms   | 600 ohms      | 600
            ohms   | 2,2 kΩ        | 2200
            farads/m | 100 pF/m      | 1e-10
            farads/m | 30 pF/ft      | 9.8425e-11
            metres | 10 ft         | 3.048
            metres | 150 cm        | 1.5
            ohms/m | 80 mΩ/m       | 0.08
            ohms/m | 80 Ω/km       | 0.08
            farads | 4,7 nF        | 4.7e-9
            farads | 150pF         | 1.5e-10
            henries | 2.5 H        | 2.5
            henries | 450 mH       | 0.45
            amperes | 500mA        | 0.5
            amperes | 3 A          | 3
            volts  | 48 V          | 48
            hertz  | 80 Hz         | 80
            hertz  | 1.2 kHz       | 1200
            watts  | 100 mW        | 0.1
            hours  | 90 min        | 1.5
            watt-hours | 37 Wh     | 37
            volts/pascal | 2.2 mV/Pa | 0.0022
            volts/pascal | −54 dBV/Pa | 0.00199526
            spl    | 94 dB SPL     | 94
            self noise | 18 dB(A)  | 18
            self noise | 18 dBA    | 18
            spl/mW | 98 dB/mW      | 98
            """)
    void reads_what_data_sheets_print(String kind, String text, double expected) {
        Quantity<?> quantity = KINDS.get(kind);
        boolean isDecibels = List.of("level", "dbfs", "gain").contains(kind);
        double tolerance = 1e-5 * Math.abs(expected) + (isDecibels ? 6e-5 : 0);
        assertThat(measure(quantity, text)).isCloseTo(expected, within(tolerance));
        assertThat(shownAndTyped(quantity, text)).isCloseTo(expected, within(0.051 + 6e-4 * Math.abs(expected)));
        assertThat(written(quantity, text)).isEqualTo(measure(quantity, text));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            level  | 4            | has no unit
            level  | +4 dBv       | dBu in some old manuals and dBV in others
            level  | 4 kΩ         | is not a unit of level
            level  | -1 V         | is below zero
            level  | 0 V          | is nothing at all
            level  | 1e9 dBu      | far beyond anything in a studio
            level  | 1e-50 V      | far beyond anything in a studio
            level  | 900 dBu      | far beyond anything in a studio
            ohms   | 10 dB        | is not a unit of impedance
            ohms   | -10 kΩ       | there is no negative impedance
            ohms   | 1,200 Ω      | can be read in two ways
            ohms   | ten          | does not begin with a number
            ohms   | 10 m Ω Ω     | is not a unit
            ohms   | ±5 kΩ        | two signs at once
            metres | NaN m        | does not begin with a number
            volts  | 48           | has no unit
            volts  | 4 dBu        | is not a unit of voltage
            amperes | -1 A        | there is no negative current
            self noise | 18 dB SPL | is not a unit of self noise
            spl/mW | 98 dB        | is not a unit of sensitivity
            volts/pascal | 0 mV/Pa | is nothing at all
            """)
    void refuses_what_it_would_have_to_guess(String kind, String text, String reason) {
        assertThatThrownBy(() -> KINDS.get(kind).read(text))
                .isInstanceOf(UnreadableQuantity.class)
                .hasMessageContaining(reason);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "\u00a0", "dBu", "+", "−", ",", "1..2 V", "e5 V", "\u0000", "1 \ud83c\udfb8"})
    void refuses_fragments_with_a_sentence(String text) {
        assertThatThrownBy(() -> Quantity.LEVEL.read(text))
                .isInstanceOf(UnreadableQuantity.class)
                .satisfies(e -> assertThat(((UnreadableQuantity) e).remedy()).endsWith("."));
    }

    @Test
    void refuses_a_book_at_once() {
        assertThatThrownBy(() -> Quantity.LEVEL.read("1".repeat(10_000_000) + " V"))
                .isInstanceOf(UnreadableQuantity.class)
                .hasMessageContaining("too long");
    }

    @Test
    void writes_so_that_reading_gives_the_same_value_in_any_locale() {
        Locale before = Locale.getDefault();
        Random random = new Random(11);
        try {
            for (String tag : new String[] {"en-GB", "de-DE", "tr-TR", "ar-EG"}) {
                Locale.setDefault(Locale.forLanguageTag(tag));
                for (int i = 0; i < 500; i++) {
                    Level level = new Level(200 * random.nextDouble() - 150);
                    assertThat(Quantity.LEVEL.read(Quantity.LEVEL.write(level))).isEqualTo(level);
                    Impedance ohms = new Impedance(Math.pow(10, 9 * random.nextDouble() - 2));
                    assertThat(Quantity.IMPEDANCE.read(Quantity.IMPEDANCE.write(ohms)))
                            .isEqualTo(ohms);
                    Capacitance farads = Capacitance.picofarads(1000 * random.nextDouble());
                    assertThat(Quantity.CAPACITANCE_PER_METRE.read(Quantity.CAPACITANCE_PER_METRE.write(farads)))
                            .isEqualTo(farads);
                    // What is shown can be typed back, to the digits that are shown.
                    assertThat(Quantity.LEVEL.read(level.toString()).dbu()).isCloseTo(level.dbu(), within(0.0501));
                    assertThat(Quantity.IMPEDANCE.read(ohms.toString()).ohms())
                            .isCloseTo(ohms.ohms(), within(ohms.ohms() * 6e-4));
                }
            }
        } finally {
            Locale.setDefault(before);
        }
    }
}
