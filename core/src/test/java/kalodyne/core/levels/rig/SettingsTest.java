package kalodyne.core.levels.rig;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Set;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.GainSchool;
import org.junit.jupiter.api.Test;

class SettingsTest {
    private static final Spot GAIN = Spot.read("interface.gain-1");
    private static final Spot VOLUME = Spot.read("synth.volume");

    @Test
    void turning_and_locking_leave_the_rest_as_it_is() {
        Settings settings = Settings.NONE
                .turned(Map.of(GAIN, 0.5))
                .locked(GAIN, true)
                .turned(Map.of(VOLUME, 1.0))
                .with(AimSchool.UNEVEN)
                .with(GainSchool.UNITY)
                .balanced("synth", 3);
        assertThat(settings.positions()).isEqualTo(Map.of(GAIN, 0.5, VOLUME, 1.0));
        assertThat(settings.locked()).containsExactly(GAIN);
        assertThat(settings.locked(GAIN, false).locked()).isEmpty();
        assertThat(settings.aim()).isEqualTo(AimSchool.UNEVEN);
        assertThat(settings.wanted().school()).isEqualTo(GainSchool.UNITY);
        assertThat(settings.balanceDb()).isEqualTo(Map.of("synth", 3.0));
    }

    /** Only what was turned; nothing where a wish changed too, or somebody forgot where a knob stood. */
    @Test
    void tells_what_was_turned_since() {
        Settings before = Settings.NONE.turned(Map.of(GAIN, 0.5, VOLUME, 0.2));
        assertThat(before.turned(Map.of(GAIN, 0.6)).turnedSince(before)).contains(Map.of(GAIN, 0.6));
        assertThat(before.turnedSince(before)).contains(Map.of());
        assertThat(before.turned(Map.of(GAIN, 0.6)).locked(VOLUME, true).turnedSince(before))
                .isEmpty();
        assertThat(Settings.NONE.turned(Map.of(GAIN, 0.5)).turnedSince(before)).isEmpty();
    }

    /** Where two are joined, what comes in knows better; nothing that comes in changes nothing. */
    @Test
    void joined_the_other_is_right() {
        Settings here = Settings.NONE.turned(Map.of(GAIN, 0.5, VOLUME, 0.2)).locked(VOLUME, true);
        Settings other =
                Settings.NONE.turned(Map.of(GAIN, 0.9)).with(AimSchool.EVEN).locked(GAIN, true);
        Settings joined = here.joined(other);
        assertThat(joined.positions()).isEqualTo(Map.of(GAIN, 0.9, VOLUME, 0.2));
        assertThat(joined.locked()).isEqualTo(Set.of(GAIN, VOLUME));
        assertThat(joined.aim()).isEqualTo(AimSchool.EVEN);
        assertThat(here.joined(Settings.NONE)).isEqualTo(here);
    }

    @Test
    void follows_gear_that_gets_another_mark() {
        Settings renamed = Settings.NONE
                .turned(Map.of(GAIN, 0.5))
                .locked(GAIN, true)
                .balanced("interface", 2)
                .renamed(spot -> new Spot(spot.item() + "-2", spot.part()));
        assertThat(renamed.positions()).containsOnlyKeys(Spot.read("interface-2.gain-1"));
        assertThat(renamed.locked()).containsExactly(Spot.read("interface-2.gain-1"));
        assertThat(renamed.balanceDb()).containsOnlyKeys("interface-2");
    }
}
