package kalodyne.core.levels.gain;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Taper;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Gain;

/**
 * Moves what was solved to the last digit to what a hand can set: quarter hours, one control after the other from the sources
 * on, so that later ones make up for what earlier ones were moved.
 */
final class QuarterHours {
    /** A control that does nearly as well where it stands is left there. */
    private static final double WORTH_TURNING_DB = 0.5;

    /** Players in a mix may lie so far from their balance: half a quarter hour of most faders. */
    private static final double OFF_BALANCE_DB = 0.75;

    /** In dB of noise for each decibel beside what practice left. */
    private static final double BESIDE = 1;

    /** The nearer of two quarter hours, where noise does not matter. */
    private static final double AWAY = 0.5;

    private final Flow flow;
    private final Solver solver;
    private final double[] solved;
    private final Bounds.Ranges practised;

    /** The same with a quarter hour more on both sides; then narrowed to what was set. */
    private final Bounds.Ranges ranges;

    private final Bounds.Ranges first;

    /** Where all controls would stand by now: set ones where they are set, the others where they fit best. */
    private double[] positions;

    private final boolean[] isMet;

    QuarterHours(Flow flow, Solver solver, double[] solved) {
        this.flow = flow;
        this.solver = solver;
        this.solved = solved;
        this.practised = solver.practised();
        this.ranges = solver.practised();
        for (int k = 0; k < solved.length; k++) {
            widen(k);
        }
        this.first = ranges.copy();
        this.positions = positions(solved);
        this.isMet = met(FlowLevels.of(turned(positions)));
        solver.demands().loosenRooms(OFF_BALANCE_DB);
    }

    /** Before anything is moved. */
    double[] exact() {
        return positions.clone();
    }

    double[] positions() {
        List<Integer> free = IntStream.range(0, solved.length)
                .filter(k -> !flow.knobs().get(k).isLocked())
                .boxed()
                .toList();
        for (int k : free) {
            if (!turnsFreely(k)) {
                set(k, solved[k]);
            }
        }
        free.stream().filter(this::turnsFreely).filter(this::isLinked).forEach(this::move);
        free.stream().filter(this::turnsFreely).filter(k -> !isLinked(k)).forEach(this::move);
        return positions;
    }

    private boolean turnsFreely(int k) {
        return flow.knobs().get(k).steps().length == 0
                && practised.low()[k] < practised.high()[k];
    }

    /** By the quarter hour that the places of a hand may lie beside what practice left; marks at 0 dB are met exactly. */
    private void widen(int k) {
        if (turnsFreely(k)) {
            Knob knob = flow.knobs().get(k);
            ranges.low()[k] = beside(knob, practised.low()[k], -1);
            ranges.high()[k] = beside(knob, practised.high()[k], 1);
        }
    }

    private static double beside(Knob knob, double db, int quarters) {
        Taper taper = knob.control().taper();
        double place = taper.positionFor(new Gain(db))
                + quarters * knob.control().dial().quarterHour();
        Travel whole = Travel.whole(knob);
        return Travel.at(taper.at(Math.max(0, Math.min(1, place))).db())
                .within(whole)
                .low();
    }

    private boolean isLinked(int k) {
        return flow.points().stream()
                        .filter(point ->
                                point.knob().isPresent() && point.knob().getAsInt() == k)
                        .count()
                > 1;
    }

    private void set(int k, double db) {
        ranges.low()[k] = db;
        ranges.high()[k] = db;
    }

    private void move(int k) {
        Control control = flow.knobs().get(k).control();
        double quarter = control.dial().nearestQuarter(positions[k]);
        double step = control.dial().quarterHour();
        double exact = positions[k];
        double[] best = null;
        double least = Double.POSITIVE_INFINITY;
        double at = exact;
        double[] places = DoubleStream.of(
                        flow.knobs().get(k).isTold() ? control.position() : quarter,
                        quarter,
                        quarter - step,
                        quarter + step)
                .distinct()
                .filter(position -> position >= 0 && position <= 1)
                .filter(position -> isWithin(k, control.taper().at(position).db()))
                .toArray();
        for (double place : places) {
            set(k, control.taper().at(place).db());
            Optional<double[]> trial = left();
            if (trial.isPresent()) {
                trial.get()[k] = place;
                double moved = Math.abs(control.taper().at(place).db() - solved[k]);
                double cost = cost(trial.get()) + AWAY * moved - (isPresent(k, place) ? WORTH_TURNING_DB : 0);
                if (cost < least) {
                    least = cost;
                    best = trial.get();
                    at = place;
                }
            }
        }
        set(k, control.taper().at(at).db());
        positions = best == null ? positions : best;
    }

    /** What is left to the controls that are not yet set: in balance, or nearly so. */
    private Optional<double[]> left() {
        solver.demands().loosen(0);
        Optional<double[]> balanced = solver.turns(ranges);
        if (balanced.isEmpty()) {
            solver.demands().loosen(OFF_BALANCE_DB);
            balanced = solver.turns(ranges);
        }
        return balanced.map(this::positions);
    }

    private boolean isPresent(int k, double place) {
        Knob knob = flow.knobs().get(k);
        return knob.isTold() && place == knob.control().position();
    }

    private boolean isWithin(int k, double db) {
        return db >= first.low()[k] - Demands.SAME_DB && db <= first.high()[k] + Demands.SAME_DB;
    }

    /** Where the controls add so much. */
    private double[] positions(double[] turns) {
        return IntStream.range(0, turns.length)
                .mapToDouble(k -> flow.knobs().get(k).adding(turns[k]).control().position())
                .toArray();
    }

    private Flow turned(double[] places) {
        Map<Spot, Double> byMark = new HashMap<>();
        IntStream.range(0, places.length)
                .forEach(k -> byMark.put(flow.knobs().get(k).id(), places[k]));
        return flow.turned(byMark);
    }

    private boolean[] met(FlowLevels levels) {
        boolean[] met = new boolean[flow.ends().size()];
        for (int e = 0; e < met.length; e++) {
            met[e] = levels.isMet(e);
        }
        return met;
    }

    /** Infinite where something clips, or where an aim is missed that could be met. */
    private double cost(double[] places) {
        FlowLevels levels = FlowLevels.of(turned(places));
        boolean[] now = met(levels);
        boolean misses = IntStream.range(0, now.length).anyMatch(e -> isMet[e] && !now[e]);
        if (misses || levels.clips(new Gain(solver.clipsAllowed() + 1e-3))) {
            return Double.POSITIVE_INFINITY;
        }
        double beside = 0;
        for (int k = 0; k < places.length; k++) {
            double db = levels.flow().knobs().get(k).presentDb();
            beside +=
                    Math.max(0, Math.max(practised.low()[k] - db, db - practised.high()[k]));
        }
        return BESIDE * beside
                + IntStream.range(0, now.length)
                        .mapToDouble(e -> solver.demands()
                                        .missed(
                                                e,
                                                levels.aimed(e)
                                                        - solver.demands().target(e))
                                - levels.range(e).db())
                        .sum();
    }
}
