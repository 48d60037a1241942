package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.units.Gain;

/**
 * How the players of a flow stand to each other at every point, fixed before any control is: each as loud as the others where
 * several are mixed, or as is wished, as far as there are controls for that.
 */
final class Mixes {
    /** Less than this is as good as cut off. */
    private static final double LEAST_FEED_DB = -150;

    private final Flow flow;
    private final Wanted wanted;
    private final Bounds.Ranges ranges;
    private final BitSet alone;
    private final List<Mix> mixes = new ArrayList<>();
    private final double[][] balance;
    private final double[] totalDb;
    private final double[] averageDb;

    /** How players stand to the reference at a point, as ratios. */
    private record Mix(Map<String, Double> peaks, double presentDb, BitSet knobs) {}

    Mixes(Flow flow, Wanted wanted, Bounds.Ranges ranges) {
        this.flow = flow;
        this.wanted = wanted;
        this.ranges = ranges;
        alone = servingAlone();
        int count = flow.points().size();
        balance = new double[count][];
        totalDb = new double[count];
        averageDb = new double[count];
        for (int i = 0; i < count; i++) {
            Point point = flow.points().get(i);
            balance[i] = balance(point);
            mixes.add(mix(point, balance[i]));
            total(i, mixes.get(i));
        }
    }

    /** By how much the loudest peak of all together is louder than the reference at a point. */
    double totalDb(int point) {
        return totalDb[point];
    }

    /** The average of all together re the loudest peak of the reference at a point. */
    double averageDb(int point) {
        return averageDb[point];
    }

    /** How much louder than the reference what comes by a feed is reckoned. */
    double shareDb(int point, int feed) {
        return known(balance[point][feed]);
    }

    /** Whether that must be so; otherwise it is only not to drown the others. */
    boolean isBalanced(int point, int feed) {
        return !Double.isNaN(balance[point][feed]);
    }

    /**
     * How much each of several ways into a point should be louder than the reference, in dB. What has a control of its own can
     * be made as loud as the others; what has none stays as it is. What has one that must also serve an end by itself comes as
     * loud as that end wants it, and is told as not a number: it should only not drown the others.
     */
    private double[] balance(Point point) {
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

    private Mix mix(Point point, double[] balance) {
        BitSet knobs = new BitSet();
        Map<String, Double> peaks = new HashMap<>();
        Map<String, Boolean> upside = new HashMap<>();
        double present = point.gain().db()
                + (point.knob().isPresent()
                        ? flow.knobs().get(point.knob().getAsInt()).presentDb()
                        : 0);
        if (point.sound().isPresent()) {
            peaks.put(point.sound().get().player(), 1.0);
            present += point.sound().get().levels().peak().dbu();
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
                .mapToDouble(sound -> ratio(-sound.levels().crest().db()))
                .max()
                .orElse(1);
    }

    static double db(Feed feed) {
        return Math.max(LEAST_FEED_DB, feed.gain().db());
    }

    static double ratio(double db) {
        return new Gain(db).ratio();
    }
}
