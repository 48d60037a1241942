package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import kalodyne.core.units.Gain;

/**
 * Finds where the controls of a flow whose parts hang together should stand: the aimed lines in the middle of their aims, no
 * point clipping, and then the least noise re the signal.
 *
 * <p>Without clicks and with every control acting at one place this is one look at the bounds: noise falls with every level
 * before the end, and bounds on differences have a solution that is the greatest everywhere at once. Clicks, and controls that
 * act at several places, are settled by branching: each branch has narrower ranges, and its greatest solution costs no more
 * than anything in it.
 */
final class Solver {
    /** Better by less than this is not worth looking for. */
    private static final double TOLERANCE_DB = 0.02;

    private static final int MOST_BRANCHES = 4000;
    private static final double MOST_DB = 120;
    private static final int MOST_CONFLICTS = 500;

    private final Flow flow;
    private final Demands demands;
    private final Bounds bounds;
    private final double[][] steps;
    private final List<Hindrance> hindrances = new ArrayList<>();
    private double best = Double.POSITIVE_INFINITY;
    private double[] bestTurns;
    private boolean isProven = true;

    Solver(Flow flow, Wanted wanted) {
        this.flow = flow;
        this.demands = new Demands(flow, wanted);
        this.bounds = demands.bounds();
        this.steps = flow.knobs().stream().map(Knob::steps).toArray(double[][]::new);
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
        Bounds.Ranges whole = demands.ranges();
        easeConflicts(whole);
        branch(whole);
        if (bestTurns == null) {
            bestTurns = flow.knobs().stream().mapToDouble(Knob::presentDb).toArray();
            isProven = false;
        }
        return new Solved(bestTurns, isProven);
    }

    /** How far the most overloaded point clips whatever is done, in dB. */
    private double clipsBy() {
        return hindrances.stream()
                .filter(each -> each.kind() == Hindrance.Kind.OVERLOADED)
                .mapToDouble(each -> each.by().db())
                .max()
                .orElse(0);
    }

    /** How far a point may clip at the most: what cannot be helped, and what is driven. */
    double clipsAllowed() {
        return clipsBy() + demands.driven();
    }

    Demands demands() {
        return demands;
    }

    // --- what cannot be ------------------------------------------------------------------------------------------

    /** Takes back what contradicts itself, as little as is needed, and notes what it was. */
    private void easeConflicts(Bounds.Ranges ranges) {
        demands.aimless();
        for (int i = 0; i < MOST_CONFLICTS; i++) {
            Bounds.Found found = bounds.greatest(ranges);
            if (found.isThere()) {
                return;
            }
            ease(found);
        }
    }

    private void ease(Bounds.Found found) {
        for (Bounds.Cause.Kind kind :
                List.of(Bounds.Cause.Kind.DRIVE, Bounds.Cause.Kind.BALANCE, Bounds.Cause.Kind.CEILING)) {
            for (int bound : found.conflict()) {
                if (bounds.cause(bound).kind() == kind) {
                    hinder(kind, bound, found);
                    return;
                }
            }
        }
        // Nothing that can be eased: controls that must stay contradict each other along two ways.
        bounds.drop(found.conflict().get(0));
    }

    private void hinder(Bounds.Cause.Kind kind, int bound, Bounds.Found found) {
        int point = bounds.cause(bound).point();
        double by = found.excess();
        switch (kind) {
            case CEILING -> {
                bounds.ease(bound, by + 1e-6);
                double past = by - demands.kept(point);
                if (past > 0) {
                    note(Hindrance.Kind.OVERLOADED, point, "", past, limits(found.conflict()));
                }
            }
            case BALANCE -> {
                bounds.drop(bound);
                note(Hindrance.Kind.OUT_OF_BALANCE, point, "", by, limits(found.conflict()));
            }
            default -> {
                bounds.drop(bound);
                note(Hindrance.Kind.NOT_DRIVEN, point, "", by, limits(found.conflict()));
            }
        }
    }

    private void note(Hindrance.Kind kind, int point, String end, double missing, List<Knob> limits) {
        // What is shut misses by any number.
        double by = Math.min(MOST_DB, missing);
        PointId id = flow.points().get(point).id();
        hindrances.removeIf(each ->
                each.kind() == kind && each.point().equals(id) && each.end().equals(end));
        hindrances.add(new Hindrance(kind, id, end, new Gain(by), limits));
    }

    /** The controls among some bounds. */
    private List<Knob> limits(List<Integer> some) {
        return some.stream()
                .map(bounds::knobOf)
                .filter(knob -> knob >= 0)
                .distinct()
                .map(flow.knobs()::get)
                .toList();
    }

    /** What keeps the ends from their aims with the controls as they are set in a flow. */
    List<Hindrance> misses(FlowLevels levels) {
        Bounds.Ranges whole = demands.ranges();
        demands.aimless();
        Bounds.Found least = bounds.least(whole);
        Bounds.Found most = bounds.greatest(whole);
        for (int e = 0; least.isThere() && e < flow.ends().size(); e++) {
            if (!levels.isMet(e)) {
                miss(e, levels.aimed(e) - flow.ends().get(e).middle(), least, most);
            }
        }
        return List.copyOf(hindrances);
    }

