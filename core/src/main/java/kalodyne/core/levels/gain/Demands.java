package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import kalodyne.core.units.Level;

/**
 * A flow as bounds on levels: each point has one unknown, the loudest peak that its reference player has behind it. How the
 * players stand to each other where they meet is fixed beforehand ({@link Mixes}), and so is by how much all together are
 * louder than the reference; so every control, ceiling and aim bounds differences of two unknowns.
 */
final class Demands {
    /** How far "drive it" goes past the ceiling. */
    private static final double DRIVEN_DB = 3;

    private static final double NO_BOUND = 1e6;
    private static final int NOBODY = -1;

    /** What comes in louder than this is a line and no microphone; common practice. */
    private static final Level LINE = new Level(-12);

    /** Held as far inside an aim, so that quarter hours stay within it. */
    private static final double INSIDE_DB = 2;

    /** Nearer than this, levels are the same. */
    static final double SAME_DB = 1e-3;

    /** In dB of noise for each decibel below the middle of an aim. */
    private static final double BELOW = 2;

    /** In dB of noise for each decibel outside an aim. */
    private static final double OUTSIDE = 100;

    private final Flow flow;
    private final Wanted wanted;
    private final Bounds bounds = new Bounds();
    private final int[] out;
    private final int[] aims;
    private final int[] reaches;
    private final double[] best;
    private final double[] misjudged;
    private final Travel[] held;
    private final int[] ceilings;
    private final Practice[] practice;
    private final Noises noises;
    private final List<Use> uses = new ArrayList<>();
    private final List<Integer> balances = new ArrayList<>();
    private final Bounds.Ranges ranges;
    private final Mixes mixes;

    /** Where a control acts: what it adds is what one unknown lies above another, less a constant. */
    private record Use(int knob, int upper, int lower, double db) {}

    Demands(Flow flow, Wanted wanted) {
        this.flow = flow;
        this.wanted = wanted;
        int count = flow.points().size();
        out = new int[count];
        aims = new int[flow.ends().size()];
        reaches = new int[flow.ends().size()];
        best = new double[flow.ends().size()];
        misjudged = new double[flow.ends().size()];
        held = new Travel[flow.ends().size()];
        holdNone();
        ceilings = new int[count];
        ranges = ranges();
        practice = practice();
        mixes = new Mixes(flow, wanted, ranges);
        int[] in = new int[count];
        for (int i = 0; i < count; i++) {
            out[i] = bounds.unknown();
            in[i] = bound(i, flow.points().get(i));
        }
        loosen(0);
        limits();
        noises = new Noises(flow, mixes, out, in);
        for (int e = 0; e < flow.ends().size(); e++) {
            aims[e] = bounds.atMost(
                    out[flow.ends().get(e).point()],
                    Bounds.ZERO,
                    NO_BOUND,
                    new Bounds.Cause(Bounds.Cause.Kind.AIM, flow.ends().get(e).point()));
            reaches[e] = bounds.atMost(
                    Bounds.ZERO,
                    out[flow.ends().get(e).point()],
                    NO_BOUND,
                    new Bounds.Cause(Bounds.Cause.Kind.AIM, flow.ends().get(e).point()));
        }
    }

    Bounds bounds() {
        return bounds;
    }

    /** Lets players in a mix lie so far from their balance. */
    void loosen(double db) {
        balances.forEach(balance -> bounds.hold(balance, -db - SAME_DB));
    }

    // --- controls ----------------------------------------------------------------------------------------------

    /** As far as the controls go. */
    Bounds.Ranges ranges() {
        return ranges != null
                ? ranges.copy()
                : new Bounds.Ranges(
                        flow.knobs().stream().mapToDouble(Knob::leastDb).toArray(),
                        flow.knobs().stream().mapToDouble(Knob::mostDb).toArray());
    }

    private Practice[] practice() {
        BitSet lines = lines();
        return IntStream.range(0, flow.knobs().size())
                .mapToObj(k -> Practice.of(flow.knobs().get(k), wanted.school(), lines.get(k)))
                .toArray(Practice[]::new);
    }

