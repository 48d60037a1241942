package kalodyne.core.lineup.tidy;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.Usable;
import kalodyne.core.units.Gain;

/** How loud a recording is, a hundred times a second: of the loudest channel, in decibels re full scale. */
final class Envelope {
    static final int STEPS_A_SECOND = 100;
    private static final float SILENCE_DB = -200;
    private static final double QUIET_SHARE = 0.05;
    private static final double LOUD_SHARE = 0.98;
    /** Shorter silence is a dropout. */
    private static final int LEAST_SILENCE_STEPS = STEPS_A_SECOND / 5;

    private final float[] levels;
    private final SoundHeader header;
    private final double floorDb;
    private final double loudDb;

    private Envelope(float[] levels, SoundHeader header) {
        this.levels = levels;
        this.header = header;
        float[] sorted = levels.clone();
        Arrays.sort(sorted);
        int sounding = 0;
        while (sounding < sorted.length && sorted[sounding] <= SILENCE_DB) {
            sounding++;
        }
        double quiet = at(sorted, sounding, QUIET_SHARE);
        loudDb = at(sorted, sounding, LOUD_SHARE);
        // What comes out of a machine may have no other quiet than nothing at all.
        floorDb = loudDb - quiet < SoundFinder.LEAST_RANGE_DB && sounding >= LEAST_SILENCE_STEPS ? SILENCE_DB : quiet;
    }

    private static double at(float[] sorted, int from, double share) {
        return from == sorted.length ? SILENCE_DB : sorted[from + (int) (share * (sorted.length - 1 - from))];
    }

    static Envelope read(Path file, Progress progress) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            Steps steps = new Steps(stream.header().sampleRateHz());
            long done = 0;
            for (int count = stream.next(); count > 0; count = stream.next()) {
                steps.add(stream.samples(), count);
                done += count;
                if (!progress.report(
                        Math.min(1, (double) done / Math.max(1, stream.header().frames())))) {
                    throw new CancellationException("Reading " + file.getFileName() + " was stopped.");
                }
            }
            return new Envelope(steps.levels(), stream.header());
        }
    }

    /** Of levels that are known. */
    static Envelope of(float[] levels, SoundHeader header) {
        return new Envelope(levels.clone(), header);
    }

    private static final class Steps {
        private final int rate;
        private float[] levels = new float[1 << 12];
        private int count;
        private double[] sums = new double[0];
        private long frame;
        private long end;
        private int inStep;

        Steps(int rate) {
            this.rate = rate;
            end = Math.max(1, rate / STEPS_A_SECOND);
        }

        void add(float[][] samples, int frames) {
            sums = sums.length == samples.length ? sums : new double[samples.length];
            int at = 0;
            while (at < frames) {
                int to = (int) Math.min(frames, at + end - frame);
                for (int c = 0; c < samples.length; c++) {
                    for (int i = at; i < to; i++) {
                        double sample = Usable.sample(samples[c][i]);
                        sums[c] += sample * sample;
                    }
                }
                frame += to - at;
                inStep += to - at;
                at = to;
                if (frame == end) {
                    finish();
                }
            }
        }

        private void finish() {
            double most = Arrays.stream(sums).max().orElse(0) / inStep;
            levels = count == levels.length ? Arrays.copyOf(levels, 2 * count) : levels;
            levels[count++] = most <= 0
                    ? SILENCE_DB
                    : (float) Math.max(SILENCE_DB, Gain.ofPowerRatio(most).db());
            Arrays.fill(sums, 0);
            inStep = 0;
            end = Math.max(frame + 1, Math.round((count + 1.0) * rate / STEPS_A_SECOND));
        }

        float[] levels() {
            return Arrays.copyOf(levels, count);
        }
    }

    int steps() {
        return levels.length;
    }

    double level(int step) {
        return levels[step];
    }

    /** The loudest of the steps around one, for what must not miss a single sound. */
    double around(int step, int reach) {
        float most = SILENCE_DB;
        for (int i = Math.max(0, step - reach); i <= Math.min(levels.length - 1, step + reach); i++) {
            most = Math.max(most, levels[i]);
        }
        return most;
    }

    /** How loud it is where it is quietest, without digital silence. */
    double floorDb() {
        return floorDb;
    }

    /** How loud it is where it is loud. */
    double loudDb() {
        return loudDb;
    }

    double seconds() {
        return header.seconds();
    }
}
