package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.Random;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.levels.run.InputKind;
import kalodyne.core.levels.run.Run;
import kalodyne.core.testing.Runs;
import kalodyne.core.units.Level;
import org.junit.jupiter.api.Test;

class LevelPlanTest {
    /** By hand: +6 dBu, no loss, +12 dB of gain, 0 dBFS at +20 dBu. */
    @Test
    void adds_gains_along_the_run() {
        LevelPlan plan = LevelPlan.of(Runs.plain());
        assertThat(plan.stages())
                .extracting(stage -> Math.round(stage.peak().dbu()))
                .containsExactly(6L, 6L, 6L, 18L, 18L);
        assertThat(plan.endPeak()).isCloseTo(-2, within(1e-9));
        assertThat(plan.endAverage()).isCloseTo(-14, within(1e-9));
        assertThat(plan.miss().db()).isCloseTo(4, within(1e-9));
        assertThat(plan.last().headroom().orElseThrow().db()).isCloseTo(2, within(1e-9));
        assertThat(plan.nearestToClipping()).isEqualTo(plan.last());
    }

    /**
     * By hand, in volts: source −80 dBu raised by 12 dB is 308.4 µV; EIN −106 dBu raised by 12 dB is 15.46 µV; output noise
     * −94 dBu is 15.46 µV; the converter's −110 dBFS under +20 dBu is 24.50 µV (its 24 bits add nothing). Together 310.1 µV.
     */
    @Test
    void adds_noises_by_their_powers() {
        LevelPlan plan = LevelPlan.of(Runs.plain());
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
        assertThat(LevelPlan.of(strong).entering(1).peak().dbu()).isCloseTo(6 - 0.828, within(1e-3));
        assertThat(LevelPlan.of(weak).entering(1).peak().dbu()).isCloseTo(6 - 6.021, within(1e-3));
    }

    @Test
    void a_shut_volume_gives_silence_and_no_nonsense() {
        LevelPlan plan = LevelPlan.of(Runs.plain().turned(Map.of(Run.VOLUME, 0.0)));
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
        for (int i = 0; i < 2000; i++) {
            Run run = Runs.any(random);
            double volume = run.source().volume().map(v -> v.gain().ratio()).orElse(1.0);
            double load = run.input().impedance().ohms();
            double joint = load
                    / (load
                            + run.source().impedance().ohms()
                            + run.lead().resistance().ohms());
            double gain = run.input().gain().gain().ratio();
            double track = run.source().levels().peak().volts() * volume * joint * gain;
            double noise = Math.sqrt(square(run.source().levels().floor().volts() * volume * joint * gain)
                    + square(run.input().equivalentInputNoise().volts() * gain)
                    + square(run.input().outputNoise().volts())
                    + square(run.converter().totalNoise().volts()));
            LevelPlan plan = LevelPlan.of(run);
            assertThat(plan.last().peak().volts()).isCloseTo(track, within(1e-9 * track + 1e-30));
            assertThat(plan.last().floor().volts()).isCloseTo(noise, within(1e-9 * noise));
        }
    }

    @Test
    void every_kind_of_input_reports_its_stations() {
        for (InputKind kind : InputKind.values()) {
            Run run = Runs.plain()
                    .withInput(
                            Runs.input(kind, 10_000, Optional.empty(), Runs.knob("gain", Runs.linear(0, 40), 0), 24));
            assertThat(LevelPlan.of(run).stages().get(2).headroom()).isEmpty();
            assertThat(LevelPlan.of(run).trace().stations()).hasSize(4);
        }
        assertThat(new Level(3).above(new Level(1)).db()).isEqualTo(2);
    }

    private static double square(double x) {
        return x * x;
    }
}
