package kalodyne.core.lineup;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;

/**
 * What is kept of a recording to find it in another one: a hundred times a second, how much it swells in a few bands. Swelling is a ratio,
 * so that neither the gain nor an automatic level control counts for much, and neither does which way up the wave is.
 */
final class Sketch {
    static final int STEPS_A_SECOND = 100;

    private final SoundHeader header;
    private final boolean isWhole;
    private final SwellTrack swells;
    private final Mixdown mixdown;

    private Sketch(SoundHeader header, boolean isWhole, SwellTrack swells, Mixdown mixdown) {
        this.header = header;
        this.isWhole = isWhole;
        this.swells = swells;
        this.mixdown = mixdown;
    }

    /**
     * Reads a recording.
     *
     * @param mostSeconds how much of it at most
     * @throws CancellationException where the progress asked to stop
     */
    static Sketch read(Path file, double mostSeconds, Progress progress) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            SoundHeader header = stream.header();
            SwellMeter meter = new SwellMeter(header.sampleRateHz());
            Mixdown.Choice choice = new Mixdown.Choice(header.channels());
            long most = (long) Math.min(Long.MAX_VALUE, mostSeconds * header.sampleRateHz());
            long expected = Math.max(1, Math.min(most, header.frames()));
            long done = 0;
            int count = stream.next();
            while (count > 0 && done < most) {
                choice.accept(stream.samples(), count);
                meter.accept(stream.samples(), count);
                done += count;
                if (!progress.report(Math.min(1, (double) done / expected))) {
                    throw new CancellationException("Reading " + file.getFileName() + " was stopped.");
                }
                count = stream.next();
            }
            return new Sketch(stream.header(), count == 0, meter.track(), choice.mixdown());
        }
    }

    /** The file; once all of it was read, with its true length. */
    SoundHeader header() {
        return header;
    }

    /** Whether it was read to its end. */
    boolean isWhole() {
        return isWhole;
    }

    SwellTrack swells() {
        return swells;
    }

    /** How its channels become one. */
    Mixdown mixdown() {
        return mixdown;
    }
}
