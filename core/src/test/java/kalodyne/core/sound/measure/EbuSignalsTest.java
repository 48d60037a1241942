package kalodyne.core.sound.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The test signals of EBU Tech 3341 (loudness, true peak) and Tech 3342 (range), made here by their formulas; numbers and limits
 * from the documents' tables, from memory.
 */
class EbuSignalsTest {
    private static final int RATE = 48_000;

    /** A meter that is shown tones of 1 kHz at some level for some time, alike in each channel unless said. */
    private static final class Shown {
        private final LoudnessMeter meter;
        private final int channels;
        private final Random blocks = new Random(3);
        private long at;

        Shown(double... weights) {
            meter = new LoudnessMeter(RATE, weights);
            channels = weights.length;
        }

        Shown tone(double seconds, double... dbfs) {
            long frames = Math.round(seconds * RATE);
            for (long done = 0; done < frames; ) {
                int count = (int) Math.min(frames - done, 1 + blocks.nextInt(9_000));
                double[][] weighted = new double[channels][count];
                for (int c = 0; c < channels; c++) {
                    double peak = new Gain(dbfs[Math.min(c, dbfs.length - 1)]).ratio();
                    float[] samples = new float[count];
                    for (int i = 0; i < count; i++) {
                        samples[i] = (float) (peak * Math.sin(2 * Math.PI * 1_000 * (at + i) / RATE));
                    }
                    meter.weight(c, samples, weighted[c], count);
                }
                meter.accept(weighted, count);
                at += count;
                done += count;
            }
            return this;
        }

        Loudness loudness() {
            return meter.loudness();
        }
    }

    private static Shown stereo() {
        return new Shown(1, 1);
    }

