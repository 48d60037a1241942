package kalodyne.core.levels.gain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.IntPredicate;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Gain;

/**
 * A whole rig as far as levels go.
 *
 * @param points in the order of the signal: each is fed by earlier ones only
 * @param knobs the controls that act on them
 * @param ends where runs end
 */
public record Flow(List<Point> points, List<Knob> knobs, List<End> ends) {
    public Flow {
        points = List.copyOf(points);
        knobs = List.copyOf(knobs);
        ends = List.copyOf(ends);
        for (int i = 0; i < points.size(); i++) {
            Point point = points.get(i);
            for (Feed feed : point.feeds()) {
                if (feed.from() < 0 || feed.from() >= i) {
                    throw new IllegalArgumentException("“" + point.id() + "” must be fed by points before it");
                }
            }
            if (point.knob().isPresent() && point.knob().getAsInt() >= knobs.size()) {
                throw new IllegalArgumentException("“" + point.id() + "” has a control that is not there");
            }
        }
    }

    /** The run of a source to an end. */
    public record Run(int source, int end, List<Integer> points) {
        public Run {
            points = List.copyOf(points);
        }
    }

    /** The runs, each along the strongest of its ways; by sources, and by ends within each, subwoofers last. */
    public List<Run> runs() {
        List<Run> runs = new ArrayList<>();
        for (int e = 0; e < ends.size(); e++) {
            int[] next = strongest(ends.get(e).point());
            for (int source = 0; source < points.size(); source++) {
                if (points.get(source).sound().isPresent() && next[source] >= 0) {
                    List<Integer> way = new ArrayList<>();
                    int at = source;
                    while (at != ends.get(e).point()) {
                        way.add(at);
                        at = next[at];
                    }
                    way.add(at);
                    runs.add(new Run(source, e, way));
                }
            }
        }
        runs.sort(Comparator.comparingInt(Run::source)
                .thenComparing(run -> ends.get(run.end()).kind() == End.Kind.SUBWOOFER));
        return runs;
    }

    /** From each point that leads to an end, where the strongest way goes next; −1 for the others. */
    private int[] strongest(int end) {
        int[] next = new int[points.size()];
        double[] best = new double[points.size()];
        Arrays.fill(next, -1);
        Arrays.fill(best, Double.NEGATIVE_INFINITY);
        next[end] = end;
        best[end] = 0;
        for (int to = end; to > 0; to--) {
            if (next[to] >= 0) {
                for (Feed feed : points.get(to).feeds()) {
                    double db = best[to] + feed.gain().db();
                    if (next[feed.from()] < 0 || db > best[feed.from()]) {
                        best[feed.from()] = db;
                        next[feed.from()] = to;
                    }
                }
            }
        }
        return next;
    }

    /** Whether a signal comes from one point to another. */
    public boolean leads(int from, int to) {
        BitSet reached = new BitSet();
        reached.set(from);
        for (int i = from + 1; i <= to; i++) {
            int at = i;
            points.get(i).feeds().stream()
                    .filter(feed -> reached.get(feed.from()))
                    .forEach(feed -> reached.set(at));
        }
        return reached.get(to);
    }

    public OptionalInt indexOf(PointId pointId) {
        return IntStream.range(0, points.size())
                .filter(i -> points.get(i).id().equals(pointId))
                .findFirst();
    }

    public Optional<Knob> knob(Spot id) {
        return knobs.stream().filter(knob -> knob.id().equals(id)).findFirst();
    }

    /** What a point adds to what comes in, with its control where that stands. */
    public Gain gainAt(int index) {
        Point point = points.get(index);
        Gain knob =
                point.knob().isPresent() ? knobs.get(point.knob().getAsInt()).gain() : Gain.NONE;
        return point.gain().plus(knob);
    }

    /** With another end in the place of one. */
    public Flow withEnd(int index, End end) {
        List<End> changed = new ArrayList<>(ends);
        changed.set(index, end);
        return new Flow(points, knobs, changed);
    }

    /** With one more end, the last. */
    public Flow ending(End end) {
        List<End> more = new ArrayList<>(ends);
        more.add(end);
        return new Flow(points, knobs, more);
    }

