package kalodyne.core.levels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import kalodyne.core.gear.AudioTaper;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.SteppedTaper;
import kalodyne.core.levels.gain.Hindrance;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.testing.Runs;
import kalodyne.core.testing.Runs.Run;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;

class AdviserTest {
    /** By hand: +6 dBu wants −9 dBFS, +11 dBu: 5 dB of gain, 13/40 of ten hours after 7:00 = 10:15; the volume stays full. */
    @Test
    void brings_the_peak_into_the_middle_of_the_aim() {
        Advice advice = Runs.plain().advice();
        assertThat(advice.obstacle()).isEmpty();
        assertThat(advice.of(Runs.VOLUME).orElseThrow().stays()).isTrue();
        assertThat(advice.remedy().orElseThrow().words()).isEqualTo("Turn the gain on Interface from 12:00 to 10:15");
        assertThat(Runs.plain().turned(advice.positions()).plan().endPeak()).isCloseTo(-9, within(1e-3));
    }

    @Test
    void turns_a_source_down_that_would_distort_by_itself() {
        Run run = Runs.plain().withSource(Runs.source(20, 0, -80, 18, 0, volume()));
        Run advised = run.turned(run.advice().positions());
        assertThat(advised.plan().firstToClip()).isEmpty();
        assertThat(advised.source().volume().orElseThrow().gain().db()).isBetween(-4.0, -2.0);
    }

    @Test
    void turns_a_source_down_that_would_overload_the_socket() {
        Run run = Runs.plain()
                .withInput(Runs.input(
                        SignalKind.MIC, 3000, Optional.of(0.0), Runs.knob("gain", Runs.linear(0, 50), 0), 24));
        Run advised = run.turned(run.advice().positions());
        assertThat(advised.plan().firstToClip()).isEmpty();
        assertThat(advised.plan().miss().db()).isZero();
    }

    @Test
    void names_what_is_in_the_way() {
        Run run = Runs.plain();
        Run fixed = run.withSource(Runs.source(6, -6, -80, 18, 0, Optional.empty()));
        assertThat(obstacle(fixed, Runs.linear(10, 40), 24, 22)).hasValueSatisfying(obstacle -> {
            assertThat(obstacle.kind()).isEqualTo(Hindrance.Kind.TOO_HOT_AT_LOWEST);
            assertThat(obstacle.by().db()).isCloseTo(2, within(1e-3));
        });
        assertThat(obstacle(fixed, Runs.linear(-30, -10), 24, 22).map(Hindrance::kind))
                .contains(Hindrance.Kind.TOO_QUIET_AT_HIGHEST);
        assertThat(obstacle(fixed, Runs.linear(-8, 32), 24, 0).map(Hindrance::kind))
                .contains(Hindrance.Kind.OVERLOADED);
        assertThat(obstacle(fixed, Runs.linear(-8, 32), 4, 22).map(Hindrance::kind))
                .contains(Hindrance.Kind.CLIPS_BEFORE_AIM);
        Run loud = run.withSource(Runs.source(20, 0, -80, 18, 0, Optional.empty()));
        assertThat(loud.advice().obstacle().map(Hindrance::kind)).contains(Hindrance.Kind.OVERLOADED);
    }

    private static Optional<Hindrance> obstacle(
            Run run, kalodyne.core.gear.Taper taper, double ceiling, double socket) {
        return run.withInput(
                        Runs.input(SignalKind.LINE, 10_000, Optional.of(socket), Runs.knob("gain", taper, 0), ceiling))
                .advice()
                .obstacle();
    }

    /** The take came 14 dB louder than described, past the ceiling that the source was described with, and was whole. */
    @Test
    void believes_a_take_that_passes_the_described_ceiling() {
        Advice advice = Adviser.advise(Runs.plain().plan(), Wanted.USUAL, new Gain(14));
        assertThat(advice.remedy().orElseThrow().words())
                .isEqualTo("Turn the volume on Synth from 5:00 to 4:15 and the gain on Interface from 12:00 to 7:00");
    }

