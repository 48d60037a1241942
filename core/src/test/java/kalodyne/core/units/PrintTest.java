package kalodyne.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PrintTest {
    /** Words from the head of a sentence into its middle: units and abbreviations keep their case. */
    @ParameterizedTest
    @CsvSource({
        "Mains hum at 50 Hz, mains hum at 50 Hz",
        "DC offset, DC offset",
        "RIAA applied twice, RIAA applied twice",
        "A click, a click",
        "1 kHz whine, 1 kHz whine"
    })
    void a_title_goes_into_a_sentence(String title, String within) {
        assertThat(Print.withinSentence(title)).isEqualTo(within);
    }

    /** What nobody knows better than that has two digits. */
    @ParameterizedTest
    @CsvSource({"0.4789, 480 mA", "0.0044, 4.4 mA", "1.249, 1.2 A", "0.5, 500 mA", "0, 0 A"})
    void currents_have_two_digits(double amperes, String printed) {
        assertThat(Print.about(amperes, "A")).isEqualTo(printed);
    }
}
