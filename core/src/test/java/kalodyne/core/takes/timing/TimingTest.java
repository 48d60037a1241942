package kalodyne.core.takes.timing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.WavWriter;
import kalodyne.core.testing.Tool;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Delays and tempos that are known because the takes are made here, or by SoX. */
class TimingTest {
    private static final int RATE = 48_000;

    @TempDir
    private Path folder;

    // --- round trip --------------------------------------------------------------------------------------------

    /** SoX makes the clicks and delays them; noise 30 dB under them comes back too. */
    @ParameterizedTest
    @CsvSource({"44100, 0", "44100, 556", "48000, 1", "48000, 912", "96000, 3001"})
    void a_loop_back_take_tells_the_samples(int rate, int delay) throws Exception {
        String clicks = folder.resolve("clicks.wav").toString();
        String back = folder.resolve("back.wav").toString();
        String both = folder.resolve("both.wav").toString();
        Tool.run(
                "sox",
                "-r",
                String.valueOf(rate),
                "-n",
                "-b",
                "24",
                clicks,
                "synth",
                "0.002",
                "whitenoise",
                "gain",
                "-6",
                "pad",
                "0.4",
                "0.6",
                "repeat",
                "7");
        Tool.run("sox", clicks, back, "pad", delay + "s@0", "gain", "-9");
        Tool.run("sox", "-M", clicks, back, both);
        RoundTrip.Reading reading = RoundTrip.read(Path.of(both), 0, 1, Progress.NONE);
        assertThat(reading.problem()).isEmpty();
        RoundTrip found = reading.found().orElseThrow();
        assertThat(found.samples()).isCloseTo(delay, within(0.1));
        assertThat(found.milliseconds()).isCloseTo(1000.0 * delay / rate, within(0.01));
        assertThat(found.isInverted()).isFalse();
        assertThat(found.likeness()).isGreaterThan(0.95);
    }

    @Test
    void upside_down_and_noisy_is_still_the_same() {
        Random random = new Random(3);
        double[] sent = new double[6 * RATE];
        double[] back = new double[6 * RATE];
        for (int at = RATE / 2; at < 5 * RATE; at += RATE) {
            for (int i = 0; i < 200; i++) {
                sent[at + i] = random.nextGaussian();
            }
        }
        for (int i = 0; i < back.length; i++) {
            back[i] = (i >= 700 ? -0.4 * sent[i - 700] : 0) + 0.004 * random.nextGaussian();
        }
        RoundTrip found = RoundTrip.of(sent, back, RATE).found().orElseThrow();
        assertThat(found.samples()).isCloseTo(700, within(0.1));
        assertThat(found.isInverted()).isTrue();
    }

    @Test
    void what_cannot_be_told_is_not_told() throws IOException {
        double[] tone = new double[4 * RATE];
        double[] late = new double[4 * RATE];
        double[] other = new double[4 * RATE];
        Random random = new Random(5);
        for (int i = 0; i < tone.length; i++) {
            tone[i] = Math.sin(2 * Math.PI * 440 * i / RATE);
            late[i] = Math.sin(2 * Math.PI * 440 * (i - 300.0) / RATE);
            other[i] = random.nextGaussian();
        }
        assertThat(RoundTrip.of(tone, late, RATE).problem()).contains("several delays");
        assertThat(RoundTrip.of(tone, other, RATE).problem()).contains("not what was played");
        assertThat(RoundTrip.of(new double[RATE], late, RATE).problem()).contains("silent");
        assertThat(RoundTrip.of(tone, new double[4 * RATE], RATE).problem()).contains("Nothing came back");
        Path mono = folder.resolve("mono.wav");
        WavWriter.writeMono(mono, new float[RATE], RATE);
        assertThat(RoundTrip.read(mono, 0, 1, Progress.NONE).problem()).contains("one channel");
        assertThat(RoundTrip.of(new double[0], new double[0], RATE).problem()).isNotEmpty();
    }

    // --- tempo -------------------------------------------------------------------------------------------------

    /** Four minutes of a drum part on sixteenths whose clock is off by so much. */
    private Path beats(double beatsPerMinute, double ppm, double jitterMilliseconds) throws IOException {
        Random random = new Random(11);
        float[] samples = new float[240 * RATE];
        double part = 60 / beatsPerMinute / 4 / (1 + ppm / 1e6);
        for (int number = 0; number * part < 238; number++) {
            boolean isPlayed = number % 4 == 0 || random.nextInt(3) == 0;
            if (isPlayed) {
                int at = (int) ((0.5 + number * part + jitterMilliseconds / 1000 * random.nextGaussian()) * RATE);
                for (int i = 0; i < RATE / 25; i++) {
                    samples[at + i] += (float) (Math.exp(-i / 300.0) * 0.6 * random.nextGaussian());
                }
            }
        }
        for (int i = 0; i < samples.length; i++) {
            samples[i] += (float) (0.0005 * random.nextGaussian());
        }
        Path file = folder.resolve("beats.wav");
        WavWriter.writeMono(file, samples, RATE);
        return file;
    }

    @ParameterizedTest
    @CsvSource({"120, 0, 0", "120, 250, 0", "97.5, -400, 0", "140, 100, 2", "174, -1500, 1"})
    void the_drift_against_the_clock_is_found(double tempo, double ppm, double jitter) throws IOException {
        BeatFit.Reading reading = BeatFit.read(beats(tempo, ppm, jitter), tempo, Progress.NONE);
        assertThat(reading.problem()).isEmpty();
        BeatFit fit = reading.found().orElseThrow();
        assertThat(fit.driftPpm()).isCloseTo(ppm, within(10.0));
        assertThat(fit.beatsPerMinute()).isCloseTo(tempo * (1 + ppm / 1e6), within(0.002));
        // Over the 237 s from the first beat to the last, ahead where it is faster.
        assertThat(fit.endMilliseconds()).isCloseTo(237_000 * ppm / 1e6, within(4.0));
        assertThat(fit.scatterMilliseconds()).isBetween(0.0, jitter + 1.5);
    }

    @Test
    void another_tempo_and_too_few_beats_say_so() throws IOException {
        Path file = beats(120, 0, 0);
        assertThat(BeatFit.read(file, 113, Progress.NONE).problem())
                .isEqualTo("It was played at about 120.0 beats a minute, not 113.");
        Path silent = folder.resolve("silent.wav");
        WavWriter.writeMono(silent, new float[RATE], RATE);
        assertThat(BeatFit.read(silent, 120, Progress.NONE).problem()).contains("too few beats");
    }
}
