package kalodyne.desktop.takes;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.atomic.AtomicLong;
import kalodyne.core.demo.Boathouse;
import kalodyne.desktop.model.PlanModel;
import kalodyne.desktop.model.SheetModel;
import kalodyne.desktop.model.TakesModel;
import kalodyne.desktop.testing.Models;
import kalodyne.desktop.testing.Tones;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What takes say of time, of takes that are written down by formula. */
class TimingModelTest {
    private static final int RATE = 48_000;

    @TempDir
    Path folder;

    private Models models;
    private TakesModel takes;
    private PlanModel plan;
    private TimingModel timing;

    @BeforeEach
    void open() throws IOException {
        models = Models.on(folder.resolve("mine.kalodyne"), Boathouse.studio());
        models.studio().showRun("bass-synth.out>interface.adc-3");
        takes = new TakesModel(models.studio(), models.jobs(), Models.CLOCK);
        SheetModel sheet = new SheetModel(models.studio(), Models.CLOCK, new AtomicLong()::get);
        sheet.look();
        plan = new PlanModel(models.studio(), sheet);
        timing = new TimingModel(takes, plan, models.jobs());
    }

    @AfterEach
    void close() {
        models.close();
    }

    /** Noise on the left, and the same so many samples later on the right, upside down by choice. */
    private void loopBack(int samples, int sign) throws IOException {
        Random random = new Random(5);
        double[] noise = new double[6 * RATE];
        for (int i = RATE; i < 5 * RATE; i++) {
            noise[i] = 0.1 * random.nextGaussian();
        }
        takes.add(Tones.write(
                folder.resolve("takes/loop.wav"),
                6,
                at -> noise[(int) Math.round(at * RATE)],
                at -> sign * 0.7 * noise[Math.max(0, (int) Math.round(at * RATE) - samples)]));
        models.tell();
    }

    /** 720 samples are 15 ms: as late as from 5.1 m away at 343 m/s. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            720 | 1  | 15.00 ms, 720.0 samples: as late as from 5.1 m away. Players feel that: hear yourself directly, not through the computer.
            720 | -1 | 15.00 ms, 720.0 samples: as late as from 5.1 m away. Players feel that: hear yourself directly, not through the computer. It comes back inverted.
            144 | 1  | 3.00 ms, 144.0 samples: as late as from 1.0 m away. Most players do not feel that.
            """)
    void a_round_trip_is_told_and_kept(int samples, int sign, String words) throws IOException {
        loopBack(samples, sign);
        assertThat(timing.take()).contains("Take 1");
        assertThat(timing.channels()).isEqualTo(2);
        timing.measureTrip(0, 1);
        assertThat(timing.tripProperty().get()).isEqualTo("Looking…");
        models.tell();
        assertThat(timing.tripProperty().get()).isEqualTo(words);
        assertThat(timing.canKeep()).isTrue();
        timing.keepTrip();
        assertThat(models.studio().setup().sessionPlan().roundTripMilliseconds().orElseThrow())
                .isBetween(samples / 48.0 - 0.01, samples / 48.0 + 0.01);
    }

    @Test
    void two_channels_that_are_strangers_are_told_so() throws IOException {
        takes.add(Tones.write(
                folder.resolve("takes/strangers.wav"), 4, at -> 0.2 * Math.sin(2 * Math.PI * 440 * at), at -> 0));
        models.tell();
        timing.measureTrip(0, 1);
        models.tell();
        assertThat(timing.tripProperty().get()).isNotBlank().doesNotContain(" ms, ");
        assertThat(timing.canKeep()).isFalse();
    }

    /** At 120 a minute in step; at 120.6 half a per cent ahead of a clock of 120. */
    @ParameterizedTest
    @CsvSource({"120, in step with the clock to its end", "120.02, ahead of the clock"})
    void a_tempo_is_kept_or_not(double played, String words) throws IOException {
        takes.add(Tones.beats(folder.resolve("takes/beats.wav"), 60, played));
        models.tell();
        timing.measureTempo(120);
        models.tell();
        assertThat(timing.tempoProperty().get()).contains(" beats a minute: ", words, "Told from ");
    }

    @Test
    void without_a_take_nothing_is_looked_for() {
        timing.measureTempo(120);
        timing.measureTrip(0, 1);
        assertThat(timing.tempoProperty().get()).isEqualTo("No take is shown.");
        assertThat(timing.tripProperty().get()).isEqualTo("No take is shown.");
        assertThat(timing.take()).isEmpty();
        assertThat(timing.channels()).isZero();
        plan.tempo("118");
        assertThat(timing.planned()).hasValue(118);
    }
}
