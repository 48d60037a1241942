package kalodyne.core.gain;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * A flow as bounds on levels: each point has one unknown, the loudest peak that its reference player has behind it. How the
 * players stand to each other where they meet is fixed beforehand, and so is by how much all together are louder than the
 * reference; so every control, ceiling and aim bounds differences of two unknowns.
 */
final class Demands {
    /** What "work up from nothing" keeps free. */
    private static final double KEPT_FREE_DB = 10;

    /** How far "drive it" goes past the ceiling. */
    private static final double DRIVEN_DB = 3;

    /** Less than this is as good as cut off. */
    private static final double LEAST_FEED_DB = -150;

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
    private final double[] totalDb;
    private final double[] averageDb;
    private final int[] aims;
    private final List<List<Noise>> noises = new ArrayList<>();
    private final List<Use> uses = new ArrayList<>();
    private final List<Integer> balances = new ArrayList<>();
    private final Bounds.Ranges ranges;
    private final BitSet alone;

    /** Noise at an end, as a level over the level of an unknown. */
    private record Noise(int unknown, double db) {}

    /** Where a control acts: what it adds is what one unknown lies above another, less a constant. */
    private record Use(int knob, int upper, int lower, double db) {}

    /** How players stand to the reference at a point, as ratios. */
    private record Mix(Map<String, Double> peaks, double presentDb, BitSet knobs) {}

