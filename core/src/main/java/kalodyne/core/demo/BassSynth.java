package kalodyne.core.demo;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.sound.WavWriter;
import kalodyne.core.units.Gain;

/**
 * A step-sequenced bass synth: a sawtooth through a low-pass that closes after each note, accents on some steps. It is
 * recorded as the run predicts: its loudest peak, its noise and the converter's full scale are the plan's.
 */
final class BassSynth {
    /** Sixteen steps; semitones above the lowest note, or a rest. */
    private static final int REST = -1;

    private static final int[] STEPS = {0, REST, 0, 12, REST, 0, 3, REST, 0, REST, 7, 12, REST, 5, 3, REST};
    private static final boolean[] ACCENTS = {
        true, false, false, false, false, false, true, false, false, false, false, true, false, false, false, false
    };
    private static final double LOWEST_NOTE_HZ = 55;
    private static final double STEP_SECONDS = 0.15;
    private static final double LEAD_IN_SECONDS = 0.8;
    private static final double SECONDS = 12;
    private static final double ACCENT = 1.0;
    private static final double PLAIN = 0.5;

    private final double rate;
    private double phase;
    private double firstPole;
    private double secondPole;

    private BassSynth(int sampleRateHz) {
        this.rate = sampleRateHz;
    }

    /**
     * Plays a phrase into a run and writes what its converter makes of it.
     *
     * @param plan the run with its knobs as they stand
     * @param louder how far the loudest peak lies above what the run's source is described with
     */
    static void record(LevelPlan plan, Gain louder, Path file) throws IOException {
        int rate = plan.trace().sampleRateHz().orElseThrow();
        double[] phrase = new BassSynth(rate).play();
        double peak = 0;
        for (double sample : phrase) {
            peak = Math.max(peak, Math.abs(sample));
        }
        double scale = new Gain(plan.endPeak()).plus(louder).ratio() / peak;
        // AES17: the noise is told re the RMS of a full-scale sine, 1/√2.
        double noise = new Gain(plan.endFloor()).ratio() / Math.sqrt(2);
        Random random = new Random(7);
        float[] samples = new float[phrase.length];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (phrase[i] * scale + random.nextGaussian() * noise);
        }
        WavWriter.writeMono(file, samples, rate);
    }

    private double[] play() {
        double[] phrase = new double[(int) (SECONDS * rate)];
        for (int i = 0; i < phrase.length; i++) {
            double at = i / rate - LEAD_IN_SECONDS;
            phrase[i] = at < 0 || i > phrase.length - rate ? fade(i, phrase.length) : step(at);
        }
        return phrase;
    }

    /** Silence before; after the last step the filter rings out. */
    private double fade(int i, int length) {
        return i > length - rate ? filtered(0, 80) : 0;
    }

    private double step(double at) {
        long count = (long) (at / STEP_SECONDS);
        int step = (int) (count % STEPS.length);
        double into = at - count * STEP_SECONDS;
        if (STEPS[step] == REST) {
            return filtered(0, 120);
        }
        phase = (phase + LOWEST_NOTE_HZ * Math.pow(2, STEPS[step] / 12.0) / rate) % 1;
        double swell = 0.75 + 0.25 * Math.sin(2 * Math.PI * at / 7.2);
        double size = (ACCENTS[step] ? ACCENT : PLAIN) * swell * Math.exp(-into * 5) * Math.min(1, into * 200);
        return filtered((2 * phase - 1) * size, 200 + 1500 * Math.exp(-into * 18) * size);
    }

    /** Two one-pole low-passes in a row. */
    private double filtered(double in, double cornerHz) {
        double share = 1 - Math.exp(-2 * Math.PI * cornerHz / rate);
        firstPole += share * (in - firstPole);
        secondPole += share * (firstPole - secondPole);
        return secondPole;
    }
}
