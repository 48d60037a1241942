package kalodyne.core.demo;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Random;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.sound.WavWriter;
import kalodyne.core.units.Gain;

/** A take as its run predicts it: its loudest peak, its noise and the converter's full scale are the plan's. */
final class MadeTake {
    private MadeTake() {}

    /**
     * Plays something into a run and writes what its converter makes of it.
     *
     * @param plan the run with its knobs as they stand
     * @param phrase what is played, at any level
     * @param louder how far the loudest peak lies above what the run's source is described with
     */
    static void record(LevelPlan plan, double[] phrase, Gain louder, Path file) throws IOException {
        int rate = plan.trace().sampleRateHz().orElseThrow();
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
}
