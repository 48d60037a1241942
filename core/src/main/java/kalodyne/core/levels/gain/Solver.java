package kalodyne.core.levels.gain;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Finds where the controls of a flow whose parts hang together should stand: no point clipping, the aimed lines in their aims,
 * as little of {@link Practice} given up as that needs, and then the least noise re the signal.
 */
final class Solver {
    /** So many controls with clicks between are tried either way; the others go to the nearest click. */
    private static final int MOST_BETWEEN = 4;

    private final Flow flow;
    private final Demands demands;
    private final Obstacles obstacles;
    private Bounds.Ranges practised;

    Solver(Flow flow, Wanted wanted) {
        this.flow = flow;
        this.demands = new Demands(flow, wanted);
        this.obstacles = new Obstacles(flow, demands);
    }

    /** What each control should add, in dB. */
    static final class Solved {
        private final double[] turns;
        private final boolean isProven;

        private Solved(double[] turns, boolean isProven) {
            this.turns = turns;
            this.isProven = isProven;
        }

        double[] turns() {
            return turns;
        }

        /** Whether nothing better is possible. */
        boolean isProven() {
            return isProven;
        }
    }

    Solved solve() {
        obstacles.ease(demands.ranges());
        Solved solved = solved();
        if (obstacles.isOutOfBalance()) {
            demands.correct(FlowLevels.of(flow.adding(solved.turns())), solved.turns());
            solved = solved();
        }
        return solved;
    }

    /** The least noise, whatever practice says. */
    Solved quietest() {
        obstacles.ease(demands.ranges());
        practised = clicked(demands.ranges());
        demands.holdNone();
        demands.leaveNoRoom();
        Branching branching = new Branching(flow, demands);
        return found(branching, branching.best(practised));
    }

    private Solved solved() {
        Bounds.Ranges clicked = clicked(demands.ranges());
        Optional<Settled> settled = settled(clicked);
        practised = settled.map(each -> each.ranges).orElse(clicked);
        Branching branching = new Branching(flow, demands);
        Optional<double[]> found = branching.best(practised);
        demands.holdNone();
        if (found.isEmpty()) {
            // Controls that act at several places leave nothing between: beside the aims, or as far as anything goes.
            found = branching.best(practised);
        }
        if (found.isEmpty()) {
            demands.leaveNoRoom();
            practised = clicked;
            found = branching.best(clicked);
        }
        return found(branching, found);
    }

    private Solved found(Branching branching, Optional<double[]> found) {
        return new Solved(
                found.orElseGet(
                        () -> flow.knobs().stream().mapToDouble(Knob::presentDb).toArray()),
                found.isPresent() && branching.isProven());
    }

    // --- practice ------------------------------------------------------------------------------------------------

    /** What is left to the controls once as much of practice is given up as must be. */
    private static final class Settled {
        private final Bounds.Ranges ranges;
        private final double[] given;
        private final double missed;
        private final double cost;
        private final double[][] turns;

        /**
         * Notes all of it.
         *
         * @param missed how far the ends lie outside what does, at the best
         */
        Settled(Bounds.Ranges ranges, double[] given, double missed, double cost, double[][] turns) {
            this.ranges = ranges;
            this.given = given;
            this.missed = missed;
            this.cost = cost;
            this.turns = turns;
        }

        /** The one that misses less, or gives up less, or has less noise. */
        boolean isBetterThan(Settled other) {
            if (Math.abs(missed - other.missed) > Demands.SAME_DB) {
                return missed < other.missed;
            }
            for (int i = 0; i < given.length; i++) {
                if (Math.abs(given[i] - other.given[i]) > Demands.SAME_DB) {
                    return given[i] < other.given[i];
                }
            }
            return cost < other.cost;
        }
    }

    private Optional<Settled> settled(Bounds.Ranges whole) {
        demands.leaveNoRoom();
        demands.tolerate();
        Optional<double[]> reached = demands.relaxed(whole);
        if (reached.isEmpty()) {
            demands.holdNone();
            reached = demands.relaxed(whole);
            reached.ifPresent(demands::reachable);
        }
        if (reached.isEmpty()) {
            return Optional.empty();
        }
        double missed = demands.untolerated(reached.get());
        Concessions concessions = Concessions.of(demands, flow, whole);
        return demands.relaxed(concessions.ranges())
                .map(levels -> new Settled(
                        concessions.ranges(),
                        concessions.given(),
                        missed,
                        demands.cost(levels),
                        demands.turns(levels)));
    }

