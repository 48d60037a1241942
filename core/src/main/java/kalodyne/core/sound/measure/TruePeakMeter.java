package kalodyne.core.sound.measure;

import java.util.Arrays;

/**
 * The highest point of the wave between its samples, by interpolating three values between each two (ITU-R BS.1770-5,
 * Annex 2: oversampling by four). A stretch whose samples are so small that no value between them can be a new highest one
 * is passed over; that is exact and saves nearly all of the work.
 *
 * <p>Reads too low by 0.17 dB at the most for sound up to a quarter of the sample rate, 0.69 dB at half of it.
 */
public final class TruePeakMeter {
    private static final int STRETCH = 128;
    private static final int TAPS = 32;
    private static final int BETWEEN = 3;
    private static final double KAISER_BETA = 6;

    /** Weight of each sample round the place between two, for the places a quarter, a half and three quarters on. */
    private static final float[][] WEIGHTS = weights();

    /** The most that a value between samples can exceed the largest of them. */
    private static final float MOST_EXCESS = mostExcess();

    private final float[] line = new float[TAPS - 1 + STRETCH];
    private final float[] values = new float[STRETCH];
    private int filled;
    private float peak;

    public void accept(float[] samples, int count) {
        int at = 0;
        while (at < count) {
            int taken = Math.min(count - at, line.length - filled);
            System.arraycopy(samples, at, line, filled, taken);
            filled += taken;
            at += taken;
            if (filled == line.length) {
                measure(STRETCH);
                System.arraycopy(line, STRETCH, line, 0, TAPS - 1);
                filled = TAPS - 1;
            }
        }
    }

    /** The highest point. Where the sound begins or ends in a jump, the jump is taken for a cut and not for a peak. */
    public double peak() {
        Arrays.fill(line, filled, line.length, 0);
        measure(Math.max(0, filled - (TAPS - 1)));
        return peak;
    }

    private void measure(int places) {
        float largest = largest(line, line.length);
        peak = Math.max(peak, largest);
        if (largest * MOST_EXCESS <= peak) {
            return;
        }
        for (float[] weights : WEIGHTS) {
            interpolate(weights, places);
            peak = Math.max(peak, largest(values, places));
        }
    }

    private static float largest(float[] samples, int count) {
        float most = 0;
        float least = 0;
        for (int i = 0; i < count; i++) {
            float x = samples[i];
            if (x > most) {
                most = x;
            } else if (x < least) {
                least = x;
            }
        }
        return Math.max(most, -least);
    }

    /** Four weights after four over all places, so that many places are summed at once. */
    private void interpolate(float[] weights, int places) {
        Arrays.fill(values, 0, places, 0);
        for (int tap = 0; tap < TAPS; tap += 4) {
            float a = weights[tap];
            float b = weights[tap + 1];
            float c = weights[tap + 2];
            float d = weights[tap + 3];
            for (int i = 0; i < places; i++) {
                values[i] += a * line[tap + i] + b * line[tap + 1 + i] + c * line[tap + 2 + i] + d * line[tap + 3 + i];
            }
        }
    }

    private static float[][] weights() {
        float[][] weights = new float[BETWEEN][TAPS];
        for (int place = 0; place < BETWEEN; place++) {
            double[] exact = new double[TAPS];
            double sum = 0;
            for (int tap = 0; tap < TAPS; tap++) {
                double distance = tap - (TAPS / 2 - 1) - (place + 1) / (BETWEEN + 1.0);
                exact[tap] = Math.sin(Math.PI * distance)
                        / (Math.PI * distance)
                        * Windows.kaiser(distance / (TAPS / 2.0), KAISER_BETA);
                sum += exact[tap];
            }
            for (int tap = 0; tap < TAPS; tap++) {
                weights[place][tap] = (float) (exact[tap] / sum);
            }
        }
        return weights;
    }

    private static float mostExcess() {
        float most = 1;
        for (float[] weights : WEIGHTS) {
            float sum = 0;
            for (float weight : weights) {
                sum += Math.abs(weight);
            }
            most = Math.max(most, sum);
        }
        return most;
    }
}
