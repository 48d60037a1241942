package kalodyne.core.hearing;

/** Stereo sound that is held whole, as it is: its full scale counts as 1. */
final class HeldMaterial implements Material {
    private final float[] left;
    private final float[] right;
    private final int sampleRateHz;
    private int at;

    HeldMaterial(float[] left, float[] right, int sampleRateHz) {
        this.left = left;
        this.right = right;
        this.sampleRateHz = sampleRateHz;
    }

    @Override
    public int sampleRateHz() {
        return sampleRateHz;
    }

    @Override
    public int channels() {
        return 2;
    }

    @Override
    public long frames() {
        return left.length;
    }

    @Override
    public int next(float[][] into) {
        int count = Math.min(into[0].length, left.length - at);
        System.arraycopy(left, at, into[0], 0, count);
        System.arraycopy(right, at, into[1], 0, count);
        at += count;
        return count;
    }

    @Override
    public void close() {
        // Nothing is held open.
    }
}