    // --- clicks --------------------------------------------------------------------------------------------------

    /** With every control that moves in clicks at one of them: where it would lie between two, at the better one. */
    private Bounds.Ranges clicked(Bounds.Ranges whole) {
        List<Integer> clicking = IntStream.range(0, flow.knobs().size())
                .filter(k -> flow.knobs().get(k).steps().length > 0)
                .boxed()
                .toList();
        Optional<double[][]> free =
                clicking.isEmpty() ? Optional.empty() : settled(whole).map(each -> each.turns);
        if (free.isEmpty()) {
            return clicking.isEmpty() ? whole : atClicks(whole, clicking, whole.low());
        }
        double[][] turns = free.get();
        List<Integer> between = clicking.stream()
                .sorted(Comparator.comparingDouble(k -> -off(k, turns[k])))
                .filter(k -> off(k, turns[k]) > Demands.SAME_DB)
                .limit(MOST_BETWEEN)
                .toList();
        double[] nearest = new double[turns.length];
        Arrays.setAll(nearest, k -> (turns[k][0] + turns[k][1]) / 2);
        Bounds.Ranges at = atClicks(whole, clicking, nearest);
        Settled best = null;
        Bounds.Ranges chosen = at;
        for (int way = 0; !between.isEmpty() && way < 1 << between.size(); way++) {
            Bounds.Ranges trial = at.copy();
            for (int i = 0; i < between.size(); i++) {
                int k = between.get(i);
                boolean isUp = (way >> i & 1) == 1;
                double click = isUp ? above(k, turns[k][1]) : below(k, turns[k][0]);
                trial.low()[k] = click;
                trial.high()[k] = click;
            }
            Optional<Settled> settled = settled(trial);
            if (settled.isPresent() && (best == null || settled.get().isBetterThan(best))) {
                best = settled.get();
                chosen = trial;
            }
        }
        return chosen;
    }

    private Bounds.Ranges atClicks(Bounds.Ranges whole, List<Integer> clicking, double[] near) {
        Bounds.Ranges at = whole.copy();
        for (int k : clicking) {
            double down = below(k, near[k]);
            double up = above(k, near[k]);
            double click = near[k] - down <= up - near[k] ? down : up;
            at.low()[k] = click;
            at.high()[k] = click;
        }
        return at;
    }

    private double off(int k, double[] turn) {
        double down = below(k, turn[0]);
        return Math.min(turn[1] - down, above(k, turn[1]) - turn[0]);
    }

    private double below(int k, double db) {
        double[] steps = flow.knobs().get(k).steps();
        return Arrays.stream(steps)
                .filter(step -> step <= db + Demands.SAME_DB)
                .max()
                .orElse(steps[0]);
    }

    private double above(int k, double db) {
        double[] steps = flow.knobs().get(k).steps();
        return Arrays.stream(steps)
                .filter(step -> step >= db - Demands.SAME_DB)
                .min()
                .orElse(steps[steps.length - 1]);
    }

    // --- what a hand sets ----------------------------------------------------------------------------------------

    Demands demands() {
        return demands;
    }

    /** The ranges that the answer was found in. */
    Bounds.Ranges practised() {
        return practised.copy();
    }

    /** How far a point may clip at the most: what cannot be helped, and what is driven. */
    double clipsAllowed() {
        return obstacles.clipsBy() + demands.driven();
    }

    /** What is left to the other controls once some are set; empty where that cannot be. */
    Optional<double[]> turns(Bounds.Ranges ranges) {
        return demands.relaxed(ranges)
                .map(levels -> Arrays.stream(demands.turns(levels))
                        .mapToDouble(turn -> turn[0])
                        .toArray());
    }

    /** What keeps the ends from their aims with the controls as they are set in a flow. */
    List<Hindrance> misses(FlowLevels levels) {
        return obstacles.misses(levels);
    }
}
