package kalodyne.core.takes;

/**
 * Finds where a converter or a program cut the signal off at full scale: three or more samples in a row at the very end
 * of the scale (common practice). Dither that was added afterwards may lift some of them off the end by a step or two.
 *
 * <p>The round top of a low or coarsely quantised tone also stays at the end for some samples, but it gets there slowly:
 * it has spent time just below. A top counts as cut off when it was entered in a jump, or lasts far longer than the
 * approach did. A cosine's top of depth s, quantised and dithered, stays at most 2√5 as long at the end as √s; its way
 * through the approach takes √22 − √5 of that at least, so that the ratio is 1.9 or less.
 */
final class ClipDetector {
    private static final int SHORTEST_RUN = 3;
    private static final int LONGEST_ROUND_TOP = 3;
    private static final float DITHER_STEPS = 2.5f;
    private static final float APPROACH_STEPS = 10;
    private static final double JOIN_WITHIN_SECONDS = 0.05;

    /** Beyond this an overshoot is not told from the shape of what is left: 12 dB. */
    private static final double MOST_OVERSHOOT = 4;

    /**
     * Cymbals and hiss have tops too narrow for three samples. Those that were cut off lie at the very end; where nothing was cut
     * off as many stay just short of it.
     */
    private static final int MANY_TOUCHES = 12;

    private static final int TIMES_AS_MANY_AS_MISS = 3;

    /** Between the samples of tops that were cut off the wave goes over; that of a tone made to fit does not. */
    private static final double BETWEEN_SAMPLES = 1.05;

    /** What such narrow tops would have reached is not to be told: 1 dB over. */
    private static final double LITTLE_OVER = 1.12;

    /** From here to full scale a sample is at the end of the scale. */
    private final float rail;

    private final float nearRail;
    private final float approach;
    private StretchList places;
    private final StretchList touchingPlaces;

    private long clippedSamples;
    private int runs;

    /** Tops of one or two samples at the very end, and those that came near it and did not reach it. */
    private int touches;

    private long touchingSamples;
    private long nearMisses;
    private double estimatedPeak;

    /** Samples just before the run or the present block: the last two, and how many were on the approach to the end. */
    private float last;

    private float lastButOne;
    private int onApproach;

    /** The run that is being followed; its side is 0 where there is none. */
    private float side;

    private long runStart;
    private long lastAtRail;
    private int runOnApproach;
    private float slopeIn;

    ClipDetector(int resolutionBits, int sampleRateHz) {
        // Converters of 16 bits in files of more: full scale is then the highest of 16 bits.
        float step = (float) Math.pow(2, 1 - Math.min(16, resolutionBits));
        this.rail = 1 - step;
        this.nearRail = rail - DITHER_STEPS * step;
        this.approach = rail - APPROACH_STEPS * step;
        this.places = new StretchList((long) (JOIN_WITHIN_SECONDS * sampleRateHz));
        this.touchingPlaces = new StretchList((long) (JOIN_WITHIN_SECONDS * sampleRateHz));
    }

    /** A level below this is of no interest: such a block need not be shown. */
    float threshold() {
        return approach;
    }

    /** Tells that a block below the threshold was passed over. */
    void skip(float[] samples, int from, int to) {
        finishRun(samples[from], samples[Math.min(from + 1, to - 1)]);
        onApproach = 0;
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
            boolean atRail = size >= rail && size <= 1;
            if (side != 0 && (x * side < nearRail || size > 1)) {
                finishRun(x, samples[Math.min(i + 1, to - 1)]);
            }
            if (atRail && side == 0) {
                startRun(x, startFrame + i - from);
            }
            if (atRail) {
                lastAtRail = startFrame + i - from;
            }
            boolean approaching = side == 0 && size >= approach;
            nearMisses += onApproach > 0 && !approaching && side == 0 ? 1 : 0;
            onApproach = approaching ? onApproach + 1 : 0;
            lastButOne = last;
            last = x;
        }
    }

    private void startRun(float value, long frame) {
        side = Math.signum(value);
        runStart = frame;
        runOnApproach = onApproach;
        slopeIn = Math.abs(last - lastButOne);
    }

    private void finishRun(float next, float nextButOne) {
        if (side == 0) {
            return;
        }
        long length = lastAtRail + 1 - runStart;
        boolean roundTop = length <= (long) LONGEST_ROUND_TOP * runOnApproach;
        if (length >= SHORTEST_RUN && !roundTop) {
            runs++;
            clippedSamples += length;
            places.add(new Stretch(runStart, runStart + length));
            estimatedPeak = Math.max(estimatedPeak, overshoot(length, Math.abs(nextButOne - next)));
        } else if (length < SHORTEST_RUN) {
            touches++;
            touchingSamples += length;
            touchingPlaces.add(new Stretch(runStart, runStart + length));
        }
        side = 0;
    }

    /**
     * How high the cut top went. The lines that go on from both sides with the slopes found there meet at
     * length · s₁·s₂ / (s₁ + s₂) above the cut; a round top that leaves along them reaches about half of that.
     */
    private double overshoot(long length, float slopeOut) {
        double slopes = slopeIn + slopeOut;
        double meeting = slopes == 0 ? 0 : length * (slopeIn / slopes) * slopeOut;
        return Math.min(MOST_OVERSHOOT, 1 + meeting / 2);
    }

    /**
     * Call once behind the last sample.
     *
     * @param truePeak the highest point of the wave, also between samples
     */
    void finish(double truePeak) {
        finishRun(last, last);
        boolean overFullScale = truePeak > BETWEEN_SAMPLES;
        if (runs == 0 && overFullScale && touches >= MANY_TOUCHES && touches > TIMES_AS_MANY_AS_MISS * nearMisses) {
            runs = touches;
            clippedSamples = touchingSamples;
            places = touchingPlaces;
            estimatedPeak = LITTLE_OVER;
        }
    }

    long clippedSamples() {
        return clippedSamples;
    }

    int runs() {
        return runs;
    }

    StretchList places() {
        return places;
    }

    /** How high the highest cut top would have gone, re full scale 1; 0 where nothing was cut off. */
    double estimatedPeak() {
        return estimatedPeak;
    }
}
