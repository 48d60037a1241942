package kalodyne.core.takes;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.measure.BandPowers;

/** How loud each band of a take is over time, for drawing: of a part of it, the first channel or the mean of the first two. */
public final class SpectrumOverTime {
    /** From 20 Hz to 20 kHz in twelfths of an octave. */
    public static final int BANDS = 120;

    private final long fromFrame;
    private final long toFrame;
    private final float[][] decibels;

    private SpectrumOverTime(long fromFrame, long toFrame, int columns) {
        this.fromFrame = fromFrame;
        this.toFrame = toFrame;
        decibels = new float[columns][BANDS];
    }

    /**
     * Reads it; of each column as much as one spectrum needs.
     *
     * @param columns how many there is room for
     * @throws CancellationException where the progress asked to stop
     */
    public static SpectrumOverTime read(
            Path file, int sampleRateHz, long fromFrame, long toFrame, int columns, Progress progress)
            throws IOException {
        BandPowers bands = new BandPowers(sampleRateHz, BANDS);
        int count = (int) Math.max(1, Math.min(columns, (toFrame - fromFrame) / (bands.frames() / 4 + 1)));
        SpectrumOverTime over = new SpectrumOverTime(fromFrame, toFrame, count);
        try (SoundStream stream = SoundFiles.openAt(file, (double) fromFrame / sampleRateHz)) {
            over.fill(stream, bands, progress);
        }
        return over;
    }

    private void fill(SoundStream stream, BandPowers bands, Progress progress) throws IOException {
        long frames = toFrame - fromFrame;
        float[] line = new float[bands.frames()];
        int filled = 0;
        int column = 0;
        long at = 0;
        for (int count = stream.next(); count > 0 && column < decibels.length; count = stream.next()) {
            float[] left = stream.samples()[0];
            float[] right = stream.samples()[Math.min(1, stream.samples().length - 1)];
            for (int i = 0; i < count && column < decibels.length; i++, at++) {
                if (at < column * frames / decibels.length) {
                    continue;
                }
                line[filled++] = (left[i] + right[i]) / 2;
                if (filled == line.length) {
                    bands.decibels(line, decibels[column]);
                    column++;
                    filled = keepOverlap(line, at + 1 - column * frames / decibels.length);
                }
            }
            if (!progress.report(Math.min(1, (double) at / frames))) {
                throw new CancellationException("Drawing was stopped.");
            }
        }
        for (; column < decibels.length; column++) {
            java.util.Arrays.fill(line, filled, line.length, 0);
            filled = 0;
            bands.decibels(line, decibels[column]);
        }
    }

    /** The next column begins before the last one ended: the end of that one is its beginning. */
    private static int keepOverlap(float[] line, long overlap) {
        int kept = (int) Math.max(0, Math.min(line.length - 1, overlap));
        System.arraycopy(line, line.length - kept, line, 0, kept);
        return kept;
    }

    public long fromFrame() {
        return fromFrame;
    }

    public long toFrame() {
        return toFrame;
    }

    public int columns() {
        return decibels.length;
    }

    /** Power of a band, in decibels re full scale 1; the lowest is the first. */
    public float decibels(int column, int band) {
        return decibels[column][band];
    }
}
