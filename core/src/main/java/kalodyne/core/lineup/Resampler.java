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

    /** So many taps are added up together. */
    private static final int TOGETHER = 4;

    private final Kernel kernel;
    private final int taps;
    private final double step;
    private final double[] weights;
    private final double[] middle;
    private final double[] end;
    private final float[] levels;
    private final float[] slopes;
    private final float[] bends;
    private final float[][] shifted = new float[TOGETHER][MOST_AT_ONCE];
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
        levels = new float[taps];
        slopes = new float[taps];
        bends = new float[taps];
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
     * @param intoFrom where the first is put
     */
    void read(double start, float[][] source, long sourceFrom, float[][] into, int intoFrom, int count) {
        int done = 0;
        while (done < count) {
            double at = start + done * step;
            double before = Math.floor(at);
            double place = at - before;
            int from = (int) ((long) before - sourceFrom) - taps / 2 + 1;
            int together = Math.min(count - done, together(place));
            if (together >= LEAST_AT_ONCE) {
                smooth(place, source, from, into, intoFrom + done, together);
                done += together;
            } else {
                kernel.weights(place, weights);
                for (int c = 0; c < into.length; c++) {
                    into[c][intoFrom + done] = (float) sum(source[c], from);
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
        for (int tap = 0; tap < taps; tap++) {
            levels[tap] = (float) weights[tap];
            slopes[tap] = (float) (4 * middle[tap] - 3 * weights[tap] - end[tap]);
            bends[tap] = (float) (2 * (weights[tap] + end[tap] - 2 * middle[tap]));
        }
        for (int c = 0; c < into.length; c++) {
            Arrays.fill(level, 0, count, 0);
            Arrays.fill(slope, 0, count, 0);
            Arrays.fill(bend, 0, count, 0);
            for (int tap = 0; tap < taps; tap += TOGETHER) {
                // Each in an array of its own, from its start: only so are many samples multiplied at once.
                for (int k = 0; k < TOGETHER; k++) {
                    System.arraycopy(source[c], from + tap + k, shifted[k], 0, count);
                }
                add(levels, tap, level, count);
                add(slopes, tap, slope, count);
                add(bends, tap, bend, count);
            }
            float share = 1f / (count - 1);
            for (int i = 0; i < count; i++) {
                float x = i * share;
                into[c][at + i] = level[i] + x * (slope[i] + x * bend[i]);
            }
        }
    }

    private void add(float[] of, int tap, float[] sums, int count) {
        add(
                sums,
                shifted[0],
                shifted[1],
                shifted[2],
                shifted[3],
                of[tap],
                of[tap + 1],
                of[tap + 2],
                of[tap + 3],
                count);
    }

    private static void add(
            float[] sums, float[] a, float[] b, float[] c, float[] d, float u, float v, float w, float x, int count) {
        for (int i = 0; i < count; i++) {
            sums[i] += u * a[i] + v * b[i] + w * c[i] + x * d[i];
        }
    }
}
