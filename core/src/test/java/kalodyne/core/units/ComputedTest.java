package kalodyne.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is told of computed numbers: two digits, and words where only leakage, contacts or the arithmetic are left. */
class ComputedTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            current     | 0.00000000000008882 | no current
            current     | 3e-9                | no current
            current     | 0.00076             | 760 µA
            current     | 0.4799              | 480 mA
            current     | 1.5                 | 1.5 A
            voltage     | 0.0005              | no voltage
            voltage     | 37.12               | 37 V
            resistance  | 0.03                | a short
            resistance  | 20.96               | 21 Ω
            resistance  | 1523                | 1.5 kΩ
            resistance  | 1e9                 | nothing connected
            frequency   | 80.28               | 80 Hz
            frequency   | 12344               | 12 kHz
            capacitance | 3.012e-10           | 300 pF
            capacitance | 0                   | no capacitance
            """)
    void tells_what_it_means(String quantity, double value, String told) {
        String said = switch (quantity) {
            case "current" -> Computed.current(value);
            case "voltage" -> Computed.voltage(value);
            case "resistance" -> Computed.resistance(value);
            case "frequency" -> Computed.frequency(value);
            default -> Computed.capacitance(value);
        };
        assertThat(said).isEqualTo(told);
    }

    @ParameterizedTest
    @CsvSource({"0.04, false", "-0.04, false", "0.06, true", "-3, true"})
    void tells_decibels_from_a_twentieth_on(double decibels, boolean isSome) {
        assertThat(Computed.isSome(decibels)).isEqualTo(isSome);
    }
}
