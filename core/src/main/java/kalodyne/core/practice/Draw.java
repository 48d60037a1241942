package kalodyne.core.practice;

import java.util.Random;

/** Random numbers that follow from a number. */
final class Draw {
    /** Neighbouring numbers would begin alike: this scatters them (the golden ratio, as in Fibonacci hashing). */
    private static final long SCATTER = 0x9E3779B97F4A7C15L;

    private Draw() {}

    static Random from(long number) {
        return new Random(number * SCATTER);
    }
}
