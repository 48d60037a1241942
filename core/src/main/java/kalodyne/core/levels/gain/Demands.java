package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * A flow as bounds on levels: each point has one unknown, the loudest peak that its reference player has behind it. How the
 * players stand to each other where they meet is fixed beforehand ({@link Mixes}), and so is by how much all together are
 * louder than the reference; so every control, ceiling and aim bounds differences of two unknowns.
 */
final class Demands {
    /** What "work up from nothing" keeps free. */
    private static final double KEPT_FREE_DB = 10;

    /** How far "drive it" goes past the ceiling. */
    private static final double DRIVEN_DB = 3;

    private static final double NO_BOUND = 1e6;

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
    private final List<List<Noise>> noises = new ArrayList<>();
    private final List<Use> uses = new ArrayList<>();
    private final List<Integer> balances = new ArrayList<>();
    private final Bounds.Ranges ranges;
    private final Mixes mixes;

    /** Noise at an end, as a level over the level of an unknown. */
    private record Noise(int unknown, double db) {}

    /** Where a control acts: what it adds is what one unknown lies above another, less a constant. */
    private record Use(int knob, int upper, int lower, double db) {}

    Demands(Flow flow, Wanted wanted) {
        this.flow = flow;
        this.wanted = wanted;
        int count = flow.points().size();
        out = new int[count];
        aims = new int[flow.ends().size()];
        ranges = ranges();
        mixes = new Mixes(flow, wanted, ranges);
        int[] in = new int[count];
        for (int i = 0; i < count; i++) {
            out[i] = bounds.unknown();
            in[i] = bound(i, flow.points().get(i));
        }
        loosen(SAME_DB);
        limits();
        double[][] toEnds = toEnds();
        for (int e = 0; e < flow.ends().size(); e++) {
            noises.add(noises(in, toEnds[e]));
            aims[e] = bounds.atMost(
                    out[flow.ends().get(e).point()],
                    Bounds.ZERO,
                    NO_BOUND,
                    new Bounds.Cause(Bounds.Cause.Kind.AIM, flow.ends().get(e).point()));
        }
    }

    Bounds bounds() {
        return bounds;
    }

    /** Lets players in a mix lie so far from their balance. */
    void loosen(double db) {
        balances.forEach(balance -> bounds.ease(balance, db));
    }

    // --- controls ----------------------------------------------------------------------------------------------

    /** As the controls allow, and the school. */
    Bounds.Ranges ranges() {
        if (ranges != null) {
            return ranges.copy();
        }
        int count = flow.knobs().size();
        double[] low = new double[count];
        double[] high = new double[count];
        BitSet mixers = mixers();
        for (int k = 0; k < count; k++) {
            Knob knob = flow.knobs().get(k);
            low[k] = knob.leastDb();
            high[k] = knob.mostDb();
            if (wanted.school() == GainSchool.UNITY && mixers.get(k) && low[k] <= 0 && high[k] >= 0) {
                low[k] = 0;
                high[k] = 0;
            }
        }
        return new Bounds.Ranges(low, high);
    }

    /** The faders and trims of what stands between others: it gets a signal from one device and gives it to another. */
    private BitSet mixers() {
        Set<String> fed = new HashSet<>();
        Set<String> giving = new HashSet<>();
        for (Point point : flow.points()) {
            for (Feed feed : point.feeds()) {
                String from = flow.points().get(feed.from()).station();
                if (!from.equals(point.station())) {
                    fed.add(point.station());
                    giving.add(from);
                }
            }
        }
        BitSet mixers = new BitSet();
        for (Point point : flow.points()) {
            if (point.knob().isPresent() && fed.contains(point.station()) && giving.contains(point.station())) {
                int knob = point.knob().getAsInt();
                ControlKind kind = flow.knobs().get(knob).kind();
                mixers.set(knob, kind == ControlKind.TRIM || kind == ControlKind.FADER || kind == ControlKind.LEVEL);
            }
        }
        return mixers;
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
        for (int i = 0; i < flow.points().size(); i++) {
            Point point = flow.points().get(i);
            if (point.ceiling().isEmpty()) {
                continue;
            }
            double most = point.ceiling().get().dbu() - mixes.totalDb(i);
            if (driven.get(i)) {
                bounds.atMost(out[i], Bounds.ZERO, most + DRIVEN_DB, new Bounds.Cause(Bounds.Cause.Kind.CEILING, i));
                bounds.atMost(Bounds.ZERO, out[i], -most - DRIVEN_DB, new Bounds.Cause(Bounds.Cause.Kind.DRIVE, i));
            } else {
                bounds.atMost(out[i], Bounds.ZERO, most - kept(i), new Bounds.Cause(Bounds.Cause.Kind.CEILING, i));
            }
        }
    }

