package kalodyne.core.practice;

import java.util.Optional;
import kalodyne.core.hearing.Material;
import kalodyne.core.sound.SampleFormat;
import kalodyne.core.sound.SoundHeader;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;

/** A few seconds of stereo sound that is held whole. */
public final class Clip {
    private final float[] left;
    private final float[] right;
    private final int sampleRateHz;

    Clip(float[] left, float[] right, int sampleRateHz) {
        this.left = left;
        this.right = right;
        this.sampleRateHz = sampleRateHz;
    }

    public int sampleRateHz() {
        return sampleRateHz;
    }

    public int frames() {
        return left.length;
    }

    /**
     * A sample.
     *
     * @param side 0 for left, 1 for right
     */
    public float at(int side, int frame) {
        return side == 0 ? left[frame] : right[frame];
    }

    /** What the take reader says of it. */
    public TakeReport report() {
        return TakeReader.read("this take", new Stream());
    }

    /** As a recording, from its beginning. */
    public SoundStream stream() {
        return new Stream();
    }

    /** To be played, over and over. */
    public Material material() {
        return Material.held(left, right, sampleRateHz);
    }

    /** As if it were a file. */
    private final class Stream implements SoundStream {
        private static final int BLOCK = 4096;

        private final float[][] block = new float[2][BLOCK];
        private int at;

        @Override
        public SoundHeader header() {
            return new SoundHeader("clip", SampleFormat.SIGNED_24, 2, 0, sampleRateHz, frames(), Optional.empty());
        }

        @Override
        public float[][] samples() {
            return block;
        }

        @Override
        public int next() {
            int count = Math.min(BLOCK, frames() - at);
            System.arraycopy(left, at, block[0], 0, count);
            System.arraycopy(right, at, block[1], 0, count);
            at += count;
            return count;
        }

        @Override
        public void skipTo(long frame) {
            at = (int) Math.min(frame, frames());
        }

        @Override
        public void close() {
            // Nothing is held open.
        }
    }
}