    /** Where a control should stand, and how it may leave that place. */
    Practice practice(int knob) {
        return practice[knob];
    }

    /** The controls that get a line: from a source as loud as that, or behind a control that makes gain already. */
    private BitSet lines() {
        int count = flow.points().size();
        BitSet lines = new BitSet();
        BitSet behind = new BitSet();
        for (int i = 0; i < count; i++) {
            Point point = flow.points().get(i);
            boolean isLine = point.sound()
                            .filter(sound -> sound.levels().peak().compareTo(LINE) > 0)
                            .isPresent()
                    || point.feeds().stream().anyMatch(feed -> behind.get(feed.from()));
            boolean makesGain = false;
            if (point.knob().isPresent()) {
                int knob = point.knob().getAsInt();
                lines.set(knob, isLine);
                Duty duty = flow.knobs().get(knob).duty();
                makesGain = duty == Duty.GAIN || duty == Duty.TRIM;
            }
            behind.set(i, isLine || makesGain);
        }
        return lines;
    }

    // --- bounds ------------------------------------------------------------------------------------------------

    /** Returns the unknown at the point's input: that of what feeds it, or one of its own where several do. */
    private int bound(int index, Point point) {
        int lower;
        double before;
        Bounds.Cause cause =
                new Bounds.Cause(point.sound().isPresent() ? Bounds.Cause.Kind.SOUND : Bounds.Cause.Kind.GAIN, index);
        if (point.sound().isPresent()) {
            lower = Bounds.ZERO;
            before = point.sound().get().levels().peak().dbu();
        } else if (point.isBus()) {
            lower = bounds.unknown();
            before = 0;
            for (int f = 0; f < point.feeds().size(); f++) {
                Feed feed = point.feeds().get(f);
                Bounds.Cause mixed = new Bounds.Cause(Bounds.Cause.Kind.BALANCE, feed.from());
                Bounds.Cause held = new Bounds.Cause(Bounds.Cause.Kind.GAIN, index);
                double to = mixes.shareDb(index, f);
                balances.add(bounds.atMost(out[feed.from()], lower, to - Mixes.db(feed), held));
                if (mixes.isBalanced(index, f)) {
                    balances.add(bounds.atMost(lower, out[feed.from()], Mixes.db(feed) - to, mixed));
                }
            }
        } else {
            lower = out[point.feeds().get(0).from()];
            before = Mixes.db(point.feeds().get(0));
        }
        double db = before + point.gain().db();
        if (point.knob().isPresent()) {
            int knob = point.knob().getAsInt();
            bounds.differs(out[index], lower, db, knob, cause);
            uses.add(new Use(knob, out[index], lower, db));
        } else {
            bounds.atMost(out[index], lower, db, cause);
            bounds.atMost(lower, out[index], -db, cause);
        }
        return lower;
    }

    private void limits() {
        BitSet driven = wanted.school() == GainSchool.DRIVE ? drivenPoints() : new BitSet();
        BitSet converters = new BitSet();
        flow.ends().stream().filter(end -> end.kind() == End.Kind.TRACK).forEach(end -> converters.set(end.point()));
        for (int i = 0; i < flow.points().size(); i++) {
            Point point = flow.points().get(i);
            ceilings[i] = NOBODY;
            if (point.ceiling().isEmpty()) {
                continue;
            }
            double most = point.ceiling().get().dbu() - mixes.totalDb(i);
            if (driven.get(i)) {
                bounds.atMost(out[i], Bounds.ZERO, most + DRIVEN_DB, new Bounds.Cause(Bounds.Cause.Kind.CEILING, i));
                bounds.atMost(Bounds.ZERO, out[i], -most - DRIVEN_DB, new Bounds.Cause(Bounds.Cause.Kind.DRIVE, i));
            } else {
                int ceiling = bounds.atMost(out[i], Bounds.ZERO, most, new Bounds.Cause(Bounds.Cause.Kind.CEILING, i));
                // Aims keep converters free, and no source is louder than its own output.
                ceilings[i] = converters.get(i) || point.sound().isPresent() ? NOBODY : ceiling;
            }
        }
    }