    @Test
    void follows_what_a_take_measured_rather_than_the_description() {
        Advice louder = Adviser.advise(Runs.plain().plan(), Wanted.USUAL, new Gain(5));
        assertThat(louder.of(Runs.GAIN).orElseThrow().advised().gain().db()).isCloseTo(0, within(1e-3));
    }

    /**
     * A second way: every pair of positions on a fine grid. Where one of them hits the aim and clips nothing, the advice
     * does too, and its signal stands as far above the noise as the best of them but for the rounding to what a hand sets.
     */
    @Test
    void does_as_well_as_trying_every_position() {
        Random random = new Random(17);
        int fitting = 0;
        for (int i = 0; i < 45; i++) {
            Run run = Runs.any(random);
            Optional<Double> best = bestMargin(run);
            Advice advice = run.advice();
            LevelPlan advised = run.turned(advice.positions()).plan();
            if (best.isEmpty()) {
                continue;
            }
            fitting++;
            assertThat(advice.obstacle()).as("run %s", run).isEmpty();
            assertThat(advised.firstToClip()).as("run %s", run).isEmpty();
            assertThat(advised.end().isTolerated(advised.aimed()))
                    .as("run %s", run)
                    .isTrue();
            // A quarter hour of the volume; between two clicks also the half of the aim that is kept free above.
            double rounding = run.input().gain().taper().isStepped() ? 5.5 : 2.5;
            assertThat(advised.last().noiseMargin().db()).as("run %s", run).isGreaterThan(best.get() - rounding);
        }
        assertThat(fitting).isGreaterThan(11);
    }

    private static Optional<Double> bestMargin(Run run) {
        Optional<Double> best = Optional.empty();
        int volumes = run.source().volume().isPresent() ? 60 : 0;
        LevelPlan start = run.plan();
        for (int v = 0; v <= volumes; v++) {
            for (int g = 0; g <= 160; g++) {
                LevelPlan plan = start.turned(
                        Map.of(Runs.VOLUME, volumes == 0 ? 1.0 : (double) v / volumes, Runs.GAIN, g / 160.0));
                boolean fits = plan.firstToClip().isEmpty() && plan.miss().db() == 0;
                double margin = plan.last().noiseMargin().db();
                if (fits && (best.isEmpty() || margin > best.get())) {
                    best = Optional.of(margin);
                }
            }
        }
        return best;
    }

    @Test
    void never_advises_a_click_that_clips() {
        Run run = Runs.plain()
                .withSource(Runs.source(6, -6, -80, 18, 0, Optional.empty()))
                .withInput(Runs.input(
                        SignalKind.LINE,
                        10_000,
                        Optional.empty(),
                        Runs.knob("gain", new SteppedTaper(List.of(new Gain(0), new Gain(6), new Gain(14))), 0),
                        11));
        // The middle of the aim is +11 dBu, where the stage clips too: 6 dB would pass it by 1 dB.
        assertThat(run.advice().of(Runs.GAIN).orElseThrow().advised().gain().db())
                .isZero();
    }

    @Test
    void lets_the_volume_do_what_lies_between_two_clicks() {
        Run run = Runs.plain()
                .withInput(Runs.input(
                        SignalKind.LINE,
                        10_000,
                        Optional.empty(),
                        Runs.knob("gain", new SteppedTaper(List.of(new Gain(-10), new Gain(20))), 0),
                        24));
        Advice advice = run.advice();
        assertThat(advice.obstacle()).isEmpty();
        assertThat(advice.of(Runs.GAIN).orElseThrow().advised().gain().db()).isEqualTo(20);
        assertThat(run.turned(advice.positions()).plan().miss().db()).isZero();
    }

    private static Optional<Control> volume() {
        return Optional.of(Runs.knob("volume", new AudioTaper(Gain.NONE), 1));
    }
}
