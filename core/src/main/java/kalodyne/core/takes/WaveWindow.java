package kalodyne.core.takes;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;

/**
 * A part of a take for drawing it closely: the lowest and the highest sample of each column, or single samples where there are fewer of them
 * than columns.
 */
public final class WaveWindow {
    private static final int MOST_CHANNELS = 8;

    private final long fromFrame;
    private final long toFrame;
    private final float[][] lowest;
    private final float[][] highest;

    private WaveWindow(long fromFrame, long toFrame, int channels, int columns) {
        this.fromFrame = fromFrame;
        this.toFrame = toFrame;
        lowest = new float[channels][columns];
        highest = new float[channels][columns];
    }

    /**
     * Reads it.
     *
     * @param toFrame behind its last frame; above the first
     * @param columns how many there is room for
     * @param progress may stop it
     * @throws CancellationException where the progress asked to stop
     */
    public static WaveWindow read(
            Path file, int sampleRateHz, long fromFrame, long toFrame, int columns, Progress progress)
            throws IOException {
        try (SoundStream stream = SoundFiles.openAt(file, (double) fromFrame / sampleRateHz)) {
            int channels = Math.min(MOST_CHANNELS, stream.header().channels());
            int count = (int) Math.min(columns, toFrame - fromFrame);
            WaveWindow window = new WaveWindow(fromFrame, toFrame, channels, count);
            window.fill(stream, progress);
            return window;
        }
    }

    private void fill(SoundStream stream, Progress progress) throws IOException {
        long frames = toFrame - fromFrame;
        long done = 0;
        int columns = lowest[0].length;
        for (int count = stream.next(); count > 0 && done < frames; count = stream.next()) {
            int taken = (int) Math.min(count, frames - done);
            for (int c = 0; c < lowest.length; c++) {
                float[] samples = stream.samples()[c];
                for (int i = 0; i < taken; i++) {
                    int column = (int) ((done + i) * columns / frames);
                    boolean isFirst = done + i == 0 || (done + i - 1) * columns / frames < column;
                    float sample = samples[i];
                    lowest[c][column] = isFirst ? sample : Math.min(lowest[c][column], sample);
                    highest[c][column] = isFirst ? sample : Math.max(highest[c][column], sample);
                }
            }
            done += taken;
            if (!progress.report((double) done / frames)) {
                throw new CancellationException("Drawing was stopped.");
            }
        }
    }

    public long fromFrame() {
        return fromFrame;
    }

    public long toFrame() {
        return toFrame;
    }

    public int columns() {
        return lowest[0].length;
    }

    /** Whether each column is one sample. */
    public boolean isSamples() {
        return columns() == toFrame - fromFrame;
    }

    public int channels() {
        return lowest.length;
    }

    public float lowest(int channel, int column) {
        return lowest[channel][column];
    }

    public float highest(int channel, int column) {
        return highest[channel][column];
    }
}
