package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.testing.Plugged;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Several players on one track, pan pots, and the balance of separate tracks. */
class MixedTracksTest {
    private static final String TWO = "mic-dynamic-voice.out xlr-xlr mixer-small.mic-1;"
            + " piano-digital.out-left ts-ts mixer-small.line-3; piano-digital.out-right ts-ts mixer-small.line-4; ";

    private static final String TO_INTERFACE =
            "mixer-small.main-left trs-trs interface-2.line-1; mixer-small.main-right trs-trs interface-2.line-2";

    private static final String SEPARATE = "mic-dynamic-voice.out xlr-xlr interface-4.mic-1;"
            + " piano-digital.out-left ts-ts interface-4.line-3; piano-digital.out-right ts-ts interface-4.line-4";

    private static SetupLevels levels(String line, Settings settings) {
        Patch patch = Plugged.of(line);
        return SetupLevels.of(JointRules.check(patch), patch, settings);
    }

    private static Optional<Finding> finding(SetupLevels levels, String run, String mark) {
        return levels.traces().stream()
                .filter(trace -> trace.name().startsWith(run))
                .flatMap(trace -> levels.run(trace).findings().stream())
                .filter(finding -> finding.mark().equals(mark))
                .findFirst();
    }

    /** Their powers add: 10·log₁₀(10^(a/10) + 10^(b/10)). The track bears both names, each run tells what its meter shows alone. */
    @Test
    void several_on_one_bus_are_one_track() {
        SetupLevels levels = levels(TWO + TO_INTERFACE, Settings.NONE);
        assertThat(levels.playedOn("interface-2"))
                .allSatisfy(name -> assertThat(name)
                        .contains("Digital piano")
                        .contains(" and ")
                        .contains("Dynamic voice"));
        LevelPlan voice = levels.plan(trace(levels, "Dynamic voice microphone → track 1"));
        LevelPlan piano = levels.plan(trace(levels, "Digital piano with line outputs, Output L/mono → track 1"));
        double both =
                10 * Math.log10(Math.pow(10, voice.endPeakAlone() / 10) + Math.pow(10, piano.endPeakAlone() / 10));
        assertThat(voice.endPeak()).isCloseTo(both, within(0.01)).isCloseTo(piano.endPeak(), within(1e-9));
        assertThat(levels.run(trace(levels, "Dynamic voice microphone → track 1"))
                        .verdict()
                        .sentence())
                .contains("together with Digital piano with line outputs (");
    }

    private static Trace trace(SetupLevels levels, String name) {
        return levels.traces().stream()
                .filter(trace -> trace.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError(
                        levels.traces().stream().map(Trace::name).toList().toString()));
    }

