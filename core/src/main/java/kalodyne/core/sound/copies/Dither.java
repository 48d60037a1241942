package kalodyne.core.sound.copies;

import java.util.SplittableRandom;

/**
 * Noise that is added before samples are rounded to few bits, so that what is softer than the smallest step turns into hiss and not into
 * distortion: triangular, two steps wide (from memory: AES17 and the usual practice). The same copy comes out the same each time.
 */
final class Dither {
    private final SplittableRandom random = new SplittableRandom(0x5eed);
    private final float step;

    Dither(int bits) {
        step = (float) Math.scalb(1.0, 1 - bits);
    }

    /** Adds it, in place. Digital silence stays silent. */
    void add(float[][] samples, int count) {
        for (float[] channel : samples) {
            for (int i = 0; i < count; i++) {
                if (channel[i] != 0) {
                    long bits = random.nextLong();
                    float one = (bits >>> 40) * 0x1p-24f;
                    float two = (bits & 0xFFFFFF) * 0x1p-24f;
                    channel[i] += step * (one - two);
                }
            }
        }
    }
}
