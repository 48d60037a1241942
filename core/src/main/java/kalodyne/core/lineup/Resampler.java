package kalodyne.core.lineup;

import java.util.Arrays;

/** Makes samples at other moments than those that were recorded, as the sound went between them. Not for several threads at once. */
final class Resampler {
    /**
     * While the place between two samples moves by less than this, the weights bend like a parabola, to better than −130 dB. So many
     * samples are then made at once, which processors do many times as fast.
     */
    private static final double SMOOTH = 0.016;

    private static final int MOST_AT_ONCE = 512;
    /** For fewer it does not pay. */
    private static final int LEAST_AT_ONCE = 24;

    private final Kernel kernel;
    private final int taps;
    private final double step;
    private final double[] weights;
    private final double[] middle;
    private final double[] end;
    private final float[] level = new float[MOST_AT_ONCE];
    private final float[] slope = new float[MOST_AT_ONCE];
    private final float[] bend = new float[MOST_AT_ONCE];

    /**
     * Reads at equal steps.
     *
     * @param step from one sample of what is written to the next, in samples of what is read
     */
    Resampler(Kernel kernel, double step) {
        this.kernel = kernel;
        this.step = step;
        taps = kernel.taps();
        weights = new double[taps];
        middle = new double[taps];
        end = new double[taps];
    }

    /** How many samples it needs before and behind a moment. */
    int reach() {
        return taps / 2;
    }

    /**
     * Fills in samples of all channels.
     *
     * @param start the moment of the first, in samples of the source, counted from its beginning
     * @param source samples of the source; long enough to both sides, by {@link #reach}
     * @param sourceFrom which sample of the source the first of these is
     */
    void read(double start, float[][] source, long sourceFrom, float[][] into, int count) {
        int done = 0;
        while (done < count) {
            double at = start + done * step;
            double before = Math.floor(at);
            double place = at - before;
            int from = (int) ((long) before - sourceFrom) - taps / 2 + 1;
            int together = Math.min(count - done, together(place));
            if (together >= LEAST_AT_ONCE) {
                smooth(place, source, from, into, done, together);
                done += together;
            } else {
                kernel.weights(place, weights);
                for (int c = 0; c < into.length; c++) {
                    into[c][done] = (float) sum(source[c], from);
                }
                done++;
            }
        }
    }

    /** How many samples have nearly the same place between their neighbours, each one sample further. */
    private int together(double place) {
        double moves = step - 1;
        if (moves == 0) {
            return MOST_AT_ONCE;
        }
        double room = moves > 0 ? 1 - place : place;
        return (int) Math.min(MOST_AT_ONCE, Math.min(SMOOTH, room) / Math.abs(moves));
    }

    /** In four sums, which a processor adds up side by side. */
    private double sum(float[] samples, int from) {
        double a = 0;
        double b = 0;
        double c = 0;
        double d = 0;
        for (int tap = 0; tap < taps; tap += 4) {
            a += weights[tap] * samples[from + tap];
            b += weights[tap + 1] * samples[from + tap + 1];
            c += weights[tap + 2] * samples[from + tap + 2];
            d += weights[tap + 3] * samples[from + tap + 3];
        }
        return a + b + (c + d);
    }

    /** The parabola through the weights at the beginning, in the middle and at the end, for each tap. */
    private void smooth(double place, float[][] source, int from, float[][] into, int at, int count) {
        double last = place + (count - 1) * (step - 1);
        kernel.weights(place, weights);
        kernel.weights(0.5 * (place + last), middle);
        kernel.weights(last, end);
        for (int c = 0; c < into.length; c++) {
            Arrays.fill(level, 0, count, 0);
            Arrays.fill(slope, 0, count, 0);
            Arrays.fill(bend, 0, count, 0);
            for (int tap = 0; tap < taps; tap++) {
                float first = (float) weights[tap];
                float rises = (float) (4 * middle[tap] - 3 * weights[tap] - end[tap]);
                float bends = (float) (2 * (weights[tap] + end[tap] - 2 * middle[tap]));
                add(source[c], from + tap, first, rises, bends, count);
            }
            float share = 1f / (count - 1);
            for (int i = 0; i < count; i++) {
                float x = i * share;
                into[c][at + i] = level[i] + x * (slope[i] + x * bend[i]);
            }
        }
    }

    private void add(float[] samples, int from, float first, float rises, float bends, int count) {
        for (int i = 0; i < count; i++) {
            float sample = samples[from + i];
            level[i] += first * sample;
            slope[i] += rises * sample;
            bend[i] += bends * sample;
        }
    }
}