    /** Leaves as much free under a ceiling as goes with a concession. */
    void leaveRoom(int point, double concession) {
        if (ceilings[point] != NOBODY) {
            bounds.hold(ceilings[point], Practice.room(wanted.school(), concession));
        }
    }

    void leaveNoRoom() {
        for (int point = 0; point < ceilings.length; point++) {
            leaveRoom(point, Practice.MOST);
        }
    }

    /** Lets quarter hours take a little of what is left under ceilings. */
    void loosenRooms(double db) {
        for (int ceiling : ceilings) {
            if (ceiling != NOBODY) {
                bounds.hold(ceiling, Math.max(0, bounds.held(ceiling) - db));
            }
        }
    }

    /** How far the school goes past ceilings. */
    double driven() {
        return wanted.school() == GainSchool.DRIVE ? DRIVEN_DB : 0;
    }

    /** The preamps that have a ceiling, and something behind them that turns down again. */
    private BitSet drivenPoints() {
        int count = flow.points().size();
        BitSet turnsBehind = new BitSet();
        BitSet driven = new BitSet();
        for (int i = count - 1; i >= 0; i--) {
            Point point = flow.points().get(i);
            boolean isTurned = point.knob().isPresent()
                    && ranges.low()[point.knob().getAsInt()]
                            < ranges.high()[point.knob().getAsInt()];
            boolean isGain = point.knob().isPresent()
                    && flow.knobs().get(point.knob().getAsInt()).duty() == Duty.GAIN;
            if (isGain && point.ceiling().isPresent() && turnsBehind.get(i)) {
                driven.set(i);
            }
            if (isTurned || turnsBehind.get(i)) {
                point.feeds().forEach(feed -> turnsBehind.set(feed.from()));
            }
        }
        return driven;
    }

    // --- reading a solution --------------------------------------------------------------------------------------

    /** The level of the reference at an end where the aimed line lies at some place of its scale. */
    private double reference(int end, double onScale) {
        End each = flow.ends().get(end);
        double over = each.line() == End.Line.PEAK ? mixes.totalDb(each.point()) : mixes.averageDb(each.point());
        return each.zero().dbu() + onScale - over - misjudged[end];
    }

    /** Where players did not get as loud as was reckoned, an end lies elsewhere: so much is made up for. */
    void correct(FlowLevels found, double[] turns) {
        double[] levels = relaxed(new Bounds.Ranges(turns, turns)).orElse(null);
        for (int e = 0; levels != null && e < aims.length; e++) {
            double over = found.aimed(e) - onScale(e, levels);
            misjudged[e] += Double.isFinite(over) ? over : 0;
        }
    }

    /** Where within its aim an end is set to: its middle; whoever works up from nothing stops in the lower part. */
    double target(int end) {
        End each = flow.ends().get(end);
        return wanted.school() == GainSchool.WORK_UP ? each.middle() - (each.high() - each.low()) / 3 : each.middle();
    }

    /** Holds every end at the middle of its aim, or as near above it as it can come down. */
    void aim(Bounds.Found least) {
        for (int e = 0; e < aims.length; e++) {
            double middle = reference(e, target(e));
            bounds.set(aims[e], Math.max(middle, least.levels()[atEnd(e)]));
        }
    }

    /** Notes where the ends come to lie at best, where not all of them can lie where it does. */
    void reachable(double[] levels) {
        for (int e = 0; e < aims.length; e++) {
            best[e] = levels[atEnd(e)];
        }
    }

    /** Holds all ends where it does; where that can be, nothing else needs to be reached. */
    void tolerate() {
        Arrays.fill(best, Double.NaN);
        for (int e = 0; e < aims.length; e++) {
            hold(e, Practice.MOST, Practice.MOST);
        }
    }

    /** Holds an end within its aim, or where it came to lie as near to it as it can; from below and from above. */
    void hold(int end, double below, double above) {
        double low = reference(end, inside(end, below).low());
        double high = reference(end, inside(end, above).high());
        boolean isReached = Double.isNaN(best[end]);
        held[end] = new Travel(
                isReached ? low : Math.min(low, best[end] - SAME_DB),
                isReached ? high : Math.max(high, best[end] + SAME_DB));
    }

