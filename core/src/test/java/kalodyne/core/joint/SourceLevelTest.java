package kalodyne.core.joint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Typed;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How loud a source is: what somebody said goes before what follows from something else, and that before what is usual. */
class SourceLevelTest {
    private static final String SYNTH = "synth-analogue.out ts-ts interface-4.line-3";
    private static final String MIC = "mic-condenser-large.out xlr-xlr interface-2.mic-1";

    private static SourceLevel of(String rig, String change) {
        Patch patch = Plugged.of(rig);
        for (String each : change == null ? new String[0] : change.split("; ", -1)) {
            patch = Typed.over(patch, each);
        }
        String[] first = rig.split(" ", -1)[0].split("\\.", -1);
        Device device = patch.devices().get(first[0]);
        Socket socket = device.socket(first[1]).orElseThrow();
        return SourceLevel.of(device, socket);
    }

    /**
     * By hand. A condenser of S mV/Pa gives 20·log₁₀(S/774.6) dBu at 94 dB SPL, and 16 dB more at the 110 dB of a loud voice at a hand's
     * length. A crest of 14 dB lies between peak and average. Its self noise of N dB(A) is N − 94 dB under what it gives at 94.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "none", textBlock = """
            told                       | synth-analogue.out ts-ts interface-4.line-3 | synth-analogue socket out loudestPeak=5 dBu | 5 | -4 | TOLD
            from its average           | synth-analogue.out ts-ts interface-4.line-3 | synth-analogue socket out loudestPeak=; synth-analogue socket out averageLevel=-10 dBu | 4 | -10 | DERIVED
            from its maximum           | synth-analogue.out ts-ts interface-4.line-3 | synth-analogue socket out loudestPeak= | 14 | 0 | DERIVED
            nothing known, line        | synth-analogue.out ts-ts interface-4.line-3 | synth-analogue socket out loudestPeak=; synth-analogue socket out maximumLevel= | 4 | -10 | TAKEN
            a microphone's sensitivity | mic-condenser-large.out xlr-xlr interface-2.mic-1 | mic-condenser-large socket out loudestPeak=; mic-condenser-large device micSensitivity=20 mV/Pa | -15.76 | -29.76 | DERIVED
            half as sensitive          | mic-condenser-large.out xlr-xlr interface-2.mic-1 | mic-condenser-large socket out loudestPeak=; mic-condenser-large device micSensitivity=10 mV/Pa | -21.78 | -35.78 | DERIVED
            nothing known, microphone  | mic-dynamic-voice.out xlr-xlr interface-2.mic-1 | mic-dynamic-voice socket out loudestPeak=; mic-dynamic-voice device micSensitivity= | -35 | -49 | TAKEN
            """)
    void what_is_known_best_counts(
            String what, String rig, String change, double peak, double average, SourceLevel.Basis basis) {
        SourceLevel level = of(rig, change);
        assertThat(level.levels().peak().dbu()).as(what).isCloseTo(peak, within(0.01));
        assertThat(level.levels().average().dbu()).as(what).isCloseTo(average, within(0.01));
        assertThat(level.basis()).as(what).isEqualTo(basis);
        assertThat(level.spread().db()).as(what).isEqualTo(basis == SourceLevel.Basis.TOLD ? 3 : 10);
    }

    /** Thermal noise of 1 kΩ over 20 kHz at 20 °C is √(4kTRB) = 0.569 µV: −122.7 dBu. */
    @Test
    void a_source_of_which_no_noise_is_known_hisses_as_its_resistance_does() {
        assertThat(of(SYNTH, "synth-analogue socket out ownNoise=")
                        .levels()
                        .floor()
                        .dbu())
                .isCloseTo(-122.7, within(0.1));
    }

    /** 20 mV/Pa is −31.76 dBu at 94 dB SPL; self noise of 14 dB(A) lies 80 dB below: −111.76 dBu, which its resistance hardly adds to. */
    @Test
    void self_noise_goes_through_the_sensitivity() {
        SourceLevel level = of(
                MIC,
                "mic-condenser-large device micSensitivity=20 mV/Pa; mic-condenser-large device selfNoise=14 dB(A);"
                        + " mic-condenser-large socket out sourceImpedance=50 Ω");
        assertThat(level.levels().floor().dbu()).isCloseTo(-111.76, within(0.05));
    }

    /** What cannot be is said, and the possible one is taken: nothing comes out of it that is no number. */
    @Test
    void contradictions_are_told_and_do_no_harm() {
        SourceLevel average = of(SYNTH, "synth-analogue socket out averageLevel=20 dBu");
        assertThat(average.isAverageTooHigh()).isTrue();
        assertThat(average.levels().average().dbu()).isEqualTo(8 - 14);
        SourceLevel noise = of(SYNTH, "synth-analogue socket out ownNoise=0 dBu");
        assertThat(noise.isNoiseTooHigh()).isTrue();
        assertThat(noise.levels().floor().compareTo(noise.levels().average())).isNegative();
        assertThat(of(SYNTH, null).isNoiseTooHigh()).isFalse();
        assertThat(of(SYNTH, null).isAverageTooHigh()).isFalse();
    }
}