    private void miss(int e, double off, Bounds.Found least, Bounds.Found most) {
        End end = flow.ends().get(e);
        double half = (end.high() - end.low()) / 2;
        double by = Math.abs(off) - half;
        boolean isHot = off > 0;
        double reach = demands.off(e, isHot ? least.levels() : most.levels());
        List<Integer> chain = bounds.chain(isHot ? least : most, demands.atEnd(e), isHot);
        List<Knob> limits = limits(chain);
        if (isHot ? reach < half : reach > -half) {
            note(Hindrance.Kind.BETWEEN_CLICKS, end.point(), end.name(), by, limits);
        } else if (isHot) {
            note(Hindrance.Kind.TOO_HOT_AT_LOWEST, end.point(), end.name(), by, limits);
        } else {
            Bounds.Cause root = chain.isEmpty()
                    ? new Bounds.Cause(Bounds.Cause.Kind.SOUND, end.point())
                    : bounds.cause(chain.get(0));
            boolean clips = root.kind() == Bounds.Cause.Kind.CEILING;
            note(
                    clips ? Hindrance.Kind.CLIPS_BEFORE_AIM : Hindrance.Kind.TOO_QUIET_AT_HIGHEST,
                    clips ? root.point() : end.point(),
                    end.name(),
                    by,
                    limits);
        }
    }

    // --- branching -----------------------------------------------------------------------------------------------

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
    }

    private void branch(Bounds.Ranges whole) {
        PriorityQueue<Branch> open = new PriorityQueue<>(Comparator.comparingDouble(branch -> branch.cost));
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
                bestTurns =
                        Arrays.stream(next.turns).mapToDouble(turn -> turn[0]).toArray();
                continue;
            }
            tryRounded(next);
            split(open, next, knob);
        }
    }

    private Branch relaxed(Bounds.Ranges ranges) {
        demands.aimless();
        Bounds.Found least = bounds.least(ranges);
        if (!least.isThere()) {
            return null;
        }
        demands.aim(least);
        Bounds.Found most = bounds.greatest(ranges);
        return most.isThere() ? new Branch(ranges, demands.cost(most.levels()), demands.turns(most.levels())) : null;
    }

    private void push(PriorityQueue<Branch> open, Bounds.Ranges ranges) {
        Branch branch = relaxed(ranges);
        if (branch != null && branch.cost < best - TOLERANCE_DB) {
            open.add(branch);
        }
    }

    /** A first whole answer from a branch, so that the others can be measured against it. */
    private void tryRounded(Branch branch) {
        Bounds.Ranges rounded = branch.ranges.copy();
        for (int knob = 0; knob < steps.length; knob++) {
            double turn = branch.turns[knob][0];
            if (steps[knob].length > 0) {
                turn = stepAtMost(knob, turn + Demands.SAME_DB, rounded.low()[knob]);
            } else if (branch.turns[knob][1] - turn <= Demands.SAME_DB) {
                continue;
            }
            rounded.low()[knob] = turn;
            rounded.high()[knob] = turn;
        }
        Branch answer = relaxed(rounded);
        if (answer != null && answer.cost < best && unsettled(answer.turns) < 0) {
            best = answer.cost;
            bestTurns = Arrays.stream(answer.turns).mapToDouble(turn -> turn[0]).toArray();
        }
    }

    /** The control that is furthest from what it can do; −1 where there is none. */
    private int unsettled(double[][] turns) {
        int worst = -1;
        double most = Demands.SAME_DB;
        for (int knob = 0; knob < turns.length; knob++) {
            double off = turns[knob][1] - turns[knob][0];
            if (steps[knob].length > 0) {
                double turn = turns[knob][0];
                off += Arrays.stream(steps[knob])
                        .map(step -> Math.abs(step - turn))
                        .min()
                        .orElse(0);
            }
            if (off > most) {
                most = off;
                worst = knob;
            }
        }
        return worst;
    }

    private void split(PriorityQueue<Branch> open, Branch branch, int knob) {
        double low = branch.turns[knob][0];
        double middle = (low + branch.turns[knob][1]) / 2;
        double below = middle;
        double above = middle;
        if (steps[knob].length > 0) {
            below = stepAtMost(knob, middle, Double.NEGATIVE_INFINITY);
            above = stepAbove(knob, below);
        }
        Bounds.Ranges lower = branch.ranges.copy();
        Bounds.Ranges upper = branch.ranges.copy();
        lower.high()[knob] = below;
        upper.low()[knob] = above;
        if (lower.low()[knob] <= below) {
            push(open, lower);
        }
        if (above <= upper.high()[knob]) {
            push(open, upper);
        }
    }

    private double stepAtMost(int knob, double db, double least) {
        double found = steps[knob][0];
        for (double step : steps[knob]) {
            if (step <= db && step >= least) {
                found = step;
            }
        }
        return Math.max(found, Math.max(least, steps[knob][0]));
    }

    private double stepAbove(int knob, double db) {
        for (double step : steps[knob]) {
            if (step > db) {
                return step;
            }
        }
        return Double.POSITIVE_INFINITY;
    }

    // --- what a hand sets ----------------------------------------------------------------------------------------

    /** What is left to the other controls once some are set; empty where that cannot be. */
    Optional<double[]> turns(Bounds.Ranges ranges) {
        return Optional.ofNullable(relaxed(ranges))
                .map(branch ->
                        Arrays.stream(branch.turns).mapToDouble(turn -> turn[0]).toArray());
    }
}