    void holdNone() {
        Arrays.fill(held, new Travel(-NO_BOUND, NO_BOUND));
    }

    private Travel inside(int end, double concession) {
        End each = flow.ends().get(end);
        double half = (each.high() - each.low()) / 2;
        double inside = Math.max(half - INSIDE_DB, half / 2);
        return new Travel(target(end) - inside, target(end) + inside)
                .within(each.low(), each.high())
                .towards(new Travel(each.leastTolerated(), each.mostTolerated()), Practice.lenience(concession));
    }

    /** Whether a bound holds an end from above. */
    boolean isAim(int bound) {
        return Arrays.stream(aims).anyMatch(aim -> aim == bound);
    }

    int endAt(int point) {
        return IntStream.range(0, aims.length)
                .filter(e -> flow.ends().get(e).point() == point)
                .findFirst()
                .orElseThrow();
    }

    /** With no aim but what the ends are held by. */
    void aimless() {
        for (int e = 0; e < aims.length; e++) {
            bounds.set(aims[e], held[e].high());
            bounds.set(reaches[e], -held[e].low());
        }
    }

    /** The levels with the least noise that ranges allow; empty where nothing fits. */
    Optional<double[]> relaxed(Bounds.Ranges within) {
        aimless();
        Bounds.Found least = bounds.least(within);
        if (!least.isThere()) {
            return Optional.empty();
        }
        aim(least);
        Bounds.Found most = bounds.greatest(within);
        return most.isThere() ? Optional.of(most.levels()) : Optional.empty();
    }

    /** How far all ends together lie beside what does. */
    double untolerated(double[] levels) {
        double missed = 0;
        for (int e = 0; e < aims.length; e++) {
            End end = flow.ends().get(e);
            double at = onScale(e, levels);
            missed += Math.max(0, Math.max(end.leastTolerated() - at, at - end.mostTolerated()));
        }
        return missed;
    }

    int atEnd(int end) {
        return out[flow.ends().get(end).point()];
    }

    /** Where the aimed line of an end lies on its scale. */
    double onScale(int end, double[] levels) {
        return target(end) + off(end, levels);
    }

    /** How far an end lies above what it is set to. */
    private double off(int end, double[] levels) {
        return levels[atEnd(end)] - reference(end, target(end));
    }

    /** The noise at all ends re their signals, in dB, and what it costs to miss the middles. */
    double cost(double[] levels) {
        double cost = 0;
        for (int e = 0; e < aims.length; e++) {
            cost += noises.db(e, levels) + missed(e, off(e, levels));
        }
        return cost;
    }

    /**
     * What it costs to lie beside the middle of an aim. A little too quiet can be raised later, what is cut off cannot be
     * mended: so no end is driven past its middle for the sake of others. To be within the aim goes before little noise.
     */
    double missed(int end, double off) {
        End each = flow.ends().get(end);
        double outside = Math.max(0, Math.abs(off) - (each.high() - each.low()) / 2);
        return OUTSIDE * outside + (off > 0 ? (1 + BELOW) * aims.length * off : -BELOW * off);
    }

    /** What a control adds in a solution, at each point where it acts, in dB: the least and the most of them. */
    double[][] turns(double[] levels) {
        int count = flow.knobs().size();
        double[][] turns = new double[count][];
        for (Use use : uses) {
            double db = levels[use.upper()] - levels[use.lower()] - use.db();
            if (turns[use.knob()] == null) {
                turns[use.knob()] = new double[] {db, db};
            } else {
                turns[use.knob()][0] = Math.min(turns[use.knob()][0], db);
                turns[use.knob()][1] = Math.max(turns[use.knob()][1], db);
            }
        }
        for (int k = 0; k < count; k++) {
            if (turns[k] == null) {
                double present = flow.knobs().get(k).presentDb();
                turns[k] = new double[] {present, present};
            }
        }
        return turns;
    }
}
