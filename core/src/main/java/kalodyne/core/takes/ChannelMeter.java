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

    /** Samples of one part of the overview. Three plain sums and two comparisons a sample: this is the hot loop. */
    private void acceptPart(float[] samples, int from, int to) {
        double partSum = 0;
        double partSquares = 0;
        float low = samples[from];
        float high = low;
        for (int i = from; i < to; i++) {
            float x = samples[i];
            partSum += x;
            partSquares += (double) x * x;
            low = Math.min(low, x);
            high = Math.max(high, x);
        }
        if (!Double.isFinite(partSquares)) {
            silenceUnusable(samples, from, to);
            acceptPart(samples, from, to);
            return;
        }
        sum += partSum;
        sumOfSquares += partSquares;
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
