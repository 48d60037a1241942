package kalodyne.core.lineup;

import java.util.Arrays;
import kalodyne.core.sound.Usable;
import kalodyne.core.sound.measure.Windows;
import org.jtransforms.fft.FloatFFT_1D;

/** Tells how much a recording swells, as its samples come by. */
final class SwellMeter {
    /** What a telephone, a camera and a microphone all have something of. */
    private static final double[] EDGES_HZ = {80, 200, 400, 800, 1600, 3200, 6400};

    private static final double WINDOW_SECONDS = 0.025;
    /** So many steps are taken together, and compared with as many before. */
    private static final int TOGETHER = 3;
    /** A swell out of nothing is measured from −20 dB below what there was lately. */
    private static final float FLOOR = 0.01f;
    /** What was lately: it fades with this share a step, over three seconds. */
    private static final float FADE = 1f / (3 * Sketch.STEPS_A_SECOND);

    private final int rate;
    private final int window;
    private final float[] shape;
    private final FloatFFT_1D transform;
    private final float[] work;
    private final int[] edges;
    /** Even channels in one line, odd ones in the other: a complex transform serves both at once. */
    private final float[] even;

    private final float[] odd;
    private int filled;
    private long firstInLine;
    private final float[][] powers = new float[TOGETHER][SwellTrack.BANDS];
    private final float[][] logarithms = new float[TOGETHER + 1][SwellTrack.BANDS];
    private final float[] lately = new float[SwellTrack.BANDS];
    private final SwellTrack track = new SwellTrack();

    SwellMeter(int sampleRateHz) {
        rate = sampleRateHz;
        window = Math.max(16, Integer.highestOneBit((int) (WINDOW_SECONDS * sampleRateHz)));
        shape = Windows.hann(window);
        transform = new FloatFFT_1D(window);
        work = new float[2 * window];
        even = new float[8 * window];
        odd = new float[8 * window];
        edges = Arrays.stream(EDGES_HZ)
                .mapToInt(hertz -> (int) Math.min(window / 2.0, Math.ceil(hertz * window / sampleRateHz)))
                .toArray();
    }

    void accept(float[][] samples, int count) {
        int at = 0;
        while (at < count) {
            int taken = Math.min(count - at, even.length - filled);
            copy(samples, at, taken);
            filled += taken;
            at += taken;
            measure();
        }
    }

    private void copy(float[][] samples, int from, int count) {
        System.arraycopy(samples[0], from, even, filled, count);
        Arrays.fill(odd, filled, filled + count, 0);
        for (int c = 1; c < samples.length; c++) {
            float[] line = c % 2 == 0 ? even : odd;
            for (int i = 0; i < count; i++) {
                line[filled + i] += samples[c][from + i];
            }
        }
    }

    /** All steps whose window is in the lines. The step's window has its middle in the step's, whatever the rate. */
    private void measure() {
        long start = start(track.steps());
        while (start + window <= firstInLine + filled) {
            step((int) (start - firstInLine));
            start = start(track.steps());
        }
        int gone = (int) Math.min(filled, Math.max(0, start - firstInLine));
        System.arraycopy(even, gone, even, 0, filled - gone);
        System.arraycopy(odd, gone, odd, 0, filled - gone);
        filled -= gone;
        firstInLine += gone;
    }

    private long start(long step) {
        return Math.max(0, Math.round((step + 0.5) * rate / Sketch.STEPS_A_SECOND - 0.5 * window));
    }

    private void step(int from) {
        for (int i = 0; i < window; i++) {
            work[2 * i] = shape[i] * even[from + i];
            work[2 * i + 1] = shape[i] * odd[from + i];
        }
        transform.complexForward(work);
        int step = track.steps();
        float[] power = powers[step % TOGETHER];
        for (int b = 0; b < SwellTrack.BANDS; b++) {
            // What is no number is silence: it must not stay in what there was lately.
            power[b] = Usable.sample(power(edges[b], edges[b + 1]));
        }
        float[] now = logarithms[step % (TOGETHER + 1)];
        float[] before = logarithms[(step + 1) % (TOGETHER + 1)];
        float[] swell = new float[SwellTrack.BANDS];
        for (int b = 0; b < SwellTrack.BANDS; b++) {
            float together = 0;
            for (float[] each : powers) {
                together += each[b];
            }
            lately[b] += FADE * (together - lately[b]);
            now[b] = lately[b] > 0 ? (float) Math.log(together / lately[b] + FLOOR) : (float) Math.log(FLOOR);
            swell[b] = step < TOGETHER ? 0 : now[b] - before[b];
        }
        track.add(swell);
    }

    /** Of both lines: the transform of a pair has one at k and, mirrored, the other at −k. */
    private float power(int from, int to) {
        float sum = 0;
        for (int k = from; k < to; k++) {
            int mirror = 2 * ((window - k) % window);
            float re = work[2 * k];
            float im = work[2 * k + 1];
            float reMirror = work[mirror];
            float imMirror = work[mirror + 1];
            sum += re * re + im * im + reMirror * reMirror + imMirror * imMirror;
        }
        return sum;
    }

    SwellTrack track() {
        return track;
    }
}
