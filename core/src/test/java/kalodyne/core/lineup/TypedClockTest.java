package kalodyne.core.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import kalodyne.core.units.UnreadableQuantity;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedClockTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "6.75 s | 6.75",
                "−6,75 | -6.75",
                "-120 ms | -0.12",
                "1:02:03.5 | 3723.5",
                "2:05 | 125",
                "+0.5s | 0.5",
            })
    void an_offset_is_read_as_it_is_typed(String typed, double seconds) {
        assertThat(TypedClock.offsetSeconds(typed)).isCloseTo(seconds, within(1e-12));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"35 ppm | 35e-6", "-0,25 | -0.25e-6", "+5000ppm | 5000e-6"})
    void a_drift_is_read_as_it_is_typed(String typed, double ratio) {
        assertThat(TypedClock.drift(typed)).isCloseTo(ratio, within(1e-15));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "soon", "1e9", "NaN", "1:2:3:4", "49:00:00", "6.75 h", "--3", "99999999"})
    void what_is_no_offset_is_refused(String typed) {
        assertThatThrownBy(() -> TypedClock.offsetSeconds(typed)).isInstanceOf(UnreadableQuantity.class);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "fast", "5001", "-5000.1 ppm", "35 %", "Infinity"})
    void what_is_no_drift_is_refused(String typed) {
        assertThatThrownBy(() -> TypedClock.drift(typed)).isInstanceOf(UnreadableQuantity.class);
    }
}
