package kalodyne.core.hearing;

import java.io.IOException;
import java.nio.file.Path;
import java.util.function.LongToDoubleFunction;
import kalodyne.core.sound.UnreadableSound;

/** What is played into a rig, block by block, with 1 for the loudest peak that is described. */
public interface Material extends AutoCloseable {
    int sampleRateHz();

    /** One, or left and right. */
    int channels();

    long frames();

    /**
     * The next block.
     *
     * @param into as many channels as it has
     * @return how many samples there are; less than asked for at the end alone
     */
    int next(float[][] into) throws IOException;

    @Override
    void close() throws IOException;

    /** What is played, from its beginning, as often as it is opened. */
    @FunctionalInterface
    interface Source {
        Material open() throws IOException;
    }

    /**
     * Something that is known at every moment: somebody who plays over and over.
     *
     * @param at by the number of a sample
     */
    static Material played(LongToDoubleFunction at, int sampleRateHz, double seconds) {
        return new PlayedMaterial(at, sampleRateHz, seconds);
    }

    /** Left and right that are held whole. */
    static Material held(float[] left, float[] right, int sampleRateHz) {
        return new HeldMaterial(left, right, sampleRateHz);
    }

    /**
     * A take; of more than two channels the first two. It is read once for its loudest peak before it is played.
     *
     * @throws UnreadableSound also where it is silent
     */
    static Material of(Path take) throws IOException {
        return TakeMaterial.open(take);
    }
}
