package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * Unknown levels of which it is known how far one may lie above another. Such a system has, if any, one solution that is the
 * greatest in every unknown at once, and one that is the least: shortest ways in a graph (Bellman and Ford, from memory).
 */
final class Bounds {
    /** Unknown 0 is the zero that the others are told against. */
    static final int ZERO = 0;

    private static final double ROUNDING_DB = 1e-9;
    private static final int NOBODY = -1;

    private int unknowns = 1;
    private int count;
    private int[] from = new int[64];
    private int[] to = new int[64];
    private double[] fixed = new double[64];
    private int[] knob = new int[64];
    private boolean[] isUpper = new boolean[64];
    private boolean[] isDropped = new boolean[64];
    private double[] held = new double[64];
    private final List<Cause> causes = new ArrayList<>();

    /** Why a bound is there. */
    record Cause(Kind kind, int point) {
        enum Kind {
            SOUND,
            GAIN,
            BALANCE,
            CEILING,
            AIM,
            DRIVE
        }
    }

    /** The ranges that controls have. */
    static final class Ranges {
        private final double[] low;
        private final double[] high;

        Ranges(double[] low, double[] high) {
            this.low = low;
            this.high = high;
        }

        double[] low() {
            return low;
        }

        double[] high() {
            return high;
        }

        Ranges copy() {
            return new Ranges(low.clone(), high.clone());
        }
    }

    int unknown() {
        return unknowns++;
    }

    /** One unknown lies at most so far above another. */
    int atMost(int upper, int lower, double db, Cause cause) {
        return add(upper, lower, db, NOBODY, true, cause);
    }

    /** One unknown lies so far above another, and as much more as a control adds. */
    void differs(int upper, int lower, double db, int knobIndex, Cause cause) {
        add(upper, lower, db, knobIndex, true, cause);
        add(lower, upper, -db, knobIndex, false, cause);
    }

    private int add(int upper, int lower, double db, int knobIndex, boolean isUpperEnd, Cause cause) {
        if (count == from.length) {
            from = Arrays.copyOf(from, 2 * count);
            to = Arrays.copyOf(to, 2 * count);
            fixed = Arrays.copyOf(fixed, 2 * count);
            knob = Arrays.copyOf(knob, 2 * count);
            isUpper = Arrays.copyOf(isUpper, 2 * count);
            isDropped = Arrays.copyOf(isDropped, 2 * count);
            held = Arrays.copyOf(held, 2 * count);
        }
        from[count] = lower;
        to[count] = upper;
        fixed[count] = db;
        knob[count] = knobIndex;
        isUpper[count] = isUpperEnd;
        causes.add(cause);
        return count++;
    }

    Cause cause(int bound) {
        return causes.get(bound);
    }

    int knobOf(int bound) {
        return knob[bound];
    }

    /** Whether it is the highest place of its control that bounds, not the lowest. */
    boolean isUpper(int bound) {
        return isUpper[bound];
    }

    /** Of bounds in a circle: below 0 where they contradict each other. */
    double sum(List<Integer> circle, Ranges ranges) {
        return circle.stream().mapToDouble(bound -> weight(bound, ranges)).sum();
    }

    void drop(int bound) {
        isDropped[bound] = true;
    }

    void ease(int bound, double db) {
        fixed[bound] += db;
    }

    /** Holds a bound narrower by so much, until it is held by another amount. */
    void hold(int bound, double db) {
        held[bound] = db;
    }

    double held(int bound) {
        return held[bound];
    }

    void set(int bound, double db) {
        fixed[bound] = db;
    }

    private double weight(int bound, Ranges ranges) {
        if (knob[bound] == NOBODY) {
            return fixed[bound] - held[bound];
        }
        return fixed[bound] + (isUpper[bound] ? ranges.high()[knob[bound]] : -ranges.low()[knob[bound]]);
    }

    /** What was found: a solution, or bounds that contradict each other. */
    static final class Found {
        private final double[] levels;
        private final int[] by;
        private final List<Integer> conflict;
        private final double excess;

