package kalodyne.core.takes.timing;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;

/** When notes or beats begin in a take: where it suddenly gets louder. All channels count. */
final class Onsets {
    /** The power is told so many times a second. */
    private static final int STEPS_A_SECOND = 500;

    /** It must rise by so much, as a ratio of powers, over what was before: 9 dB. */
    private static final double RISE = 8;

    /** Quieter than this against the loudest is no beat: −36 dB. */
    private static final double LEAST = 2.5e-4;

    /** Two are at least so far apart: a roll of sixteenths at 250 beats a minute. */
    private static final double APART_SECONDS = 0.06;

    private static final double BEFORE_SECONDS = 0.03;

    private Onsets() {}

    /** Their moments in seconds, rising, from the first step of a rise. */
    static List<Double> read(Path file, Progress progress) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            int rate = stream.header().sampleRateHz();
            long expected = Math.max(1, stream.header().frames());
            Powers powers = new Powers(Math.max(1, rate / STEPS_A_SECOND));
            long done = 0;
            for (int frames = stream.next(); frames > 0; frames = stream.next()) {
                powers.add(stream.samples(), frames);
                done += frames;
                if (!progress.report(Math.min(1, (double) done / expected))) {
                    throw new CancellationException();
                }
            }
            return find(powers.all(), (double) powers.step / rate);
        }
    }

    /** The power of steps of equal length. */
    private static final class Powers {
        private final int step;
        private double[] all = new double[1 << 12];
        private int count;
        private double sum;
        private int filled;

        Powers(int step) {
            this.step = step;
        }

        void add(float[][] samples, int frames) {
            for (int i = 0; i < frames; i++) {
                for (float[] channel : samples) {
                    sum += (double) channel[i] * channel[i];
                }
                filled++;
                if (filled == step) {
                    if (count == all.length) {
                        all = Arrays.copyOf(all, 2 * count);
                    }
                    all[count++] = sum;
                    sum = 0;
                    filled = 0;
                }
            }
        }

        double[] all() {
            return Arrays.copyOf(all, count);
        }
    }

    /** Where the power is far above the mean of what was just before, and at its first step so. */
    static List<Double> find(double[] powers, double stepSeconds) {
        double loudest = Arrays.stream(powers).max().orElse(0);
        int window = (int) Math.max(1, Math.round(BEFORE_SECONDS / stepSeconds));
        List<Double> found = new ArrayList<>();
        double before = 0;
        double last = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < powers.length; i++) {
            double mean = before / window;
            double at = i * stepSeconds;
            boolean isLoud = powers[i] > LEAST * loudest && powers[i] > RISE * mean;
            if (isLoud && at - last >= APART_SECONDS) {
                found.add(at);
                last = at;
            }
            before += powers[i] - (i >= window ? powers[i - window] : 0);
            before = Math.max(0, before);
        }
        return found;
    }
}
