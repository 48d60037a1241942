package kalodyne.core.recording;

import java.io.IOException;
import java.nio.file.Path;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;

/** A stretch of a take while it is heard, once or over and over; never altered, only faded where a loop closes. */
public final class Playback {
    private static final double FADE_SECONDS = 0.008;

    private final Path file;
    private final double fromSeconds;
    private final double toSeconds;
    private final boolean isLooped;
    private volatile boolean isStopped;
    private volatile double position;

    /**
     * A playback that has not begun.
     *
     * @param toSeconds where it ends; after the beginning
     * @param isLooped whether it begins anew there
     */
    public Playback(Path file, double fromSeconds, double toSeconds, boolean isLooped) {
        this.file = file;
        this.fromSeconds = fromSeconds;
        this.toSeconds = toSeconds;
        this.isLooped = isLooped;
        position = fromSeconds;
    }

    /** Plays until its end, or until it is stopped. */
    public void run(Speakers speakers) throws IOException, InterruptedException {
        Speakers.Ear ear = null;
        try {
            do {
                try (SoundStream stream = SoundFiles.openAt(file, fromSeconds)) {
                    int rate = stream.header().sampleRateHz();
                    ear = ear == null ? speakers.open(rate, Speakers.USUAL_SECONDS) : ear;
                    play(stream, ear, ear.heard(), rate);
                }
            } while (isLooped && !isStopped);
        } finally {
            if (ear != null) {
                ear.close();
            }
        }
    }

    private void play(SoundStream stream, Speakers.Ear ear, long heardBefore, int rate)
            throws IOException, InterruptedException {
        long frames = Math.round((toSeconds - fromSeconds) * rate);
        long fade = Math.max(1, Math.min(frames / 4, Math.round(FADE_SECONDS * rate)));
        long done = 0;
        for (int count = stream.next(); count > 0 && done < frames && !isStopped; count = stream.next()) {
            for (int from = 0; from < count && done < frames && !isStopped; ) {
                int taken = (int) Math.min(Math.min(1024, count - from), frames - done);
                give(stream.samples(), from, taken, done, frames, fade, ear);
                from += taken;
                done += taken;
                position = Math.min(toSeconds, fromSeconds + Math.max(0, (double) (ear.heard() - heardBefore) / rate));
            }
        }
    }

    private static void give(
            float[][] samples, int from, int count, long done, long frames, long fade, Speakers.Ear ear)
            throws InterruptedException {
        float[] left = new float[count];
        float[] right = new float[count];
        for (int i = 0; i < count; i++) {
            long at = done + i;
            float size = Math.min(1, Math.min((float) at / fade, (float) (frames - at) / fade));
            left[i] = size * samples[0][from + i];
            right[i] = size * samples[Math.min(1, samples.length - 1)][from + i];
        }
        ear.give(left, right, count);
    }

    /** Ends it soon. */
    public void stop() {
        isStopped = true;
    }

    /** Where it is, in seconds of the take. */
    public double position() {
        return position;
    }
}
