package kalodyne.core.hearing;

import java.io.IOException;
import java.nio.file.Path;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.UnreadableSound;

/** A take whose largest sample counts as 1. */
final class TakeMaterial implements Material {
    private final SoundStream take;
    private final int channels;
    private final float scale;
    private int at;
    private int there;

    private TakeMaterial(SoundStream take, double peak) {
        this.take = take;
        channels = Math.min(2, take.header().channels());
        scale = (float) (1 / peak);
    }

    static TakeMaterial open(Path take) throws IOException {
        double peak = peak(take);
        return new TakeMaterial(SoundFiles.open(take), peak);
    }

    private static double peak(Path take) throws IOException {
        double peak = 0;
        try (SoundStream stream = SoundFiles.open(take)) {
            for (int count = stream.next(); count > 0; count = stream.next()) {
                for (float[] channel : stream.samples()) {
                    for (int i = 0; i < count; i++) {
                        peak = Math.max(peak, Math.abs(channel[i]));
                    }
                }
            }
        }
        if (!(peak > 0)) {
            throw new UnreadableSound(take, "the whole of it", "It is silent.", "Choose a take with sound.");
        }
        return peak;
    }

    @Override
    public int sampleRateHz() {
        return take.header().sampleRateHz();
    }

    @Override
    public int channels() {
        return channels;
    }

    @Override
    public long frames() {
        return take.header().frames();
    }

    @Override
    public int next(float[][] into) throws IOException {
        int done = 0;
        while (done < into[0].length) {
            if (at == there) {
                at = 0;
                there = take.next();
                if (there == 0) {
                    return done;
                }
            }
            int count = Math.min(there - at, into[0].length - done);
            for (int c = 0; c < channels; c++) {
                for (int i = 0; i < count; i++) {
                    into[c][done + i] = scale * take.samples()[c][at + i];
                }
            }
            at += count;
            done += count;
        }
        return done;
    }

    @Override
    public void close() throws IOException {
        take.close();
    }
}
