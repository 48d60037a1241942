package kalodyne.core.recording;

import java.util.Random;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.units.Gain;

/**
 * What a run makes of a sound, with its controls where they stand: every stage cuts off what it cannot take, all of it is raised or lowered
 * to the level of the track, and noise and hum are added as predicted.
 */
final class SimulatedRun {
    private static final double MAINS_HZ = 50;

    /** The multiples of the mains as a loop carries them, by their size: mostly the first odd ones, and some of the even. */
    private static final int[] HARMONICS = {1, 2, 3, 5, 7, 9};

    private static final double[] SIZES = {1, 0.35, 0.5, 0.25, 0.12, 0.08};

    private final double ceiling;
    private final double scale;
    private final double noise;
    private final double hum;
    private final double steps;

    /**
     * Takes the numbers of a plan.
     *
     * @param humDbfs of the joints, re a full-scale sine; −∞ where there is none
     */
    SimulatedRun(LevelPlan plan, double humDbfs, int bits) {
        // The converter cuts off what the noise has been added to.
        ceiling = plan.stages().stream()
                .filter(stage -> !stage.equals(plan.last()))
                .flatMap(stage -> stage.headroom().stream())
                .mapToDouble(Gain::ratio)
                .min()
                .orElse(Double.POSITIVE_INFINITY);
        scale = new Gain(plan.endPeak()).ratio();
        noise = rms(plan.endFloor());
        hum = rms(humDbfs) / norm();
        steps = Math.pow(2, bits - 1.0);
    }

    /** RMS with full scale 1, of a level that is told re the RMS of a full-scale sine (AES17). */
    private static double rms(double dbfs) {
        return new Gain(dbfs).ratio() / Math.sqrt(2);
    }

    private static double norm() {
        double sum = 0;
        for (double size : SIZES) {
            sum += size * size / 2;
        }
        return Math.sqrt(sum);
    }

    /**
     * A sample as it comes out of the converter, full scale 1.
     *
     * @param played with 1 for the loudest that is described
     */
    float heard(double played, double seconds, Random random) {
        double x = Math.max(-ceiling, Math.min(ceiling, played)) * scale + noise * random.nextGaussian();
        if (hum > 0) {
            for (int i = 0; i < HARMONICS.length; i++) {
                x += hum * SIZES[i] * Math.sin(2 * Math.PI * MAINS_HZ * HARMONICS[i] * seconds + i);
            }
        }
        return (float) (Math.max(-steps, Math.min(steps - 1, Math.rint(x * steps))) / steps);
    }
}
