package kalodyne.core.lineup;

import java.util.Arrays;

/** How much a recording swells, step by step, in each of a few bands. */
final class SwellTrack {
    static final int BANDS = 6;
    /** Of the natural logarithm of a ratio of powers. */
    private static final float UNITS = 24;

    private final byte[][] bands;
    private int steps;

    SwellTrack() {
        bands = new byte[BANDS][1 << 12];
    }

    /** Adds the next step. */
    void add(float[] logarithms) {
        if (steps == bands[0].length) {
            for (int b = 0; b < BANDS; b++) {
                bands[b] = Arrays.copyOf(bands[b], 2 * steps);
            }
        }
        for (int b = 0; b < BANDS; b++) {
            bands[b][steps] = (byte) Math.min(Byte.MAX_VALUE, Math.max(0, UNITS * logarithms[b]));
        }
        steps++;
    }

    int steps() {
        return steps;
    }

    /** From 0 on, in units of no meaning; 0 outside. */
    int swell(int band, int step) {
        return step < 0 || step >= steps ? 0 : bands[band][step];
    }

    double mean(int band) {
        long sum = 0;
        for (int i = 0; i < steps; i++) {
            sum += bands[band][i];
        }
        return steps == 0 ? 0 : (double) sum / steps;
    }

    /** Where, in a range of steps, the stretch of a length begins that swells the most. */
    int liveliest(int from, int to, int length) {
        long sum = 0;
        for (int i = from; i < from + length; i++) {
            sum += all(i);
        }
        long most = sum;
        int best = from;
        for (int start = from + 1; start <= to; start++) {
            sum += all(start + length - 1) - all(start - 1);
            if (sum > most) {
                most = sum;
                best = start;
            }
        }
        return best;
    }

    private int all(int step) {
        int sum = 0;
        for (int band = 0; band < BANDS; band++) {
            sum += swell(band, step);
        }
        return sum;
    }

    /** Whether nothing ever swells in it: it is silent, or shorter than a few steps. */
    boolean isFlat() {
        for (byte[] band : bands) {
            for (int i = 0; i < steps; i++) {
                if (band[i] != 0) {
                    return false;
                }
            }
        }
        return true;
    }
}
