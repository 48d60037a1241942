package kalodyne.core.sound;

/** Samples that are numbers. Files of floating point may hold others, left by a program that divided by nothing. */
public final class Usable {
    private Usable() {}

    /** A sample, and silence for what is none. */
    public static float sample(float sample) {
        return Float.isFinite(sample) ? sample : 0;
    }

    /** Copies samples, with silence for those that are none. */
    public static void copy(float[] from, int at, float[] into, int intoAt, int count) {
        for (int i = 0; i < count; i++) {
            into[intoAt + i] = sample(from[at + i]);
        }
    }
}