    /**
     * By hand: a pan pot at 9:00 stands at a fifth of its travel. To the left it takes 20·log₁₀ cos 18° = 0.44 dB, to the right
     * 20·log₁₀ sin 18° = 10.2 dB, 7.2 more than in its centre. At hard right nothing of it reaches the left track.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            both sides recorded         | 0.2 | main-left trs-trs interface-2.line-1; mixer-small.main-right trs-trs interface-2.line-2 | none
            to the side that is used    | 0.2 | main-left trs-trs interface-2.line-1  | none
            away from the side used     | 0.2 | main-right trs-trs interface-2.line-2 | 7.2
            away from the left one      | 0.8 | main-left trs-trs interface-2.line-1  | 7.2
            in the centre               | 0.5 | main-right trs-trs interface-2.line-2 | none
            nearly in the centre        | 0.45 | main-right trs-trs interface-2.line-2 | none
            """)
    void what_is_recorded_in_mono_stands_in_the_centre(String what, double pan, String leads, Double lost) {
        Spot knob = Spot.read("mixer-small.pan-1");
        SetupLevels levels = levels(
                "mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; mixer-small." + leads,
                Settings.NONE.turned(Map.of(knob, pan)));
        Optional<Finding> found = finding(levels, "Dynamic", "level.panned");
        assertThat(found.isPresent()).as(what).isEqualTo(lost != null);
        found.ifPresent(finding -> {
            assertThat(finding.figure().value()).isCloseTo(lost, within(0.1));
            assertThat(finding.remedy().orElseThrow().turns()).containsExactly(Map.entry(knob.write(), 0.5));
        });
    }

    /** A pan pot is a wish: the advice leaves it, and makes up for it with the gain; nobody is asked where it stands. */
    @Test
    void advice_is_made_for_where_pan_pots_stand() {
        String line =
                "mic-dynamic-voice.out xlr-xlr mixer-small.mic-1; mixer-small.main-left trs-trs interface-2.line-1";
        SetupLevels centre = levels(line, Settings.NONE);
        SetupLevels left = levels(line, Settings.NONE.turned(Map.of(Spot.read("mixer-small.pan-1"), 0.0)));
        for (SetupLevels each : new SetupLevels[] {centre, left}) {
            FlowLevels then = FlowLevels.of(each.advised().followedOn(each.rig().flow()));
            assertThat(then.aimed(0)).isCloseTo(-15, within(1.5));
            assertThat(each.advised()
                            .of(Spot.read("mixer-small.pan-1"))
                            .orElseThrow()
                            .stays())
                    .isTrue();
        }
        assertThat(centre.isTurned(left.rig(), left.wanted())).isFalse();
        assertThat(levels(line + "; mixer-small.pan-1=right", Settings.NONE).traces())
                .isEmpty();
    }

    /**
     * The voice 7 dB over the piano: by hand, with tracks that peak at v and p dBFS, the piano's fader comes down by v − p − 7 … so that
     * its track at the fader lies 7 dB under the voice's; the higher of both faders stays at 0 dB.
     */
    @ParameterizedTest
    @CsvSource({"7", "0.5", "-3"})
    void separate_tracks_are_balanced_in_the_mix(double wish) {
        Settings settings = Settings.NONE.balanced("mic-dynamic-voice", wish);
        SetupLevels levels = levels(SEPARATE, settings);
        LaterMix mix = levels.wishedMixes().get(0);
        LaterMix.Fader voice = mix.of("mic-dynamic-voice").orElseThrow();
        LaterMix.Fader piano = mix.of("piano-digital").orElseThrow();
        assertThat(voice.peak()
                        + voice.gain().db()
                        - piano.peak()
                        - piano.gain().db())
                .isCloseTo(wish, within(1e-9));
        assertThat(Math.max(voice.gain().db(), piano.gain().db())).isZero();
        assertThat(finding(levels, "Dynamic", "level.balance").orElseThrow().text())
                .contains(mix.words());
        assertThat(levels(SEPARATE, Settings.NONE).wishedMixes()).isEmpty();
        assertThat(finding(levels(SEPARATE, Settings.NONE), "Dynamic", "level.balance"))
                .isEmpty();
        assertThat(levels(TWO + TO_INTERFACE, settings).laterMixes()).isEmpty();
    }

    /** Off is no matter, on is told, unknown is asked. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            camera-mic-in.auto=manual | none
            camera-mic-in.auto=automatic | weak
            none                   | note
            """)
    void an_automatic_level_is_switched_off(String standing, String severity) {
        SetupLevels levels = levels(
                "lavalier-camera.out camera-mic-in.mic" + (standing == null ? "" : "; " + standing), Settings.NONE);
        Optional<Finding> found = finding(levels, "Lavalier", "level.automatic");
        assertThat(found.map(finding -> finding.severity().word())).isEqualTo(Optional.ofNullable(severity));
        found.ifPresent(finding -> assertThat(finding.remedy().orElseThrow().words())
                .startsWith(
                        "Set the level control to “manual”. Where it cannot be, play evenly and send no more than −"));
    }
}
