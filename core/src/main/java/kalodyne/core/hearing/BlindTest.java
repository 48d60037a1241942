package kalodyne.core.hearing;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A blind comparison of two sounds: in each try one of them is drawn, and one says by ear which it is. What comes of it is told by how often
 * mere guessing gets as far: the binomial distribution with one in two.
 *
 * @param seed draws the same again
 * @param tries how many there are in all
 * @param right of the tries so far, whether they were
 */
public record BlindTest(long seed, int tries, List<Boolean> right) {
    /** With fewer, guessing all of them right is too likely to tell anything. */
    public static final int FEWEST = 5;

    public static final int MOST = 16;

    /** So seldom must guessing get as far: one in twenty, as is usual. */
    private static final double SELDOM = 0.05;

    public BlindTest {
        if (tries < FEWEST || tries > MOST) {
            throw new IllegalArgumentException("from " + FEWEST + " to " + MOST + " tries, not " + tries);
        }
        right = List.copyOf(right);
    }

    public static BlindTest begun(long seed, int tries) {
        return new BlindTest(seed, tries, List.of());
    }

    /** Whether the present try, or the last where all are over, plays the second of the two. */
    public boolean isSecond() {
        Random drawing = new Random(seed);
        boolean drawn = drawing.nextBoolean();
        for (int i = 0; i < Math.min(right.size(), tries - 1); i++) {
            drawn = drawing.nextBoolean();
        }
        return drawn;
    }

    /** After one said which it is. */
    public BlindTest answered(boolean second) {
        if (isOver()) {
            throw new IllegalStateException("all tries are over");
        }
        List<Boolean> now = new ArrayList<>(right);
        now.add(second == isSecond());
        return new BlindTest(seed, tries, now);
    }

    public boolean isOver() {
        return right.size() == tries;
    }

    public int hits() {
        return (int) right.stream().filter(each -> each).count();
    }

    /** How likely mere guessing gets at least as many right. */
    public double chance() {
        double ways = 0;
        double choose = 1;
        for (int k = 0; k <= right.size(); k++) {
            ways += k >= hits() ? choose : 0;
            choose = choose * (right.size() - k) / (k + 1);
        }
        return ways / Math.pow(2, right.size());
    }

    public boolean isToldApart() {
        return chance() <= SELDOM;
    }

    /** "9 of 10 right. Mere guessing gets that far once in 93 times: you can tell them apart." */
    public String words() {
        double chance = chance();
        String often = chance > 0.5
                ? "more often than not"
                : chance > 0.34 ? "every second to third time" : "once in " + Math.round(1 / chance) + " times";
        return hits() + " of " + right.size() + " right. Mere guessing gets that far " + often
                + (isToldApart()
                        ? ": you can tell them apart."
                        : ": you could not tell them apart. Take the cheaper, or the simpler.");
    }
}