        private Found(double[] levels, int[] by, List<Integer> conflict, double excess) {
            this.levels = levels;
            this.by = by;
            this.conflict = conflict;
            this.excess = excess;
        }

        boolean isThere() {
            return conflict.isEmpty();
        }

        /** Of the unknowns; all of them 0 where there is a conflict. */
        double[] levels() {
            return levels;
        }

        /** The bounds that contradict each other, in a circle; empty where there is a solution. */
        List<Integer> conflict() {
            return conflict;
        }

        /** By how much they do. */
        double excess() {
            return excess;
        }
    }

    /** The greatest solution. */
    Found greatest(Ranges ranges) {
        return shortest(ranges, false);
    }

    /** The least solution. */
    Found least(Ranges ranges) {
        Found found = shortest(ranges, true);
        for (int i = 0; i < found.levels().length; i++) {
            found.levels()[i] = -found.levels()[i];
        }
        return found;
    }

    private Found shortest(Ranges ranges, boolean isBackward) {
        int[] start = isBackward ? to : from;
        int[] goal = isBackward ? from : to;
        double[] far = new double[unknowns];
        int[] by = new int[unknowns];
        Arrays.fill(far, Double.POSITIVE_INFINITY);
        Arrays.fill(by, NOBODY);
        far[ZERO] = 0;
        double[] weights = new double[count];
        for (int bound = 0; bound < count; bound++) {
            weights[bound] = isDropped[bound] ? Double.POSITIVE_INFINITY : weight(bound, ranges);
        }
        int changed = NOBODY;
        for (int round = 0; round <= unknowns; round++) {
            changed = NOBODY;
            // Bounds stand in the order of the signal: to and fro, so that both ways settle in a few rounds.
            boolean isForth = round % 2 == 0;
            for (int i = 0; i < count; i++) {
                int bound = isForth ? i : count - 1 - i;
                double reached = far[start[bound]] + weights[bound];
                if (reached < far[goal[bound]] - ROUNDING_DB) {
                    far[goal[bound]] = reached;
                    by[goal[bound]] = bound;
                    changed = goal[bound];
                }
            }
            if (changed == NOBODY) {
                return new Found(far, by, List.of(), 0);
            }
            if (round % 8 == 7) {
                List<Integer> circle = circle(by, start);
                if (!circle.isEmpty()) {
                    return conflict(circle, weights);
                }
            }
        }
        List<Integer> circle = circle(by, start);
        return circle.isEmpty() ? new Found(far, by, List.of(), 0) : conflict(circle, weights);
    }

    private Found conflict(List<Integer> circle, double[] weights) {
        double sum = circle.stream().mapToDouble(bound -> weights[bound]).sum();
        return new Found(new double[unknowns], new int[unknowns], circle, -sum);
    }

    /** Bounds that hold each other up in a circle; empty where there is none. */
    private List<Integer> circle(int[] by, int[] start) {
        int[] seen = new int[unknowns];
        for (int i = 0; i < unknowns; i++) {
            int at = i;
            while (by[at] != NOBODY && seen[at] == 0) {
                seen[at] = i + 1;
                at = start[by[at]];
            }
            if (by[at] != NOBODY && seen[at] == i + 1) {
                List<Integer> circle = new ArrayList<>();
                int begin = at;
                do {
                    circle.add(by[at]);
                    at = start[by[at]];
                } while (at != begin);
                Collections.reverse(circle);
                return circle;
            }
        }
        return List.of();
    }

    /** The bounds that hold an unknown, from zero on. */
    List<Integer> chain(Found found, int unknown, boolean isLeast) {
        List<Integer> chain = new ArrayList<>();
        int at = unknown;
        while (at != ZERO && found.by[at] != NOBODY && chain.size() <= count) {
            int bound = found.by[at];
            chain.add(bound);
            at = isLeast ? to[bound] : from[bound];
        }
        Collections.reverse(chain);
        return chain;
    }
}
