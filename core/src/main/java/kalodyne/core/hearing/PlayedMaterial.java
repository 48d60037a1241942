package kalodyne.core.hearing;

import java.util.function.LongToDoubleFunction;

/** Something that is known at every moment, in one channel. */
final class PlayedMaterial implements Material {
    private final LongToDoubleFunction at;
    private final int sampleRateHz;
    private final long frames;
    private long frame;

    PlayedMaterial(LongToDoubleFunction at, int sampleRateHz, double seconds) {
        this.at = at;
        this.sampleRateHz = sampleRateHz;
        frames = Math.round(seconds * sampleRateHz);
    }

    @Override
    public int sampleRateHz() {
        return sampleRateHz;
    }

    @Override
    public int channels() {
        return 1;
    }

    @Override
    public long frames() {
        return frames;
    }

    @Override
    public int next(float[][] into) {
        int count = (int) Math.min(into[0].length, frames - frame);
        for (int i = 0; i < count; i++) {
            into[0][i] = (float) at.applyAsDouble(frame + i);
        }
        frame += count;
        return count;
    }

    @Override
    public void close() {
        // Nothing is open.
    }
}
