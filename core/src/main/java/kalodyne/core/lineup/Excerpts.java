package kalodyne.core.lineup;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;

/** Stretches of a recording as one channel, held in memory. */
final class Excerpts {
    private Excerpts() {}

    /** A stretch, and silence where the file does not reach. */
    static final class Excerpt {
        private final long firstFrame;
        private final int rate;
        private final float[] samples;

        private Excerpt(long firstFrame, int rate, int length) {
            this.firstFrame = firstFrame;
            this.rate = rate;
            samples = new float[length];
        }

        int sampleRateHz() {
            return rate;
        }

        /** Whether all of a part is in it. */
        boolean holds(double start, double seconds) {
            double first = start * rate - firstFrame;
            return first >= 0 && first + seconds * rate <= samples.length;
        }

        /**
         * A part of it that it holds, at another rate and by another clock.
         *
         * @param start in seconds of the file
         * @param step from sample to sample, in seconds of the file
         */
        float[] part(double start, double step, int count, Kernel kernel) {
            double ratio = step * rate;
            double first = start * rate - firstFrame;
            float[] part = new float[count];
            if (ratio == 1 && first == Math.rint(first)) {
                System.arraycopy(samples, (int) first, part, 0, count);
                return part;
            }
            Resampler resampler = new Resampler(kernel, ratio);
            int reach = resampler.reach();
            float[] padded = new float[samples.length + 2 * reach];
            System.arraycopy(samples, 0, padded, reach, samples.length);
            resampler.read(first, new float[][] {padded}, -reach, new float[][] {part}, 0, count);
            return part;
        }

        private void fill(float[][] block, long blockStart, int count, Mixdown mixdown) {
            long from = Math.max(firstFrame, blockStart);
            long to = Math.min(firstFrame + samples.length, blockStart + count);
            if (from < to) {
                mixdown.mix(block, (int) (from - blockStart), (int) (to - from), samples, (int) (from - firstFrame));
            }
        }
    }

    /**
     * Reads stretches of equal length.
     *
     * @param starts in seconds, in any order
     * @return in the order of the starts
     */
    static List<Excerpt> read(Path file, Mixdown mixdown, List<Double> starts, double seconds, Progress progress)
            throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            int rate = stream.header().sampleRateHz();
            int length = (int) Math.ceil(seconds * rate);
            List<Excerpt> all = starts.stream()
                    .map(start -> new Excerpt(Math.round(start * rate), rate, length))
                    .toList();
            List<Excerpt> waiting = new ArrayList<>(all);
            waiting.sort(Comparator.comparingLong(each -> each.firstFrame));
            long at = 0;
            while (!waiting.isEmpty()) {
                if (!progress.report(1 - (double) waiting.size() / all.size())) {
                    throw new CancellationException("Reading " + file.getFileName() + " was stopped.");
                }
                long wanted = Math.max(at, waiting.get(0).firstFrame);
                stream.skipTo(wanted);
                at = wanted;
                int count = stream.next();
                if (count == 0) {
                    break;
                }
                for (Excerpt each : waiting) {
                    each.fill(stream.samples(), at, count, mixdown);
                }
                at += count;
                long done = at;
                waiting.removeIf(each -> each.firstFrame + each.samples.length <= done);
            }
            return all;
        }
    }
}
