package kalodyne.core.levels.gain;

import static kalodyne.core.testing.Flows.NONE;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalInt;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.testing.Flows;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a hand does with a knob: by hand from its law, its dial of 10 hours, and how far things are from clipping. */
class SensitivityTest {
    /**
     * A gain of 0 to 50 dB on a dial of 10 hours: a quarter hour is 1.25 dB. The source peaks at −40 dBu, the stage clips at 24, full
     * scale lies at +20 dBu and the window is −12 to −6 dBFS, that is +8 to +14 dBu: met from 48 to 50 dB of gain.
     */
    private static Sensitivity at(double position) {
        Flows flows = new Flows();
        int knob = flows.knob(ControlKind.GAIN, Flows.linear(0, 50), position);
        int source = flows.sound("voice", -36, -48, -130, NONE, -1);
        int preamp = flows.stage("Preamp", 0, 24, -128, NONE, knob, Feed.of(source, 0));
        flows.track(20, -100, Feed.of(preamp, 0));
        Flow flow = flows.flow();
        return Sensitivity.of(flow, flow.knobs().get(knob));
    }

    /** In the window from 44 to 50 dB: at 47 dB (0.94) three quarters fit above, at 44 dB the next one down leaves it. */
    @ParameterizedTest
    @CsvSource(nullValues = "none", textBlock = """
            0.94, 1.25, -1.25, none, 45
            0.88, 1.25, -1.25, none, 15
            1.00, 0,    -1.25, none, 75
            0.50, 1.25, -1.25, none, none
            0.00, 1.25, 0,     none, none
            """)
    void tells_what_a_quarter_hour_does_and_how_far_it_may_go(
            double position, double up, double down, Integer room, Integer slack) {
        Sensitivity sensitivity = at(position);
        assertThat(sensitivity.up().db()).isCloseTo(up, within(1e-9));
        assertThat(sensitivity.down().db()).isCloseTo(down, within(1e-9));
        assertThat(sensitivity.room()).isEqualTo(room == null ? OptionalInt.empty() : OptionalInt.of(room));
        assertThat(sensitivity.slack()).isEqualTo(slack == null ? OptionalInt.empty() : OptionalInt.of(slack));
    }

    /** 0 dBu through up to 30 dB into a stage that clips at 24: from 0.5 (15 dB) on, 9 dB or 12 quarter hours and one more. */
    @Test
    void counts_the_quarters_to_the_first_clipping() {
        Flows flows = new Flows();
        int knob = flows.knob(ControlKind.GAIN, Flows.linear(0, 30), 0.5);
        int source = flows.sound("synth", 0, -12, -100, NONE, -1);
        int stage = flows.stage("Mixer", 0, 24, -100, NONE, knob, Feed.of(source, 0));
        flows.track(60, -100, Feed.of(stage, 0));
        Sensitivity sensitivity =
                Sensitivity.of(flows.flow(), flows.flow().knobs().get(knob));
        assertThat(sensitivity.room()).hasValue(13 * 15);
        assertThat(sensitivity.words()).isEqualTo("A quarter hour is 0.8 dB; 3 h 15 min more is too much.");
    }

    /** Of a pad of 0 and −20 dB both places are told by what the next click does. */
    @Test
    void a_click_is_all_or_nothing() {
        Flows flows = new Flows();
        int knob = flows.knob(ControlKind.PAD, new SteppedTaper(java.util.List.of(new Gain(-20), Gain.NONE)), 0);
        int source = flows.sound("drum", 4, -8, -100, NONE, -1);
        int stage = flows.stage("Pad", 0, 24, NONE, NONE, knob, Feed.of(source, 0));
        flows.track(20, -100, Feed.of(stage, 0));
        Sensitivity sensitivity =
                Sensitivity.of(flows.flow(), flows.flow().knobs().get(knob));
        assertThat(sensitivity.words()).isEqualTo("A quarter hour is 0.0 dB.");
        assertThat(sensitivity.up().db()).isZero();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            1.25 | -1.2 |     | A quarter hour is 1.3 dB.
            0.4  | -2   | 45  | A quarter hour is 2.0 dB; 45 min more is too much.
            0.5  | -0.5 | 60  | A quarter hour is 0.5 dB; 1 h more is too much.
            0.5  | -0.5 | 135 | A quarter hour is 0.5 dB; 2 h 15 min more is too much.
            """)
    void says_it(double up, double down, Integer room, String words) {
        OptionalInt more = room == null ? OptionalInt.empty() : OptionalInt.of(room);
        assertThat(new Sensitivity(new Gain(up), new Gain(down), more, OptionalInt.empty()).words())
                .isEqualTo(words);
    }
}