    public Flow withKnobs(UnaryOperator<Knob> change) {
        return new Flow(points, knobs.stream().map(change).toList(), ends);
    }

    /** With all controls that may move where they add so much, in dB, in their order. */
    Flow adding(double[] db) {
        return new Flow(
                points,
                IntStream.range(0, knobs.size())
                        .mapToObj(k -> knobs.get(k).adding(db[k]))
                        .toList(),
                ends);
    }

    /** With some controls turned to positions, by their marks; marks that it does not have are passed over. */
    public Flow turned(Map<Spot, Double> positions) {
        return withKnobs(knob -> positions.containsKey(knob.id()) ? knob.at(positions.get(knob.id())) : knob);
    }

    public Flow withPoint(int index, Point point) {
        List<Point> changed = new ArrayList<>(points);
        changed.set(index, point);
        return new Flow(changed, knobs, ends);
    }

    /** The parts that have nothing to do with each other: neither a point nor a control in common. */
    public List<Flow> parted() {
        int[] group = IntStream.range(0, points.size()).toArray();
        int[] ofKnob = IntStream.range(0, knobs.size()).map(k -> -1).toArray();
        for (int i = 0; i < points.size(); i++) {
            for (Feed feed : points.get(i).feeds()) {
                join(group, i, feed.from());
            }
            if (points.get(i).knob().isPresent()) {
                int knob = points.get(i).knob().getAsInt();
                if (ofKnob[knob] < 0) {
                    ofKnob[knob] = i;
                } else {
                    join(group, i, ofKnob[knob]);
                }
            }
        }
        Set<Integer> heads = new HashSet<>();
        IntStream.range(0, group.length).forEach(i -> heads.add(head(group, i)));
        return heads.stream()
                .sorted(Comparator.naturalOrder())
                .map(each -> only(i -> head(group, i) == each, end -> true))
                .toList();
    }

    /** What leads to ends of a kind, with those ends only. */
    public Flow leadingTo(End.Kind kind) {
        BitSet leading = new BitSet();
        ends.stream().filter(end -> end.kind() == kind).forEach(end -> leading.set(end.point()));
        for (int i = points.size() - 1; i >= 0; i--) {
            if (leading.get(i)) {
                points.get(i).feeds().forEach(feed -> leading.set(feed.from()));
            }
        }
        return only(leading::get, end -> end.kind() == kind);
    }

    private static void join(int[] group, int one, int other) {
        group[head(group, one)] = head(group, other);
    }

    private static int head(int[] group, int of) {
        int at = of;
        while (group[at] != at) {
            at = group[at];
        }
        return at;
    }

    /** Some of the points, and with each all that it is fed by. */
    private Flow only(IntPredicate isMeant, Predicate<End> isEnd) {
        List<Point> some = new ArrayList<>();
        List<Knob> theirs = new ArrayList<>();
        List<Integer> knobAt = new ArrayList<>(Collections.nCopies(knobs.size(), -1));
        int[] now = new int[points.size()];
        for (int i = 0; i < points.size(); i++) {
            if (isMeant.test(i)) {
                Point point = points.get(i);
                now[i] = some.size();
                OptionalInt knob = point.knob();
                if (knob.isPresent() && knobAt.get(knob.getAsInt()) < 0) {
                    knobAt.set(knob.getAsInt(), theirs.size());
                    theirs.add(knobs.get(knob.getAsInt()));
                }
                some.add(new Point(
                        point.id(),
                        point.station(),
                        point.label(),
                        point.sound(),
                        point.feeds().stream()
                                .map(feed -> new Feed(now[feed.from()], feed.gain(), feed.rise(), feed.isInverted()))
                                .toList(),
                        knob.isPresent() ? OptionalInt.of(knobAt.get(knob.getAsInt())) : OptionalInt.empty(),
                        point.gain(),
                        point.ceiling(),
                        point.inputNoise(),
                        point.outputNoise()));
            }
        }
        List<End> its = ends.stream()
                .filter(end -> isMeant.test(end.point()) && isEnd.test(end))
                .map(end -> end.at(now[end.point()]))
                .toList();
        return new Flow(some, theirs, its);
    }
}
