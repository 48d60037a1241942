package kalodyne.core.levels.gain;

import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/**
 * Gives up of {@link Practice} what has to be given up for the aims, and no more: the greatest concession of all first, as small as
 * it can be; then, with that one made, the greatest of the others; and so on. What is in each other's way is a circle of bounds
 * ({@link Bounds}); it tells which controls and ceilings have to give, and how much.
 */
final class Concessions {
    /** A control can give downwards and upwards, a ceiling gives room. */
    private static final int LOW = 0;

    private static final int HIGH = 1;

    /** Halvings until a concession is as exact as is worth while. */
    private static final int HALVINGS = 34;

    private static final double CLOSED_DB = 1e-6;

    private final Demands demands;
    private final Bounds bounds;
    private final Bounds.Ranges whole;
    private final int knobs;
    private final int points;
    private final int ends;

    /** Two a control, one a point, two an end; not a number while it is not yet known. */
    private final double[] made;

    private Concessions(Demands demands, Flow flow, Bounds.Ranges whole) {
        this.demands = demands;
        this.bounds = demands.bounds();
        this.whole = whole;
        this.knobs = flow.knobs().size();
        this.points = flow.points().size();
        this.ends = flow.ends().size();
        this.made = new double[2 * knobs + points + 2 * ends];
        Arrays.fill(made, Double.NaN);
    }

    /**
     * The least. What is left under ceilings, and where ends are held, is set in the demands.
     *
     * @param whole as far as the controls go
     */
    static Concessions of(Demands demands, Flow flow, Bounds.Ranges whole) {
        Concessions concessions = new Concessions(demands, flow, whole);
        concessions.settle();
        return concessions;
    }

    /** The ranges that controls are left with. */
    Bounds.Ranges ranges() {
        return ranges(0);
    }

    /** What was given up, the most first. */
    double[] given() {
        DoubleStream clicked = IntStream.range(0, knobs)
                .filter(this::isFixed)
                .mapToDouble(k -> demands.practice(k).needed(whole.low()[k]));
        double[] rising = DoubleStream.concat(clicked, Arrays.stream(made).map(each -> Double.isNaN(each) ? 0 : each))
                .sorted()
                .toArray();
        return IntStream.range(0, rising.length)
                .mapToDouble(i -> rising[rising.length - 1 - i])
                .toArray();
    }

    private boolean isFixed(int knob) {
        return whole.low()[knob] == whole.high()[knob];
    }

    private void settle() {
        while (true) {
            double needed = 0;
            List<Integer> inTheWay = List.of();
            Bounds.Found found = bounds.greatest(ranges(needed));
            while (!found.isThere()) {
                inTheWay = found.conflict();
                if (sum(inTheWay, Practice.MOST) < 0) {
                    // Nothing in it can give any more.
                    Arrays.fill(made, Practice.MOST);
                    ranges(Practice.MOST);
                    return;
                }
                needed = needed(inTheWay, needed);
                found = bounds.greatest(ranges(needed));
            }
            if (inTheWay.isEmpty()) {
                return;
            }
            make(inTheWay, needed);
        }
    }

    /** A pad is in or out: what it does more than is needed, the others need not do. */
    private void make(List<Integer> circle, double concession) {
        List<Integer> giving = circle.stream()
                .map(this::giving)
                .filter(each -> each >= 0 && Double.isNaN(made[each]))
                .distinct()
                .toList();
        List<Integer> pads = giving.stream()
                .filter(each -> each < 2 * knobs && demands.practice(each / 2).leapsAt(concession))
                .toList();
        (pads.isEmpty() ? giving : pads).forEach(each -> made[each] = concession);
    }

    private Bounds.Ranges ranges(double others) {
        double[] low = new double[knobs];
        double[] high = new double[knobs];
        for (int k = 0; k < knobs; k++) {
            low[k] = isFixed(k) ? whole.low()[k] : demands.practice(k).low(made(2 * k + LOW, others));
            high[k] = isFixed(k) ? whole.high()[k] : demands.practice(k).high(made(2 * k + HIGH, others));
        }
        for (int point = 0; point < points; point++) {
            demands.leaveRoom(point, made(2 * knobs + point, others));
        }
        for (int end = 0; end < ends; end++) {
            demands.hold(end, made(atEnd(end, LOW), others), made(atEnd(end, HIGH), others));
        }
        demands.aimless();
        return new Bounds.Ranges(low, high);
    }

    private int atEnd(int end, int side) {
        return 2 * knobs + points + 2 * end + side;
    }

    private double made(int giving, double others) {
        return Double.isNaN(made[giving]) ? others : made[giving];
    }

    /** What gives in a bound; below 0 for what is as it is. */
    private int giving(int bound) {
        int knob = bounds.knobOf(bound);
        if (knob >= 0) {
            return 2 * knob + (bounds.isUpper(bound) ? HIGH : LOW);
        }
        Bounds.Cause cause = bounds.cause(bound);
        return switch (cause.kind()) {
            case CEILING -> 2 * knobs + cause.point();
            case AIM -> atEnd(demands.endAt(cause.point()), demands.isAim(bound) ? HIGH : LOW);
            default -> -1;
        };
    }

    /** By how much a circle is open, below 0 where its bounds contradict each other. */
    private double sum(List<Integer> circle, double others) {
        return bounds.sum(circle, ranges(others));
    }

    /** The least concession with which a circle does not contradict itself. */
    private double needed(List<Integer> circle, double from) {
        double low = from;
        double high = Practice.MOST;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (sum(circle, middle) < CLOSED_DB) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }
}
