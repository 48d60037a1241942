package kalodyne.core.sound;

import java.io.IOException;
import java.nio.file.Path;

/** A sound file while it is written. */
public interface SoundSink extends AutoCloseable {
    /** Adds frames; in a file of whole numbers what lies outside −1 to 1 is cut off, as a converter does. */
    void write(float[][] samples, int count) throws IOException;

    /** Ends the file. It is whole only then. */
    @Override
    void close() throws IOException;

    /**
     * Begins a file that is not there yet.
     *
     * @param tags what it says of itself; only WAV keeps them
     */
    static SoundSink open(Path file, int channels, int sampleRateHz, CopyFormat format, SoundTags tags)
            throws IOException {
        return switch (format) {
            case WAV_16, WAV_24, WAV_FLOAT -> new WavRecorder(file, channels, sampleRateHz, format, tags);
            case FLAC_16, FLAC_24 -> new FlacSink(file, channels, sampleRateHz, format);
        };
    }
}