    /** What is kept free under the ceiling of a point. */
    double kept(int point) {
        boolean isEnd = flow.ends().stream().anyMatch(end -> end.point() == point);
        return wanted.school() == GainSchool.WORK_UP && !isEnd ? KEPT_FREE_DB : 0;
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
                    && flow.knobs().get(point.knob().getAsInt()).kind() == ControlKind.GAIN;
            if (isGain && point.ceiling().isPresent() && turnsBehind.get(i)) {
                driven.set(i);
            }
            if (isTurned || turnsBehind.get(i)) {
                point.feeds().forEach(feed -> turnsBehind.set(feed.from()));
            }
        }
        return driven;
    }

    // --- noise -------------------------------------------------------------------------------------------------

    /** For each end and point: what the signal gains from the point to the end beyond the difference of their unknowns. */
    private double[][] toEnds() {
        int count = flow.points().size();
        double[][] all = new double[flow.ends().size()][];
        for (int e = 0; e < all.length; e++) {
            double[] ratios = new double[count];
            ratios[flow.ends().get(e).point()] = 1;
            for (int i = flow.ends().get(e).point(); i >= 0; i--) {
                List<Feed> feeds = flow.points().get(i).feeds();
                for (int f = 0; f < feeds.size(); f++) {
                    ratios[feeds.get(f).from()] += ratios[i] * Mixes.ratio(mixes.shareDb(i, f));
                }
            }
            all[e] = ratios;
        }
        return all;
    }

    private List<Noise> noises(int[] in, double[] ratios) {
        List<Noise> some = new ArrayList<>();
        for (int i = 0; i < ratios.length; i++) {
            if (ratios[i] > 0) {
                Point point = flow.points().get(i);
                double way = Gain.ofRatio(ratios[i]).db();
                add(some, point.outputNoise(), out[i], way);
                if (point.sound().isPresent()) {
                    Level own = point.sound().get().levels().floor().withUncorrelated(point.inputNoise());
                    add(
                            some,
                            own,
                            Bounds.ZERO,
                            way - point.sound().get().levels().peak().dbu());
                } else {
                    double before = point.isBus() ? 0 : Mixes.db(point.feeds().get(0));
                    add(some, point.inputNoise(), in[i], way - before);
                }
            }
        }
        return some;
    }

    private static void add(List<Noise> noises, Level noise, int unknown, double db) {
        if (!noise.isSilence()) {
            noises.add(new Noise(unknown, noise.dbu() + db));
        }
    }

    // --- reading a solution --------------------------------------------------------------------------------------

    /** The level of the reference at an end where the aimed line lies at some place of its scale. */
    private double reference(int end, double onScale) {
        End each = flow.ends().get(end);
        double over = each.line() == End.Line.PEAK ? mixes.totalDb(each.point()) : mixes.averageDb(each.point());
        return each.zero().dbu() + onScale - over;
    }

    /** Holds every end at the middle of its aim, or as near above it as it can come down. */
    void aim(Bounds.Found least) {
        for (int e = 0; e < aims.length; e++) {
            double middle = reference(e, flow.ends().get(e).middle());
            bounds.set(aims[e], Math.max(middle, least.levels()[atEnd(e)]));
        }
    }

    void aimless() {
        for (int aim : aims) {
            bounds.set(aim, NO_BOUND);
        }
    }

    int atEnd(int end) {
        return out[flow.ends().get(end).point()];
    }

    /** How far an end lies above the middle of its aim. */
    double off(int end, double[] levels) {
        return levels[atEnd(end)] - reference(end, flow.ends().get(end).middle());
    }

    /** The noise at all ends re their signals, in dB, and what it costs to miss the middles. */
    double cost(double[] levels) {
        double cost = 0;
        for (int e = 0; e < aims.length; e++) {
            double power = 0;
            for (Noise noise : noises.get(e)) {
                power += new Gain(noise.db() - levels[noise.unknown()]).powerRatio();
            }
            cost += (power > 0 ? Gain.ofPowerRatio(power).db() : 0) + missed(e, off(e, levels));
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
