package kalodyne.core.lineup;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.Usable;

/**
 * A place of two recordings, held in memory, where both can be seen and heard together, however the one is moved against the other.
 * Channels are left and right; what has one has it on both.
 */
public final class PairPlace {
    private static final int STEREO = 2;
    /** So far to each side can the other one be moved. */
    private static final double SPARE_SECONDS = 3;

    private final double fromSeconds;
    private final int frames;
    private final int rate;
    private final float[][] reference;
    private final float[][] other;
    private final long otherFrom;
    private final int otherRate;

    private PairPlace(double fromSeconds, int frames, int rate, float[][] reference, Raw other) {
        this.fromSeconds = fromSeconds;
        this.frames = frames;
        this.rate = rate;
        this.reference = reference;
        this.other = other.samples;
        otherFrom = other.from;
        otherRate = other.rate;
    }

    private static final class Raw {
        private final int rate;
        private final long from;
        private final float[][] samples;

        Raw(int rate, long from, float[][] samples) {
            this.rate = rate;
            this.from = from;
            this.samples = samples;
        }
    }

    /**
     * Reads a place.
     *
     * @param about where the moments of the reference are in the other one, to within three seconds
     * @param fromSeconds where in the reference it begins
     * @throws CancellationException where the progress asked to stop
     */
    public static PairPlace read(
            Path reference, Path other, ClockLine about, double fromSeconds, double seconds, Progress progress)
            throws IOException {
        Raw one = raw(reference, fromSeconds, seconds, done -> progress.report(0.5 * done));
        double begin = about.inOther(fromSeconds) - SPARE_SECONDS;
        Raw two = raw(other, begin, seconds + 2 * SPARE_SECONDS, done -> progress.report(0.5 + 0.5 * done));
        return new PairPlace((double) one.from / one.rate, one.samples[0].length, one.rate, one.samples, two);
    }

    private static Raw raw(Path file, double fromSeconds, double seconds, Progress progress) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            int rate = stream.header().sampleRateHz();
            long from = Math.round(fromSeconds * rate);
            float[][] samples = new float[STEREO][(int) Math.max(1, Math.round(seconds * rate))];
            stream.skipTo(Math.max(0, from));
            long at = Math.max(0, from);
            for (int count = stream.next(); count > 0 && at < from + samples[0].length; count = stream.next()) {
                int taken = (int) Math.min(count, from + samples[0].length - at);
                for (int c = 0; c < STEREO; c++) {
                    float[] channel = stream.samples()[Math.min(c, stream.samples().length - 1)];
                    Usable.copy(channel, 0, samples[c], (int) (at - from), taken);
                }
                at += count;
                if (!progress.report(Math.min(1, (double) (at - from) / samples[0].length))) {
                    throw new CancellationException("Reading " + file.getFileName() + " was stopped.");
                }
            }
            return new Raw(rate, from, samples);
        }
    }

    /** Where in the reference it begins, in seconds. */
    public double fromSeconds() {
        return fromSeconds;
    }

    public double seconds() {
        return (double) frames / rate;
    }

    /** Of both, as they are given: that of the reference. */
    public int sampleRateHz() {
        return rate;
    }

    /** Left and right of the reference; a copy. */
    public float[][] reference() {
        return new float[][] {reference[0].clone(), reference[1].clone()};
    }

    /** Left and right of the other one by a clock: as long as the reference, silent where it does not reach. */
    public float[][] other(ClockLine clock) {
        double step = (1 + clock.drift()) * otherRate / rate;
        Resampler resampler = new Resampler(Kernel.quick(step), step);
        int reach = resampler.reach() + 1;
        float[][] into = new float[STEREO][frames];
        double start = clock.inOther(fromSeconds) * otherRate - otherFrom;
        int length = other[0].length;
        // Only what lies inside can be made; a sample needs some on both sides.
        int first = (int) Math.max(0, Math.min(frames, Math.ceil((reach - start) / step)));
        int last = (int) Math.max(first, Math.min(frames, Math.floor((length - reach - 1 - start) / step)));
        if (last > first) {
            resampler.read(start + first * step, other, 0, into, first, last - first);
        }
        return into;
    }

    /** The lowest and highest of each of equal parts of a stretch, of the mean of both channels: for drawing. */
    public static float[][] columns(float[][] samples, double from, double to, int columns) {
        float[][] ends = new float[2][columns];
        double each = (to - from) / columns;
        for (int column = 0; column < columns; column++) {
            int begin = (int) Math.max(0, Math.floor(from + column * each));
            int end = (int) Math.min(samples[0].length, Math.max(begin + 1.0, Math.ceil(from + (column + 1) * each)));
            float low = Float.MAX_VALUE;
            float high = -Float.MAX_VALUE;
            for (int i = begin; i < end; i++) {
                float value = 0.5f * (samples[0][i] + samples[1][i]);
                low = Math.min(low, value);
                high = Math.max(high, value);
            }
            ends[0][column] = begin < end ? low : 0;
            ends[1][column] = begin < end ? high : 0;
        }
        return ends;
    }

    /** The largest sample of both channels. */
    public static float peak(float[][] samples) {
        float most = 0;
        for (float[] channel : samples) {
            for (float sample : channel) {
                most = Math.max(most, Math.abs(sample));
            }
        }
        return most;
    }
}
