package kalodyne.core.sound;

import java.io.IOException;

/** The samples of a sound file, block by block, in memory that does not grow with the file. */
public interface SoundStream extends AutoCloseable {
    /** What is known of the file. Behind the last block the number of frames and the fault are what was found. */
    SoundHeader header();

    /** The samples of the last block: one array a channel, valid up to the count that {@link #next} gave. */
    float[][] samples();

    /**
     * Reads the next block.
     *
     * @return how many frames it has; 0 at the end
     * @throws UnreadableSound where the file has become shorter since it was opened, or turns out to be damaged
     */
    int next() throws IOException;

    /**
     * Goes on with a block that begins at exactly this frame; behind the end nothing follows.
     *
     * @param frame not before what was read already
     */
    void skipTo(long frame) throws IOException;

    @Override
    void close() throws IOException;
}
