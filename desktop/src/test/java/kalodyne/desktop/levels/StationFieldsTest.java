package kalodyne.desktop.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Random;
import kalodyne.core.gear.LinearTaper;
import kalodyne.core.levels.run.Run;
import kalodyne.core.testing.Runs;
import kalodyne.core.units.Gain;
import kalodyne.core.units.UnreadableQuantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class StationFieldsTest {
    /** Whatever a field shows can be typed into it, and then shows the same; of nothing else than this field. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3})
    void every_value_that_is_shown_can_be_typed_back(int part) {
        Random random = new Random(83);
        for (int i = 0; i < 200; i++) {
            Run run = Runs.any(random);
            for (StationFields.Field field : StationFields.of(part)) {
                String shown = field.shown().apply(run);
                Run back = field.typed().apply(run, shown);
                assertThat(field.shown().apply(back)).as(field.label()).isEqualTo(shown);
                for (StationFields.Field other : StationFields.of(part)) {
                    assertThat(other.shown().apply(back))
                            .isEqualTo(other.shown().apply(run));
                }
            }
        }
    }

    @Test
    void a_gain_range_is_typed_as_two_ends() {
        StationFields.Field range = StationFields.of(2).stream()
                .filter(field -> field.label().equals("gain range"))
                .findFirst()
                .orElseThrow();
        Run changed = range.typed().apply(Runs.plain(), "+4 dB to 58dB");
        assertThat(changed.input().gain().taper()).isEqualTo(new LinearTaper(new Gain(4), new Gain(58)));
        assertThat(changed.input().gain().position()).isEqualTo(0.5);
        assertThatThrownBy(() -> range.typed().apply(changed, "58 dB")).isInstanceOf(UnreadableQuantity.class);
        assertThatThrownBy(() -> range.typed().apply(changed, "58 dB to 4 dB")).hasMessageContaining("gains must rise");
    }
}
