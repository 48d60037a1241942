package kalodyne.core.gear;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.testing.Runs;
import kalodyne.core.units.Gain;
import kalodyne.core.units.UnreadableQuantity;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ControlTest {
    private static final Taper STEPS = new SteppedTaper(List.of(new Gain(-20), new Gain(0), new Gain(6)));

    static Stream<Taper> tapers() {
        return Stream.of(
                Runs.linear(-8, 32),
                new AudioTaper(Gain.NONE),
                STEPS,
                new CalibratedTaper(List.of(
                        new CalibratedTaper.Point(0, new Gain(-60)),
                        new CalibratedTaper.Point(0.4, new Gain(-10)),
                        new CalibratedTaper.Point(1, new Gain(10)))));
    }

    @ParameterizedTest
    @MethodSource("tapers")
    void tapers_never_fall_and_know_their_way_back(Taper taper) {
        double before = Double.NEGATIVE_INFINITY;
        for (int i = 0; i <= 1000; i++) {
            double position = taper.rest(i / 1000.0);
            Gain gain = taper.at(position);
            assertThat(gain.db()).isGreaterThanOrEqualTo(before);
            assertThat(taper.positionFor(gain)).isCloseTo(position, within(1e-9));
            assertThat(taper.at(taper.positionAtMost(gain.plus(new Gain(1e-6)))).db())
                    .isCloseTo(gain.db(), within(2e-6));
            before = gain.db();
        }
        assertThat(taper.positionFor(new Gain(200))).isEqualTo(1);
        assertThat(taper.positionFor(Gain.SHUT)).isZero();
    }

    /** Potentiometers with an audio law: about a tenth of the voltage, −20 dB, at half travel (common practice). */
    @Test
    void an_audio_taper_is_20_db_down_at_noon() {
        Control volume = Runs.knob("volume", new AudioTaper(Gain.NONE), 0.5);
        assertThat(volume.gain().db()).isCloseTo(-20, within(1e-9));
        assertThat(volume.clock()).isEqualTo("12:00");
        assertThat(volume.at(0).reading()).isEqualTo("shut · 7:00");
    }

    @Test
    void a_switch_rests_at_its_clicks_and_stays_below_a_limit() {
        assertThat(Runs.knob("pad", STEPS, 0.6).position()).isEqualTo(0.5);
        assertThat(STEPS.at(STEPS.positionAtMost(new Gain(5.9))).db()).isZero();
        assertThat(STEPS.at(STEPS.positionAtMost(new Gain(-30))).db()).isEqualTo(-20);
    }

    @ParameterizedTest
    @CsvSource({"0, 7:00", "0.5, 12:00", "0.55, 12:30", "1, 5:00", "0.375, 10:45"})
    void tells_positions_as_on_a_clock_face(double position, String clock) {
        assertThat(Dial.USUAL.clock(position)).isEqualTo(clock);
        assertThat(Dial.USUAL.position(clock)).isCloseTo(position, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"10:45, 0.375", "10:45 o'clock, 0.375", "+12 dB, 0.5", "12, 0.5", "-8, 0", "200 %, 0.3505"})
    void reads_clock_faces_and_gains(String typed, double position) {
        assertThat(Runs.plain().input().gain().read(typed)).isCloseTo(position, within(1e-3));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            6:00    | does not turn to 6:00. It goes from 7:00 to 5:00
            25:00   | not a place on a clock face
            10:99   | not a place on a clock face
            +50 dB  | does not reach +50.0 dB. It goes from −8.0 dB to +32.0 dB
            full    | does not begin with a number
            """)
    void refuses_places_where_the_knob_does_not_turn(String typed, String reason) {
        assertThatThrownBy(() -> Runs.plain().input().gain().read(typed))
                .isInstanceOf(UnreadableQuantity.class)
                .hasMessageContaining(reason);
    }

    @Test
    void tells_what_a_quarter_hour_changes() {
        // 40 dB over ten hours.
        assertThat(Runs.plain().input().gain().perQuarterHour().db()).isCloseTo(1, within(1e-9));
        assertThat(Runs.plain().input().gain().at(1).perQuarterHour().db()).isCloseTo(1, within(1e-9));
    }

    @Test
    void refuses_controls_that_cannot_be() {
        assertThatThrownBy(() -> Runs.linear(10, 10)).hasMessageContaining("gains must rise");
        assertThatThrownBy(() -> Runs.knob("gain", STEPS, 1.01)).hasMessageContaining("from 0 to 1, got 1.01");
        assertThatThrownBy(() -> Runs.knob("gain", STEPS, Double.NaN)).hasMessageContaining("from 0 to 1");
        assertThatThrownBy(() -> new CalibratedTaper(List.of(new CalibratedTaper.Point(0, Gain.NONE))))
                .hasMessageContaining("from the lowest position to the highest");
    }
}
