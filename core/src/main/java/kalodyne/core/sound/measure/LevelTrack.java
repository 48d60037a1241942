package kalodyne.core.sound.measure;

import java.util.List;
import kalodyne.core.units.Gain;

/**
 * The course of the level in steps of 10 ms, and what it shows: how quiet the quietest moments are, a gate that shuts, a level
 * that creeps up in pauses. An offset does not count.
 */
public final class LevelTrack {
    private static final double STEPS_PER_SECOND = 100;
    private static final int STEPS_PER_STRETCH = 5;
    private static final int STEPS_PER_DB = 10;
    private static final double QUIETEST_SHARE = 0.05;

    private final double sampleRateHz;
    private final LevelHistogram stretches = new LevelHistogram(STEPS_PER_DB);
    private final GateFinder gates = new GateFinder();
    private final SwellFinder swells = new SwellFinder();

    private long frame;
    private long steps;
    private long stepEnd;
    private float last;
    private double sum;
    private double squares;
    private double jumps;
    private int inStep;
    private double stretchSum;
    private double stretchSquares;
    private int stretchFrames;

    public LevelTrack(double sampleRateHz) {
        this.sampleRateHz = sampleRateHz;
        this.stepEnd = Math.max(1, Math.round(sampleRateHz / STEPS_PER_SECOND));
    }

    public void accept(float[] samples, int count) {
        int at = 0;
        while (at < count) {
            int to = (int) Math.min(count, at + stepEnd - frame);
            add(samples, at, to);
            frame += to - at;
            at = to;
            if (frame == stepEnd) {
                finishStep();
            }
        }
    }

    private void add(float[] samples, int from, int to) {
        double added = 0;
        double square = 0;
        double jump = 0;
        float before = last;
        for (int i = from; i < to; i++) {
            float x = samples[i];
            added += x;
            square += (double) x * x;
            float d = x - before;
            jump += (double) d * d;
            before = x;
        }
        last = before;
        sum += added;
        squares += square;
        jumps += jump;
        inStep += to - from;
    }

    private void finishStep() {
        double power = variance(sum, squares, inStep);
        double db = decibels(power);
        double brightness = decibels(jumps / inStep) - db;
        gates.step(steps, db, brightness);
        swells.step(steps, db, brightness);
        stretchSum += sum;
        stretchSquares += squares;
        stretchFrames += inStep;
        steps++;
        if (steps % STEPS_PER_STRETCH == 0) {
            stretches.add(variance(stretchSum, stretchSquares, stretchFrames));
            stretchSum = 0;
            stretchSquares = 0;
            stretchFrames = 0;
        }
        sum = 0;
        squares = 0;
        jumps = 0;
        inStep = 0;
        stepEnd = Math.max(frame + 1, Math.round((steps + 1) * sampleRateHz / STEPS_PER_SECOND));
    }

    private static double variance(double sum, double squares, int count) {
        double mean = sum / count;
        return Math.max(0, squares / count - mean * mean);
    }

    private static double decibels(double power) {
        return Math.max(-200, Gain.ofPowerRatio(power).db());
    }

    /** The mean square of the quietest twentieth of all stretches of 50 ms that are not silent; 0 where there is none. */
    public double quietestPower() {
        return stretches.meanOfQuietest(QUIETEST_SHARE);
    }

    /** The share of all stretches of 50 ms that hold nothing at all. */
    public double silentShare() {
        long all = stretches.count() + stretches.silent();
        return all == 0 ? 0 : (double) stretches.silent() / all;
    }

    /** The level that only a hundredth of all stretches exceeds, in decibels. */
    public double loudDb() {
        return stretches.percentile(0.99);
    }

    /** The frame at which a step begins. */
    private long frameOf(long step) {
        return Math.round(step * sampleRateHz / STEPS_PER_SECOND);
    }

    /** Where the level fell from steady noise to nearly nothing at once. */
    public List<LevelChange> closings() {
        return gates.closings().stream().map(each -> each.at(this::frameOf)).toList();
    }

    /** Where the noise of a pause crept up. */
    public List<LevelChange> swells() {
        return swells.swells().stream().map(each -> each.at(this::frameOf)).toList();
    }
}
