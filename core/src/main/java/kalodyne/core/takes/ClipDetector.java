package kalodyne.core.takes;

import java.util.List;

/**
 * Finds where a converter or a program cut the signal off at full scale: three or more samples in a row at one and the
 * same value at the very end of the scale (common practice).
 *
 * <p>The round top of a low or coarsely quantised tone also stays on the highest step for some samples, but it gets there
 * step by step: it has spent time on the step below. A top counts as cut off when it was entered in a jump of more than
 * one step, or lasts far longer than the step below did. For a round top quantised with rounding that ratio is at most
 * 2√1 / (√2 − 1) = 4.83.
 */
final class ClipDetector {
    private static final int SHORTEST_RUN = 3;
    private static final int LONGEST_ROUND_TOP = 6;
    private static final double JOIN_WITHIN_SECONDS = 0.05;

    /** Beyond this an overshoot is not told from the shape of what is left: 12 dB. */
    private static final double MOST_OVERSHOOT = 4;

    private final float step;
    private final float rail;
    private final StretchList places;

    private long clippedSamples;
    private int runs;
    private double estimatedPeak;

    /** Samples just before the run or the present block: the last two, and how many were on the step below the rail. */
    private float last;

    private float lastButOne;
    private int onStepBelow;

    private float runValue;
    private int runLength;
    private long runStart;
    private int runOnStepBelow;
    private float slopeIn;

    ClipDetector(int resolutionBits, int sampleRateHz) {
        // Converters of 16 bits in files of more: full scale is then the highest of 16 bits.
        this.step = (float) Math.pow(2, 1 - Math.min(16, resolutionBits));
        this.rail = 1 - step;
        this.places = new StretchList((long) (JOIN_WITHIN_SECONDS * sampleRateHz));
    }

    /** A level below this is of no interest: such a block need not be shown. */
    float threshold() {
        return rail - 1.5f * step;
    }

    /** Tells that a block below the threshold was passed over. */
    void skip(float[] samples, int from, int to) {
        finishRun(samples[from], samples[Math.min(from + 1, to - 1)]);
        onStepBelow = 0;
        last = samples[to - 1];
        lastButOne = to - from > 1 ? samples[to - 2] : last;
    }

    /**
     * Looks at the next samples of the channel.
     *
     * @param startFrame the frame of the first one
     */
    void accept(float[] samples, int from, int to, long startFrame) {
        for (int i = from; i < to; i++) {
            float x = samples[i];
            float size = Math.abs(x);
            if (runLength > 0 && x == runValue) {
                runLength++;
            } else {
                if (runLength > 0) {
                    finishRun(x, samples[Math.min(i + 1, to - 1)]);
                }
                if (size >= rail && size <= 1) {
                    startRun(x, startFrame + i - from);
                }
            }
            onStepBelow = size >= threshold() && size < rail ? onStepBelow + 1 : 0;
            lastButOne = last;
            last = x;
        }
    }

    private void startRun(float value, long frame) {
        runValue = value;
        runLength = 1;
        runStart = frame;
        runOnStepBelow = onStepBelow;
        slopeIn = Math.abs(last - lastButOne);
    }

    private void finishRun(float next, float nextButOne) {
        boolean roundTop = runOnStepBelow > 0 && runLength <= LONGEST_ROUND_TOP * runOnStepBelow;
        if (runLength >= SHORTEST_RUN && !roundTop) {
            runs++;
            clippedSamples += runLength;
            places.add(new Stretch(runStart, runStart + runLength));
            estimatedPeak = Math.max(estimatedPeak, overshoot(Math.abs(nextButOne - next)));
        }
        runLength = 0;
    }

    /**
     * How high the cut top went. The lines that go on from both sides with the slopes found there meet at
     * length · s₁·s₂ / (s₁ + s₂) above the cut; a round top that leaves along them reaches about half of that.
     */
    private double overshoot(float slopeOut) {
        double slopes = slopeIn + slopeOut;
        double meeting = slopes == 0 ? 0 : runLength * (slopeIn / slopes) * slopeOut;
        return Math.min(MOST_OVERSHOOT, Math.abs(runValue) + meeting / 2);
    }

    /** Call once behind the last sample. */
    void finish() {
        finishRun(runValue, runValue);
    }

    long clippedSamples() {
        return clippedSamples;
    }

    int runs() {
        return runs;
    }

    List<Stretch> places() {
        return places.toList();
    }

    /** How high the highest cut top would have gone, re full scale 1; 0 where nothing was cut off. */
    double estimatedPeak() {
        return estimatedPeak;
    }
}
