package kalodyne.core.takes;

import java.util.OptionalDouble;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.measure.ChannelEar;
import kalodyne.core.sound.measure.SoundMeasures;

/** Measures one channel as its samples come by. */
final class ChannelMeter {
    /** +180 dBFS: what is beyond is no sound, and its square would be no number. */
    private static final float LARGEST = 1e9f;

    private final ClipDetector clips;
    private final ChannelEar ear;
    private final Overview.Maker overview = new Overview.Maker();

    private long frames;
    private double sum;
    private float peak;
    private double sumOfSquares;
    private long unusable;

    /** Of the part that is being looked at. */
    private double partSum;

    private float low;
    private float high;

    ChannelMeter(SoundHeader header, ChannelEar ear) {
        clips = new ClipDetector(header.format().resolutionBits(), header.sampleRateHz());
        this.ear = ear;
    }

    /** Takes the next samples. Those that are no numbers are silenced in place. */
    void accept(float[] samples, int count) {
        silenceUnusable(samples, count);
        int at = 0;
        while (at < count) {
            int end = at + Math.min(count - at, overview.room());
            acceptPart(samples, at, end);
            at = end;
        }
        ear.accept(samples, count);
    }

    /** Samples of one part of the overview: summed up, then searched for the lowest and the highest. */
    private void acceptPart(float[] samples, int from, int to) {
        sumOfSquares += addUp(samples, from, to);
        sum += partSum;
        findEnds(samples, from, to);
        peak = Math.max(peak, Math.max(-low, high));
        overview.add(low, high, to - from);
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

    private void silenceUnusable(float[] samples, int count) {
        for (int i = 0; i < count; i++) {
            if (!(Math.abs(samples[i]) <= LARGEST)) {
                samples[i] = 0;
                unusable++;
            }
        }
    }

    /** The largest sample so far. */
    double peak() {
        return peak;
    }

    /** How many samples are cut off so far. */
    long clippedSamples() {
        return clips.clippedSamples();
    }

    ChannelReport report() {
        SoundMeasures heard = ear.heard();
        clips.finish(heard.truePeak());
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
                heard,
                overview.overview());
    }
}
