package kalodyne.core.levels.gain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import kalodyne.core.joint.Spot;
import kalodyne.core.units.UnreadableQuantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Points by their marks, as takes of every version know their runs by them. */
class PointIdTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            interface.pre-1            | interface.pre-1   | none | none
            phones.plug:left           | phones.plug       | left | none
            mixer.channel-1/level-1    | mixer.channel-1   | none | level-1
            mixer.channel-1:right/pan  | mixer.channel-1   | right | pan
            lead-3/2.a                 | lead-3/2.a        | none | none
            lead-3/2.a:tip             | lead-3/2.a        | tip  | none
            """)
    void a_mark_is_read_and_written(String mark, String spot, String signal, String control) {
        PointId id = PointId.read(mark);
        assertThat(id.spot()).isEqualTo(Spot.read(spot));
        assertThat(id.signal()).isEqualTo(signal == null ? "" : signal);
        assertThat(id.control()).isEqualTo(control == null ? "" : control);
        assertThat(id.write()).isEqualTo(mark);
        assertThat(id).hasToString(mark);
    }

    @Test
    void one_signal_or_a_control_behind_it_is_a_point_of_its_own() {
        PointId id = PointId.of(Spot.read("mixer.channel-1"));
        assertThat(id.of("left").behind("pan").write()).isEqualTo("mixer.channel-1:left/pan");
        assertThat(id.behind("pan").of("left")).isEqualTo(id.of("left").behind("pan"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "mixer", "mixer.", ".out", "Mixer.out", "mixer.out.more"})
    void what_is_no_point_is_refused(String text) {
        assertThatThrownBy(() -> PointId.read(text)).isInstanceOf(UnreadableQuantity.class);
    }
}
