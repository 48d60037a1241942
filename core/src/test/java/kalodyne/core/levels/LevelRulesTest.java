package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.levels.gain.Hindrance;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.testing.Runs;
import kalodyne.core.testing.Runs.Run;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class LevelRulesTest {
    private static Run gain(double db) {
        Run run = Runs.plain();
        return run.turned(Map.of(Runs.GAIN, run.input().gain().taper().positionFor(new Gain(db))));
    }

    private static Run mic(double peak) {
        return gain(5).withSource(Runs.source(peak, peak - 12, -130, 18, 200, Optional.empty()))
                .withInput(Runs.input(
                        SignalKind.MIC, 3000, Optional.empty(), Runs.knob("gain", Runs.linear(0, 60), 0.5), 24));
    }

    private static Run noise(double floor, double ein) {
        Run run = gain(5).withSource(Runs.source(6, -6, floor, 18, 0, Optional.empty()));
        return run.withInput(run.input().withNoise(ein));
    }

    /** Each rule: a run it must report with its severity, and a near miss that it must not. */
    static Stream<Arguments> cases() {
        return Stream.of(
                Arguments.of("level.clips", Severity.WRONG, gain(14.5), gain(13.5)),
                Arguments.of("level.hot", Severity.WRONG, gain(12), gain(7.5)),
                Arguments.of("level.hot", Severity.WEAK, gain(9), gain(14.5)),
                Arguments.of("level.low", Severity.WEAK, gain(-2), gain(-0.5)),
                Arguments.of("noise.high", Severity.WEAK, noise(-40, -106), noise(-50, -106)),
                Arguments.of("level.no-fit", Severity.WRONG, mic(-70), mic(-34)));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void reports_the_case_and_not_the_near_miss(String code, Severity severity, Run wrong, Run nearMiss) {
        assertThat(of(code, wrong)).map(Finding::severity).contains(severity);
        assertThat(of(code, nearMiss)).isEmpty();
    }

    private static Optional<Finding> of(String code, Run run) {
        return findings(run).stream()
                .filter(finding -> finding.mark().equals(code))
                .findFirst();
    }

    private static List<Finding> findings(Run run) {
        return LevelRules.check(run.plan(), run.advice());
    }

    @Test
    void worst_comes_first_and_the_caution_is_always_there() {
        for (Run run : List.of(gain(5), gain(20), mic(4))) {
            List<Finding> findings = findings(run);
            assertThat(findings).extracting(Finding::severity).isSorted();
            assertThat(findings).extracting(Finding::mark).contains("caution.plugging");
        }
    }

    /** The wording of each finding with its numbers, once. */
    @Test
    void words_its_numbers() {
        Function<Run, String> hot = run -> of("level.hot", run).orElseThrow().text();
        assertThat(hot.apply(gain(12)))
                .isEqualTo("2.0 dB are left above the loudest peak, 4.0 dB less than the aim keeps free.");
        assertThat(of("level.clips", gain(16)).orElseThrow())
                .returns("Cut off at the converter", Finding::title)
                .returns(
                        "The loudest peaks are 2.0 dB above what it can take. What is cut off cannot be repaired afterwards.",
                        Finding::text);
        assertThat(of("noise.origin", gain(12)).orElseThrow().title())
                .isEqualTo("Most noise comes from Synth, line out");
        assertThat(of("level.hot", gain(12))
                        .orElseThrow()
                        .remedy()
                        .orElseThrow()
                        .words())
                .isEqualTo("Turn the gain on Interface from 12:00 to 10:15");
    }

    /** What is in the way, why, and the cure, once each. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            OVERLOADED           | synth.out | 2    | The source itself distorts: its loudest peak is 2.0 dB above what it can give. | Play softer, or correct the values of the source
            TOO_HOT_AT_LOWEST    | interface.adc | 2    | With every knob at its lowest it is still 2.0 dB above the aim. | Make the source softer; for a line source a pad of 10 dB does it, or an input that takes more
            OVERLOADED           | interface.in | 10.5 | Interface, socket 3 is overloaded by 10.5 dB, even with everything before it turned right down. | Make the source softer; for a line source a pad of 20 dB does it, or an input that takes more
            TOO_QUIET_AT_HIGHEST | interface.adc | 4.2  | With every knob at its highest it still lacks 4.2 dB. | Add 5 dB before socket 3 with a preamp or booster, or use a louder output
            CLIPS_BEFORE_AIM     | interface.pre | 3.1  | Interface, preamp distorts 3.1 dB before the aim is reached. | Aim lower by 4 dB, or use another input
            """)
    void names_the_cure_for_each_obstacle(Hindrance.Kind kind, String point, double by, String reason, String cure) {
        Hindrance obstacle = new Hindrance(kind, PointId.read(point), "", new Gain(by), List.of());
        Finding finding = new NoFitRule()
                .check(Runs.plain().plan(), new Advice(List.of(), Optional.of(obstacle)))
                .orElseThrow();
        assertThat(finding.text()).isEqualTo(reason);
        assertThat(finding.remedy().orElseThrow().words()).isEqualTo(cure);
    }

    /** A microphone of 2 mV/Pa at 94 dB SPL gives −51.8 dBu: 60 dB of gain reach +8 dBu, 3 dB short of −9 dBFS at +20 dBu. */
    @Test
    void a_sentence_says_the_case_and_the_next_step() {
        assertThat(verdict(gain(12)))
                .isEqualTo(new LevelVerdict(
                        "Loudest peaks reach −2.0 dBFS: 4.0 dB too hot",
                        "Turn the gain on Interface from 12:00 to 10:15, then play the loudest part"));
        assertThat(verdict(gain(5)).sentence()).isEqualTo("Loudest peaks reach −9.0 dBFS: right in the aim");
        assertThat(verdict(gain(5)).nextStep()).isEqualTo("Record a test take of the loudest part");
        assertThat(verdict(gain(16)).sentence()).isEqualTo("Loudest peaks would reach +2.0 dBFS: cut off");
        Run narrow = gain(12).withFullScale(40);
        assertThat(verdict(narrow.turned(Map.of(Runs.GAIN, 1.0))).sentence())
                .isEqualTo("Interface, preamp distorts: 14.0 dB too loud for it");
        assertThat(verdict(mic(-90)).nextStep()).startsWith("Turn the gain on Interface from 12:00 to 5:00");
    }

    private static LevelVerdict verdict(Run run) {
        return LevelVerdict.of(run.plan(), run.advice(), Optional.empty());
    }
}
