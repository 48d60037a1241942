package kalodyne.core.recording;

/** An input while it gives sound. For one thread. */
public interface InputLine extends AutoCloseable {
    InputFormat format();

    /**
     * Takes what has come since it was last asked; waits a little where that is nothing.
     *
     * @param samples a row a channel, all of one length, to be filled from their beginning; full scale is 1
     * @return how many frames came; 0 where none came yet
     * @throws LostInput where the device is gone
     */
    int read(float[][] samples) throws LostInput, InterruptedException;

    @Override
    void close();
}
