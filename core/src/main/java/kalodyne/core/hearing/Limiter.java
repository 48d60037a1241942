package kalodyne.core.hearing;

/**
 * Keeps ears safe: what is above a ceiling is turned down at once, and comes back over a quarter of a second. Below the ceiling nothing is
 * changed.
 */
public final class Limiter {
    private static final double RECOVERY_SECONDS = 0.25;

    private final float recovery;
    private float gain = 1;

    public Limiter(int sampleRateHz) {
        recovery = (float) (1 - Math.exp(-1 / (RECOVERY_SECONDS * sampleRateHz)));
    }

    /** Both sides by the same, in place. */
    public void limit(float[] left, float[] right, int count, float ceiling) {
        for (int i = 0; i < count; i++) {
            float loudest = Math.max(Math.abs(left[i]), Math.abs(right[i]));
            gain += (1 - gain) * recovery;
            if (loudest * gain > ceiling) {
                gain = ceiling / loudest;
            }
            left[i] *= gain;
            right[i] *= gain;
        }
    }
}
