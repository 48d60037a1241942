package kalodyne.core.sound.measure;

import java.util.OptionalDouble;
import kalodyne.core.units.Gain;

/**
 * Loudness over all channels (ITU-R BS.1770-5, EBU Tech 3341 and 3342): weighted power in steps of 10 ms, of which forty make a
 * momentary value and three hundred a short-term one. The loudest are looked for at every step; gating takes every tenth.
 */
public final class LoudnessMeter {
    private static final double STEPS_PER_SECOND = 100;
    private static final int MOMENTARY_STEPS = 40;
    private static final int SHORT_TERM_STEPS = 300;
    private static final int STEPS_PER_BLOCK = 10;
    private static final int STEPS_PER_LU = 100;

    /** So that a tone of 997 Hz at full scale in one channel is −3.01 LUFS (BS.1770). */
    private static final double OFFSET_DB = -0.691;

    private static final double ABSOLUTE_GATE_LUFS = -70;
    private static final double INTEGRATED_GATE_LU = -10;
    private static final double RANGE_GATE_LU = -20;
    private static final double RANGE_FROM = 0.10;
    private static final double RANGE_TO = 0.95;

    private final double sampleRateHz;
    private final double[] channelWeights;
    private final KWeighting[] filters;
    private final double[] stepPowers;
    private final double[] recent = new double[SHORT_TERM_STEPS];
    private final LevelHistogram momentary = new LevelHistogram(STEPS_PER_LU);
    private final LevelHistogram shortTerm = new LevelHistogram(STEPS_PER_LU);

    private long frames;
    private long steps;
    private double maxMomentary;
    private double maxShortTerm;

    /**
     * A meter that has heard nothing.
     *
     * @param channelWeights how much the power of each channel counts: 1 from the front, 1.41 from the side, 0 for one of low
     *     effects
     */
    public LoudnessMeter(double sampleRateHz, double... channelWeights) {
        this.sampleRateHz = sampleRateHz;
        this.channelWeights = channelWeights.clone();
        this.filters = new KWeighting[channelWeights.length];
        this.stepPowers = new double[channelWeights.length];
        for (int c = 0; c < filters.length; c++) {
            filters[c] = new KWeighting(sampleRateHz);
        }
    }

    /**
     * Weights the next samples of a channel as the ear does, for this meter and for whoever else wants them.
     *
     * @param weighted is filled
     */
    public void weight(int channel, float[] samples, double[] weighted, int count) {
        filters[channel].filter(samples, weighted, count);
    }

    /** Takes the next block: what {@link #weight} made of each channel. */
    public void accept(double[][] weighted, int count) {
        int at = 0;
        while (at < count) {
            long stepEnd = Math.round((steps + 1) * sampleRateHz / STEPS_PER_SECOND);
            int taken = (int) Math.min(count - at, stepEnd - frames);
            for (int c = 0; c < weighted.length; c++) {
                if (channelWeights[c] > 0) {
                    stepPowers[c] += power(weighted[c], at, at + taken);
                }
            }
            at += taken;
            frames += taken;
            if (frames == stepEnd) {
                finishStep();
            }
        }
    }

    private static double power(double[] samples, int from, int to) {
        double even = 0;
        double odd = 0;
        int i = from;
        for (; i < to - 1; i += 2) {
            even += samples[i] * samples[i];
            odd += samples[i + 1] * samples[i + 1];
        }
        return even + odd + (i < to ? samples[i] * samples[i] : 0);
    }

    private void finishStep() {
        double sum = 0;
        for (int c = 0; c < stepPowers.length; c++) {
            sum += channelWeights[c] * stepPowers[c];
            stepPowers[c] = 0;
        }
        recent[(int) (steps % SHORT_TERM_STEPS)] = sum * STEPS_PER_SECOND / sampleRateHz;
        steps++;
        boolean isBlock = steps % STEPS_PER_BLOCK == 0;
        if (steps >= MOMENTARY_STEPS) {
            double mean = meanOfLast(MOMENTARY_STEPS);
            maxMomentary = Math.max(maxMomentary, mean);
            if (isBlock) {
                momentary.add(mean);
            }
        }
        if (steps >= SHORT_TERM_STEPS) {
            double mean = meanOfLast(SHORT_TERM_STEPS);
            maxShortTerm = Math.max(maxShortTerm, mean);
            if (isBlock) {
                shortTerm.add(mean);
            }
        }
    }

    /** Summed anew each time: a sum that is carried on gathers errors over hours. */
    private double meanOfLast(int count) {
        int end = (int) ((steps - 1) % SHORT_TERM_STEPS) + 1;
        double sum = 0;
        for (int i = Math.max(0, end - count); i < end; i++) {
            sum += recent[i];
        }
        for (int i = SHORT_TERM_STEPS + Math.min(0, end - count); i < SHORT_TERM_STEPS; i++) {
            sum += recent[i];
        }
        return sum / count;
    }

    public Loudness loudness() {
        return new Loudness(integrated(), range(), told(loudness(maxMomentary)), told(loudness(maxShortTerm)));
    }

    private OptionalDouble integrated() {
        double audible = momentary.meanFrom(ABSOLUTE_GATE_LUFS - OFFSET_DB);
        if (audible == 0) {
            return OptionalDouble.empty();
        }
        double gate = Math.max(ABSOLUTE_GATE_LUFS, loudness(audible) + INTEGRATED_GATE_LU);
        return told(loudness(momentary.meanFrom(gate - OFFSET_DB)));
    }

    private OptionalDouble range() {
        double audible = shortTerm.meanFrom(ABSOLUTE_GATE_LUFS - OFFSET_DB);
        if (audible == 0) {
            return OptionalDouble.empty();
        }
        double gate = Math.max(ABSOLUTE_GATE_LUFS, loudness(audible) + RANGE_GATE_LU) - OFFSET_DB;
        return OptionalDouble.of(shortTerm.percentileFrom(gate, RANGE_TO) - shortTerm.percentileFrom(gate, RANGE_FROM));
    }

    private static double loudness(double power) {
        return Gain.ofPowerRatio(power).db() + OFFSET_DB;
    }

    private static OptionalDouble told(double lufs) {
        return lufs > ABSOLUTE_GATE_LUFS ? OptionalDouble.of(lufs) : OptionalDouble.empty();
    }
}
