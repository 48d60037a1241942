package kalodyne.core.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityTest {
    private static final Map<String, Quantity<?>> KINDS = Map.of(
            "level", Quantity.LEVEL,
            "dbfs", Quantity.DIGITAL_LEVEL,
            "gain", Quantity.GAIN,
            "ohms", Quantity.IMPEDANCE,
            "farads", Quantity.CAPACITANCE_PER_METRE,
            "metres", Quantity.LENGTH);

    private static double number(Object value) {
        if (value instanceof Level level) {
            return level.dbu();
        } else if (value instanceof DigitalLevel level) {
            return level.dbfs();
        } else if (value instanceof Gain gain) {
            return gain.db();
        } else if (value instanceof Impedance impedance) {
            return impedance.ohms();
        } else if (value instanceof Capacitance capacitance) {
            return capacitance.farads();
        }
        return ((Length) value).metres();
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
            farads | 100 pF/m      | 1e-10
            farads | 30 pF/ft      | 9.8425e-11
            metres | 10 ft         | 3.048
            metres | 150 cm        | 1.5
            """)
    void reads_what_data_sheets_print(String kind, String text, double expected) {
        assertThat(number(KINDS.get(kind).read(text))).isCloseTo(expected, within(Math.abs(expected) * 1e-5 + 6e-5));
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