    Demands(Flow flow, Wanted wanted) {
        this.flow = flow;
        this.wanted = wanted;
        int count = flow.points().size();
        out = new int[count];
        totalDb = new double[count];
        averageDb = new double[count];
        aims = new int[flow.ends().size()];
        ranges = ranges();
        alone = servingAlone();
        List<Mix> mixes = new ArrayList<>();
        double[][] balance = new double[count][];
        int[] in = new int[count];
        for (int i = 0; i < count; i++) {
            Point point = flow.points().get(i);
            out[i] = bounds.unknown();
            balance[i] = balance(point, mixes);
            mixes.add(mix(point, mixes, balance[i]));
            in[i] = bound(i, point, balance[i]);
            total(i, mixes.get(i));
        }
        loosen(SAME_DB);
        limits();
        double[][] toEnds = toEnds(balance);
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

    // --- mixes -------------------------------------------------------------------------------------------------

    /**
     * How much each of several ways into a point should be louder than the reference, in dB. What has a control of its own can
     * be made as loud as the others; what has none stays as it is. What has one that must also serve an end by itself comes as
     * loud as that end wants it, and is told as not a number: it should only not drown the others.
     */
    private double[] balance(Point point, List<Mix> mixes) {
        List<Feed> feeds = point.feeds();
        double[] balance = new double[feeds.size()];
        if (!point.isBus()) {
            return balance;
        }
        boolean[] isFree = new boolean[feeds.size()];
        double[] present = new double[feeds.size()];
        double loudest = Double.NEGATIVE_INFINITY;
        for (int f = 0; f < feeds.size(); f++) {
            Mix mix = mixes.get(feeds.get(f).from());
            BitSet own = (BitSet) mix.knobs().clone();
            for (int other = 0; other < feeds.size(); other++) {
                if (other != f) {
                    own.andNot(mixes.get(feeds.get(other).from()).knobs());
                }
            }
            isFree[f] = !own.isEmpty();
            own.andNot(alone);
            balance[f] = isFree[f] && own.isEmpty() ? Double.NaN : 0;
            present[f] = mix.presentDb() + db(feeds.get(f));
            loudest = isFree[f] ? loudest : Math.max(loudest, present[f]);
        }
        for (int f = 0; f < feeds.size(); f++) {
            if (!Double.isNaN(balance[f])) {
                balance[f] = isFree[f] ? wish(mixes.get(feeds.get(f).from())) : present[f] - loudest;
            }
        }
        return balance;
    }

    /** The controls from which a signal comes to some end all by itself. */
    private BitSet servingAlone() {
        BitSet leading = new BitSet();
        flow.ends().forEach(end -> leading.set(end.point()));
        BitSet serving = new BitSet();
        for (int i = flow.points().size() - 1; i >= 0; i--) {
            Point point = flow.points().get(i);
            if (leading.get(i) && !point.isBus()) {
                point.feeds().forEach(feed -> leading.set(feed.from()));
                point.knob().ifPresent(serving::set);
            }
        }
        return serving;
    }

    private static double known(double balance) {
        return Double.isNaN(balance) ? 0 : balance;
    }

    /** Only one alone can be made louder than others. */
    private double wish(Mix mix) {
        return mix.peaks().size() == 1
                ? wanted.balanceDb()
                        .getOrDefault(mix.peaks().keySet().iterator().next(), 0.0)
                : 0;
    }

    private Mix mix(Point point, List<Mix> mixes, double[] balance) {
        BitSet knobs = new BitSet();
        Map<String, Double> peaks = new HashMap<>();
        Map<String, Boolean> upside = new HashMap<>();
        double present = point.gain().db()
                + (point.knob().isPresent()
                        ? flow.knobs().get(point.knob().getAsInt()).presentDb()
                        : 0);
        if (point.sound().isPresent()) {
            peaks.put(point.sound().get().player(), 1.0);
            present += point.sound().get().peak().dbu();
        } else {
            double reference = Double.NEGATIVE_INFINITY;
            for (int f = 0; f < balance.length; f++) {
                Feed feed = point.feeds().get(f);
                Mix from = mixes.get(feed.from());
                double ratio = ratio(known(balance[f]));
                boolean isUpside = feed.isInverted();
                from.peaks()
                        .forEach((player, peak) -> peaks.merge(
                                player,
                                peak * ratio,
                                isUpside == upside.getOrDefault(player, isUpside) ? Double::sum : Math::hypot));
                from.peaks().keySet().forEach(player -> upside.put(player, isUpside));
                knobs.or(from.knobs());
                reference = Math.max(reference, from.presentDb() + db(feed) - known(balance[f]));
            }
            present += reference;
        }
        if (point.knob().isPresent()) {
            int knob = point.knob().getAsInt();
            if (ranges.low()[knob] < ranges.high()[knob]) {
                knobs.set(knob);
            }
        }
        return new Mix(peaks, present, knobs);
    }

    private void total(int index, Mix mix) {
        double peak = 0;
        double average = 0;
        for (Map.Entry<String, Double> entry : mix.peaks().entrySet()) {
            peak += entry.getValue() * entry.getValue();
            average += Math.pow(entry.getValue() * crest(entry.getKey()), 2);
        }
        totalDb[index] = Gain.ofPowerRatio(peak).db();
        averageDb[index] = Gain.ofPowerRatio(average).db();
    }

    /** The average re the loudest peak, as a ratio. */
    private double crest(String player) {
        return flow.points().stream()
                .flatMap(point -> point.sound().stream())
                .filter(sound -> sound.player().equals(player))
                .mapToDouble(sound -> ratio(-sound.crest().db()))
                .max()
                .orElse(1);
    }

    private static double db(Feed feed) {
        return Math.max(LEAST_FEED_DB, feed.gain().db());
    }

    private static double ratio(double db) {
        return Math.pow(10, db / 20);
    }

    // --- bounds ------------------------------------------------------------------------------------------------

    /** Returns the unknown at the point's input: that of what feeds it, or one of its own where several do. */
    private int bound(int index, Point point, double[] balance) {
        int lower;
        double before;
        Bounds.Cause cause =
                new Bounds.Cause(point.sound().isPresent() ? Bounds.Cause.Kind.SOUND : Bounds.Cause.Kind.GAIN, index);
        if (point.sound().isPresent()) {
            lower = Bounds.ZERO;
            before = point.sound().get().peak().dbu();
        } else if (point.isBus()) {
            lower = bounds.unknown();
            before = 0;
            for (int f = 0; f < balance.length; f++) {
                Feed feed = point.feeds().get(f);
                Bounds.Cause mixed = new Bounds.Cause(Bounds.Cause.Kind.BALANCE, feed.from());
                Bounds.Cause held = new Bounds.Cause(Bounds.Cause.Kind.GAIN, index);
                double to = known(balance[f]);
                balances.add(bounds.atMost(out[feed.from()], lower, to - db(feed), held));
                if (!Double.isNaN(balance[f])) {
                    balances.add(bounds.atMost(lower, out[feed.from()], db(feed) - to, mixed));
                }
            }
        } else {
            lower = out[point.feeds().get(0).from()];
            before = db(point.feeds().get(0));
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
            double most = point.ceiling().get().dbu() - totalDb[i];
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
    private double[][] toEnds(double[][] balance) {
        int count = flow.points().size();
        double[][] all = new double[flow.ends().size()][];
        for (int e = 0; e < all.length; e++) {
            double[] ratios = new double[count];
            ratios[flow.ends().get(e).point()] = 1;
            for (int i = flow.ends().get(e).point(); i >= 0; i--) {
                List<Feed> feeds = flow.points().get(i).feeds();
                for (int f = 0; f < feeds.size(); f++) {
                    ratios[feeds.get(f).from()] += ratios[i] * ratio(known(balance[i][f]));
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
                    Level own = point.sound().get().floor().withUncorrelated(point.inputNoise());
                    add(some, own, Bounds.ZERO, way - point.sound().get().peak().dbu());
                } else {
                    double before = point.isBus() ? 0 : db(point.feeds().get(0));
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
        double over = each.line() == End.Line.PEAK ? totalDb[each.point()] : averageDb[each.point()];
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
                power += Math.pow(10, (noise.db() - levels[noise.unknown()]) / 10);
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
