package kalodyne.core.levels.gain;

import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The least noise within ranges. With every control acting at one place this is one look at the bounds: noise falls with every
 * level before the end, and bounds on differences have a solution that is the greatest everywhere at once. Controls that act at
 * several places are settled by branching: each branch has narrower ranges, and its greatest solution costs no more than
 * anything in it.
 */
final class Branching {
    /** Better by less than this is not worth looking for. */
    private static final double TOLERANCE_DB = 0.02;

    private static final int MOST_BRANCHES = 4000;

    private final Flow flow;
    private final Demands demands;
    private double best;
    private double[] bestTurns;
    private boolean isProven = true;

    Branching(Flow flow, Demands demands) {
        this.flow = flow;
        this.demands = demands;
    }

    /** Ranges, and the least that anything within them costs. */
    private static final class Branch {
        private final Bounds.Ranges ranges;
        private final double cost;
        private final double[][] turns;

        Branch(Bounds.Ranges ranges, double cost, double[][] turns) {
            this.ranges = ranges;
            this.cost = cost;
            this.turns = turns;
        }

        double cost() {
            return cost;
        }

        double[] lows() {
            return Arrays.stream(turns).mapToDouble(turn -> turn[0]).toArray();
        }
    }

    /** What each control should add; empty where nothing fits. */
    Optional<double[]> best(Bounds.Ranges ranges) {
        best = Double.POSITIVE_INFINITY;
        bestTurns = null;
        isProven = true;
        branch(ranges);
        return Optional.ofNullable(bestTurns);
    }

    /** Whether nothing better is possible. */
    boolean isProven() {
        return isProven;
    }

    private void branch(Bounds.Ranges whole) {
        PriorityQueue<Branch> open = new PriorityQueue<>(Comparator.comparingDouble(Branch::cost));
        push(open, whole);
        int looked = 0;
        while (!open.isEmpty()) {
            Branch next = open.poll();
            if (next.cost >= best - TOLERANCE_DB) {
                return;
            }
            if (++looked > MOST_BRANCHES) {
                isProven = false;
                return;
            }
            int knob = unsettled(next.turns);
            if (knob < 0) {
                best = next.cost;
                bestTurns = next.lows();
                continue;
            }
            tryOne(next);
            split(open, next, knob);
        }
    }

    private Optional<Branch> relaxed(Bounds.Ranges ranges) {
        return demands.relaxed(ranges).map(levels -> new Branch(ranges, demands.cost(levels), demands.turns(levels)));
    }

    private void push(PriorityQueue<Branch> open, Bounds.Ranges ranges) {
        relaxed(ranges).filter(branch -> branch.cost < best - TOLERANCE_DB).ifPresent(open::add);
    }

    /** A first whole answer from a branch, so that the others can be measured against it. */
    private void tryOne(Branch branch) {
        Bounds.Ranges rounded = branch.ranges.copy();
        for (int knob = 0; knob < flow.knobs().size(); knob++) {
            double turn = branch.turns[knob][0];
            if (branch.turns[knob][1] - turn > Demands.SAME_DB) {
                rounded.low()[knob] = turn;
                rounded.high()[knob] = turn;
            }
        }
        relaxed(rounded)
                .filter(answer -> answer.cost < best && unsettled(answer.turns) < 0)
                .ifPresent(answer -> {
                    best = answer.cost;
                    bestTurns = answer.lows();
                });
    }

    /** The control whose places differ most; −1 where there is none. */
    private static int unsettled(double[][] turns) {
        int worst = -1;
        double most = Demands.SAME_DB;
        for (int knob = 0; knob < turns.length; knob++) {
            double off = turns[knob][1] - turns[knob][0];
            if (off > most) {
                most = off;
                worst = knob;
            }
        }
        return worst;
    }

    private void split(PriorityQueue<Branch> open, Branch branch, int knob) {
        double middle = (branch.turns[knob][0] + branch.turns[knob][1]) / 2;
        Bounds.Ranges lower = branch.ranges.copy();
        Bounds.Ranges upper = branch.ranges.copy();
        lower.high()[knob] = middle;
        upper.low()[knob] = middle;
        push(open, lower);
        push(open, upper);
    }
}