    /** Level and seconds in turn. */
    private static Shown stereo(String levelsAndSeconds) {
        Shown shown = stereo();
        double[] numbers = Arrays.stream(levelsAndSeconds.split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        IntStream.range(0, numbers.length / 2).forEach(i -> shown.tone(numbers[2 * i + 1], numbers[2 * i]));
        return shown;
    }

    @ParameterizedTest(name = "Tech 3341, signal {0}")
    @CsvSource({
        "1, -23 20, -23",
        "2, -33 20, -33",
        "3, -36 10 -23 60 -36 10, -23",
        "4, -72 10 -36 10 -23 60 -36 10 -72 10, -23",
        "5, -26 20 -20 20.1 -26 20, -23"
    })
    void integrated_loudness(int number, String levels, double lufs) {
        Loudness loudness = stereo(levels).loudness();
        assertThat(loudness.integratedLufs().orElseThrow()).isCloseTo(lufs, within(0.1));
        if (number <= 2) {
            assertThat(loudness.maxMomentaryLufs().orElseThrow()).isCloseTo(lufs, within(0.1));
            assertThat(loudness.maxShortTermLufs().orElseThrow()).isCloseTo(lufs, within(0.1));
        }
    }

    @Test
    void tech_3341_signal_6_surround() {
        Loudness loudness =
                new Shown(1, 1, 1, 1.41, 1.41).tone(20, -28, -28, -24, -30, -30).loudness();
        assertThat(loudness.integratedLufs().orElseThrow()).isCloseTo(-23, within(0.1));
    }

    @Test
    void tech_3341_signals_9_and_12_short_term_and_momentary() {
        Shown nine = stereo();
        IntStream.range(0, 5).forEach(i -> nine.tone(1.34, -20).tone(1.66, -30));
        assertThat(nine.loudness().maxShortTermLufs().orElseThrow()).isCloseTo(-23, within(0.1));
        Shown twelve = stereo();
        IntStream.range(0, 25).forEach(i -> twelve.tone(0.18, -20).tone(0.22, -30));
        assertThat(twelve.loudness().maxMomentaryLufs().orElseThrow()).isCloseTo(-23, within(0.1));
    }

    @ParameterizedTest(name = "Tech 3341, signals 10 and 13, shift {0}")
    @CsvSource({"0", "1", "7", "13", "19"})
    void maxima_wherever_they_begin(int shift) {
        Loudness ten =
                stereo().tone(0.15 * shift, -200).tone(3, -23).tone(1, -200).loudness();
        assertThat(ten.maxShortTermLufs().orElseThrow()).isCloseTo(-23, within(0.1));
        Loudness thirteen =
                stereo().tone(0.02 * shift, -200).tone(0.4, -23).tone(1, -200).loudness();
        assertThat(thirteen.maxMomentaryLufs().orElseThrow()).isCloseTo(-23, within(0.1));
    }

    @ParameterizedTest(name = "Tech 3341, signal {0}")
    @CsvSource({
        "15, 4, 0, 0.5, -6",
        "16, 4, 45, 0.5, -6",
        "17, 6, 60, 0.5, -6",
        "18, 8, 67.5, 0.5, -6",
        "19, 4, 45, 1.41, 3"
    })
    void true_peak(int number, int part, double degrees, double height, double dbtp) {
        TruePeakMeter meter = new TruePeakMeter();
        float[] samples = new float[RATE];
        for (int i = 0; i < samples.length; i++) {
            // Faded in and out, so that switching it on is no peak of its own.
            double fade = Math.min(1, Math.min(i, samples.length - i) / 2_000.0);
            samples[i] = (float) (fade * height * Math.sin(2 * Math.PI * i / part + Math.toRadians(degrees)));
        }
        meter.accept(samples, samples.length);
        assertThat(Gain.ofRatio(meter.peak()).db()).isBetween(dbtp - 0.4, dbtp + 0.2);
    }

    @ParameterizedTest(name = "Tech 3342, signal {0}")
    @CsvSource({
        "1, -20 20 -30 20, 10",
        "2, -20 20 -15 20, 5",
        "3, -40 20 -20 20, 20",
        "4, -50 20 -35 20 -20 20 -35 20 -50 20, 15"
    })
    void range(int number, String levels, double lu) {
        assertThat(stereo(levels).loudness().rangeLu().orElseThrow()).isCloseTo(lu, within(1.0));
    }

    /** A second way for the short cut: every place between samples looked at, in noise and in music-like bursts. */
    @Test
    void passing_over_small_stretches_misses_no_peak() {
        Random random = new Random(11);
        for (int n = 0; n < 20; n++) {
            float[] samples = new float[3_000 + random.nextInt(300)];
            double decay = 200 + random.nextInt(2_000);
            double last = 0;
            for (int i = 0; i < samples.length; i++) {
                double noise = random.nextGaussian() * Math.exp(-(i % 1_100) / decay);
                samples[i] = (float) (noise + last);
                last = noise;
            }
            TruePeakMeter whole = new TruePeakMeter();
            whole.accept(samples, samples.length);
            assertThat(whole.peak()).isCloseTo(bandLimitedPeak(samples), within(0.03 * whole.peak()));
        }
    }

    /** By a sinc of 200 samples to both sides, a quarter of a sample apart. */
    private static double bandLimitedPeak(float[] samples) {
        double peak = 0;
        for (int place = 0; place < 4 * samples.length; place++) {
            double at = place / 4.0;
            double sum = 0;
            for (int i = Math.max(0, (int) at - 200); i < Math.min(samples.length, (int) at + 200); i++) {
                double distance = at - i;
                sum += samples[i] * (distance == 0 ? 1 : Math.sin(Math.PI * distance) / (Math.PI * distance));
            }
            peak = Math.max(peak, Math.abs(sum));
        }
        return peak;
    }

    /** ITU-R BS.1770-5, tables 1 and 2: the coefficients at 48 kHz, by what they do to an impulse. */
    @Test
    void weighting_is_the_standards_at_48_kilohertz() {
        double[] ours = new double[64];
        float[] impulse = new float[64];
        impulse[0] = 1;
        new KWeighting(RATE).filter(impulse, ours, ours.length);
        double[] theirs = new double[64];
        Biquad shelf =
                new Biquad(1.53512485958697, -2.69169618940638, 1.19839281085285, -1.69065929318241, 0.73248077421585);
        shelf.filterInto(new Biquad(1, -2, 1, -1.99004745483398, 0.99007225036621), impulse, theirs, theirs.length);
        assertThat(ours).usingComparatorWithPrecision(1e-9).containsExactly(theirs);
    }
}
