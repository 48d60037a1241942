package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.testing.Runs;
import kalodyne.core.testing.Runs.Run;
import kalodyne.core.units.Level;
import org.junit.jupiter.api.Test;

class LevelPlanTest {
    /** What the hand calculation leaves out: the lead's capacitance where nothing loads it, the resistance of contacts. */
    private static final double REST = 1e-3;

    /** By hand: +6 dBu, no loss, +12 dB of gain, 0 dBFS at +20 dBu. */
    @Test
    void adds_gains_along_the_run() {
        LevelPlan plan = Runs.plain().plan();
        assertThat(plan.stages())
                .extracting(stage -> Math.round(stage.peak().dbu()))
                .containsExactly(6L, 6L, 6L, 18L, 18L);
        assertThat(plan.endPeak()).isCloseTo(-2, within(REST));
        assertThat(plan.endAverage()).isCloseTo(-14, within(REST));
        assertThat(plan.miss().db()).isCloseTo(4, within(REST));
        assertThat(plan.last().headroom().orElseThrow().db()).isCloseTo(2, within(REST));
        assertThat(plan.nearestToClipping()).isEqualTo(plan.last());
    }

    /**
     * By hand, in volts: source −80 dBu raised by 12 dB is 308.4 µV; EIN −106 dBu raised by 12 dB is 15.46 µV; output noise
     * −94 dBu is 15.46 µV; the converter's −110 dBFS under +20 dBu is 24.50 µV (its 24 bits add nothing). Together 310.1 µV.
     */
    @Test
    void adds_noises_by_their_powers() {
        LevelPlan plan = Runs.plain().plan();
        assertThat(plan.last().floor().volts()).isCloseTo(310.1e-6, within(0.1e-6));
        assertThat(plan.endFloor()).isCloseTo(20 * Math.log10(310.1e-6 / 7.74597), within(0.005));
        assertThat(plan.stages().get(0).noiseShare()).isCloseTo(Math.pow(308.4 / 310.1, 2), within(1e-3));
        assertThat(plan.stages().stream().mapToDouble(StageLevel::noiseShare).sum())
                .isCloseTo(1, within(1e-9));
    }

    /** Common practice: a 1 kΩ output on a 10 kΩ input loses 0.83 dB; a 10 kΩ pickup on 10 kΩ loses half. */
    @Test
    void loses_level_by_loading() {
        Run run = Runs.plain();
        Run strong = run.withSource(Runs.source(6, -6, -80, 18, 1000, Optional.empty()));
        Run weak = run.withSource(Runs.source(6, -6, -80, 18, 10_000, Optional.empty()));
        assertThat(strong.plan().entering(1).peak().dbu()).isCloseTo(6 - 0.828, within(1e-3));
        assertThat(weak.plan().entering(1).peak().dbu()).isCloseTo(6 - 6.021, within(1e-3));
    }

    @Test
    void a_shut_volume_gives_silence_and_no_nonsense() {
        LevelPlan plan = Runs.plain().turned(Map.of(Runs.VOLUME, 0.0)).plan();
        assertThat(plan.endPeak()).isEqualTo(Double.NEGATIVE_INFINITY);
        assertThat(plan.endFloor()).isBetween(-120.0, -100.0);
        assertThat(plan.stages())
                .allSatisfy(stage -> assertThat(stage.noiseShare()).isBetween(0.0, 1.0));
        assertThat(LevelRules.check(plan, Adviser.advise(plan, Wanted.USUAL)))
                .isNotEmpty()
                .allSatisfy(finding -> {
                    assertThat(finding.title() + finding.text()).doesNotContain("NaN");
                });
    }

    /** A second way: the same in volts, stage by stage, with nothing of the program but its records. */
    @Test
    void agrees_with_plain_volts_for_any_run() {
        Random random = new Random(3);
        for (int i = 0; i < 500; i++) {
            Run run = Runs.any(random);
            double volume = run.source().volume().map(v -> v.gain().ratio()).orElse(1.0);
            double load = run.input().ohms();
            double both = load * run.source().ohms() / (load + run.source().ohms());
            double turn = 2 * Math.PI * 1000 * both * run.metres() * run.picofaradsPerMetre() * 1e-12;
            double joint = load / (load + run.source().ohms()) / Math.sqrt(1 + turn * turn);
            double gain = run.input().gain().gain().ratio();
            double track = volts(run.source().peak()) * volume * joint * gain;
            double fullScale = volts(run.fullScale());
            // The step of 24 bits re full scale as the RMS of a sine: 2^−23 · √2 / √12.
            double rounding = fullScale * Math.sqrt(2) / Math.sqrt(12) / (1 << 23);
            // A noise figure has the thermal noise of 150 Ω at 20 °C in it, over 20 kHz: √(4kTRB).
            double rated = 4 * 1.380649e-23 * 293.15 * 150 * 20_000;
            double noise = Math.sqrt(square(volts(run.source().floor()) * volume * joint * gain)
                    + (square(volts(run.input().ein())) - rated) * square(gain)
                    + square(volts(run.input().outputNoise()))
                    + square(fullScale * Math.pow(10, run.converterNoise() / 20))
                    + square(rounding));
            LevelPlan plan = run.plan();
            assertThat(plan.last().peak().volts()).isCloseTo(track, within(REST * track + 1e-30));
            assertThat(plan.last().floor().volts()).isCloseTo(noise, within(REST * noise));
        }
    }

    @Test
    void every_kind_of_input_reports_its_stations() {
        for (SignalKind kind : List.of(SignalKind.LINE, SignalKind.INSTRUMENT, SignalKind.MIC)) {
            Run run = Runs.plain()
                    .withInput(
                            Runs.input(kind, 10_000, Optional.empty(), Runs.knob("gain", Runs.linear(0, 40), 0), 24));
            assertThat(run.plan().stages().get(2).headroom()).isEmpty();
            assertThat(run.plan().trace().stations()).hasSize(4);
        }
        assertThat(new Level(3).above(new Level(1)).db()).isEqualTo(2);
    }

    private static double volts(double dbu) {
        return Math.sqrt(0.6) * Math.pow(10, dbu / 20);
    }

    private static double square(double x) {
        return x * x;
    }
}
