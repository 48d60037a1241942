package kalodyne.core.gear;

import java.security.SecureRandom;
import java.util.random.RandomGenerator;

/** New ids for things that nobody has described before. */
public final class Ids {
    private static final String LETTERS = "0123456789abcdefghijklmnopqrstuvwxyz";

    /** Ten of 36 letters: among a million things two are the same with a chance of one in ten thousand. */
    private static final int LENGTH = 10;

    private static final RandomGenerator RANDOM = new SecureRandom();

    private Ids() {}

    /** For example "lead-4kd0x1m7qz". */
    public static String fresh(String kind) {
        StringBuilder id = new StringBuilder(kind).append('-');
        for (int i = 0; i < LENGTH; i++) {
            id.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return id.toString();
    }
}
