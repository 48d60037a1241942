package kalodyne.core.takes;

import java.util.OptionalDouble;
import kalodyne.core.sound.WavHeader;

/** Measures one channel as its samples come by. */
final class ChannelMeter {
    private final ClipDetector clips;
    private final long framesPerPart;
    private final float[] lowest;
    private final float[] highest;

    private long frames;
    private double sum;
    private double sumOfSquares;
    private long unusable;

    /** Of the part that is being looked at. */
    private double partSum;

    private float low;
    private float high;

    ChannelMeter(WavHeader header) {
        clips = new ClipDetector(header.format().resolutionBits(), header.sampleRateHz());
        framesPerPart = Math.max(1, (header.frames() + Overview.MOST_PARTS - 1) / Overview.MOST_PARTS);
        int parts = (int) ((header.frames() + framesPerPart - 1) / framesPerPart);
        lowest = new float[parts];
        highest = new float[parts];
    }

    void accept(float[] samples, int count) {
        int at = 0;
        while (at < count) {
            int left = (int) (framesPerPart - frames % framesPerPart);
            int end = Math.min(count, at + left);
            acceptPart(samples, at, end);
            at = end;
        }
    }

    /** Samples of one part of the overview: summed up, then searched for the lowest and the highest. */
    private void acceptPart(float[] samples, int from, int to) {
        double squares = addUp(samples, from, to);
        if (!Double.isFinite(squares)) {
            silenceUnusable(samples, from, to);
            squares = addUp(samples, from, to);
        }
        sum += partSum;
        sumOfSquares += squares;
        findEnds(samples, from, to);
        int part = (int) (frames / framesPerPart);
        boolean begun = frames % framesPerPart != 0;
        lowest[part] = begun ? Math.min(lowest[part], low) : low;
        highest[part] = begun ? Math.max(highest[part], high) : high;
        if (high >= clips.threshold() || low <= -clips.threshold()) {
            clips.accept(samples, from, to, frames);
        } else {
            clips.skip(samples, from, to);
        }
        frames += to - from;
    }

    /** Leaves the sum in {@link #partSum} and gives the sum of squares. Four samples a turn: no sum waits for another. */
    private double addUp(float[] samples, int from, int to) {
        double sumA = 0;
        double sumB = 0;
        double squaresA = 0;
        double squaresB = 0;
        int i = from;
        int lastOfFour = to - 3;
        for (; i < lastOfFour; i += 4) {
            double a = samples[i];
            double b = samples[i + 1];
            double c = samples[i + 2];
            double d = samples[i + 3];
            sumA += a + b;
            sumB += c + d;
            squaresA += a * a + b * b;
            squaresB += c * c + d * d;
        }
        for (; i < to; i++) {
            sumA += samples[i];
            squaresA += (double) samples[i] * samples[i];
        }
        partSum = sumA + sumB;
        return squaresA + squaresB;
    }

    /** Leaves the ends in {@link #low} and {@link #high}. Comparisons that are nearly always false cost next to nothing. */
    private void findEnds(float[] samples, int from, int to) {
        float least = samples[from];
        float most = least;
        for (int i = from + 1; i < to; i++) {
            float x = samples[i];
            if (x < least) {
                least = x;
            } else if (x > most) {
                most = x;
            }
        }
        low = least;
        high = most;
    }

    private void silenceUnusable(float[] samples, int from, int to) {
        for (int i = from; i < to; i++) {
            if (!Float.isFinite(samples[i])) {
                samples[i] = 0;
                unusable++;
            }
        }
    }

    ChannelReport report() {
        clips.finish();
        double peak = 0;
        for (int i = 0; i < lowest.length; i++) {
            peak = Math.max(peak, Math.max(-lowest[i], highest[i]));
        }
        return new ChannelReport(
                peak,
                frames == 0 ? 0 : Math.sqrt(sumOfSquares / frames),
                frames == 0 ? 0 : sum / frames,
                clips.clippedSamples(),
                clips.runs(),
                clips.runs() == 0 ? OptionalDouble.empty() : OptionalDouble.of(clips.estimatedPeak()),
                clips.places().toList(),
                clips.places().count(),
                unusable,
                new Overview(framesPerPart, lowest, highest));
    }
}
