package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.circuit.Complex;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is read from a response where nothing, or hardly anything, passes: numbers or nothing, never "not a number". */
class TransferTest {
    private static final List<Double> HERTZ = List.of(20.0, 200.0, 1000.0, 5000.0, 20_000.0);

    private static Transfer of(String ratios) {
        List<Complex> values = Stream.of(ratios.split(" +", -1))
                .map(ratio -> new Complex(Double.parseDouble(ratio), 0))
                .toList();
        Spot out = new Spot("synth", "out");
        Spot in = new Spot("interface", "in");
        return new Transfer(
                new OutputSignal(out, Carries.SIGNAL, "source", "1", "0"),
                new InputSignal(in, Carries.HOT, "2", "0"),
                HERTZ,
                values);
    }

    /** Ratios at 20, 200, 1000, 5000 and 20,000 Hz; the corners lie where the step is, the rise is above 1 kHz. */
    @ParameterizedTest
    @CsvSource(nullValues = "none", textBlock = """
            0 0 0 0 0, none, none, 0
            1 1 1 1 1, none, none, 0
            0 1 1 1 1, 200, none, 0
            1 1 1 1 0, none, 5000, 0
            0 0 1 0 0, 1000, 1000, 0
            1 1 1 2 1, none, none, 6.0206
            """)
    void corners_and_rises_are_numbers(String ratios, Double low, Double high, double rise) {
        Transfer transfer = of(ratios);
        assertThat(transfer.lowCorner().stream().boxed().findFirst().orElse(null))
                .isEqualTo(low);
        assertThat(transfer.highCorner().stream().boxed().findFirst().orElse(null))
                .isEqualTo(high);
        assertThat(transfer.resonance().above().db()).isCloseTo(rise, within(1e-4));
    }
}
