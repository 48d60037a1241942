package kalodyne.core.gear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import kalodyne.core.units.Gain;
import kalodyne.core.units.UnreadableQuantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PanTaperTest {
    /**
     * By hand, to the right: sin(90°·p), of −3 dB in its middle nearly as it is (20·log₁₀ sin 45° = −3.01), of −6 dB its square, of −4.5 dB
     * its 1.5th power; a balance is whole from its middle on and sin(180°·p) before. The left is the mirror of it.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            -3   | 0.5  | -3.0
            -3   | 1    | 0
            -3   | 0.25 | -8.31
            -3   | 0.75 | -0.69
            -6   | 0.5  | -6.0
            -6   | 0.75 | -1.37
            -4.5 | 0.25 | -12.47
            0    | 0.5  | 0
            0    | 0.9  | 0
            0    | 0.25 | -3.01
            """)
    void takes_from_each_side(double middle, double position, double db) {
        PanTaper right = new PanTaper(new Gain(middle), PanTaper.Side.RIGHT);
        assertThat(right.at(position).db()).isCloseTo(db, within(0.02));
        assertThat(right.to(PanTaper.Side.LEFT).at(1 - position).db()).isCloseTo(db, within(0.02));
        assertThat(right.at(right.positionFor(new Gain(db))).db()).isCloseTo(db, within(0.02));
        assertThat(right.at(0).db()).isEqualTo(Double.NEGATIVE_INFINITY);
    }

    /** As loud wherever it stands: the powers of both sides of a −3 dB pot add up to one. */
    @Test
    void a_pan_pot_keeps_the_power() {
        PanTaper right = new PanTaper(Gain.ofPowerRatio(0.5), PanTaper.Side.RIGHT);
        for (double p = 0.05; p < 1; p += 0.05) {
            assertThat(right.at(p).powerRatio()
                            + right.to(PanTaper.Side.LEFT).at(p).powerRatio())
                    .isCloseTo(1, within(1e-9));
        }
    }

    @ParameterizedTest
    @CsvSource({"-7", "1", "NaN"})
    void takes_nothing_else(double middle) {
        assertThatThrownBy(() -> new PanTaper(new Gain(middle), PanTaper.Side.LEFT))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** It is told and read by its side, a clock reading, or the words printed beside it. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            centre | centre · 12:00
            middle | centre · 12:00
            left   | hard left · 7:00
            2:30   | right · 2:30
            """)
    void is_typed_and_told(String typed, String told) {
        Control pan = new DeviceControl(
                        "pan",
                        "pan 1",
                        ControlKind.PAN,
                        Optional.empty(),
                        Dial.USUAL,
                        List.of("left", "middle", "right"))
                .at(0.3)
                .orElseThrow();
        assertThat(pan.at(pan.read(typed)).reading()).isEqualTo(told);
        assertThat(ControlRange.print(pan.taper())).isEqualTo("−3.0 dB in the centre");
        assertThat(ControlRange.read("-4.5 dB in the centre", pan.taper())
                        .at(0.5)
                        .db())
                .isCloseTo(-4.5, within(1e-9));
        assertThatThrownBy(() -> ControlRange.read("−20 dB", pan.taper())).isInstanceOf(UnreadableQuantity.class);
    }
}
