package kalodyne.core.hearing;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;
import kalodyne.core.units.SignalLevels;

/**
 * What is listened to: one player, where a run ends. Where that is one side of two, both are heard.
 *
 * @param flow all that is plugged, with the controls where they stand
 * @param player who plays; all others are silent, their gear hisses all the same
 * @param ends indices of the ends: one, or the left and the right one
 * @param ways what joints do to a signal at each frequency, by both of its points: also what only leaks
 * @param hum what the mains makes at points, before their gain
 * @param right the points that are the right side of something
 * @param left those that are its left one
 */
public record Listening(
        Flow flow,
        String player,
        List<Integer> ends,
        Map<Way, Transfer> ways,
        Map<PointId, Level> hum,
        Set<PointId> right,
        Set<PointId> left) {
    /** What leaks by less is not heard. */
    private static final double LEAST_LEAK_DB = -110;

    private static final String PLAYED = "played";

    /** Over the loudest peak of what is heard on the way. */
    private static final Gain ROOM_ABOVE = new Gain(6);

    public Listening {
        ends = List.copyOf(ends);
        ways = Map.copyOf(ways);
        hum = Map.copyOf(hum);
        right = Set.copyOf(right);
        left = Set.copyOf(left);
    }

    /** From one point to another. */
    public record Way(PointId from, PointId to) {}

    /** Listens to a run, with its controls where they stand in its plan. */
    public static Listening to(Rig rig, LevelPlan plan) {
        Flow flow = plan.flow();
        Set<PointId> left = sided(rig, flow, Carries.LEFT);
        Set<PointId> right = sided(rig, flow, Carries.RIGHT);
        String player = plan.player();
        return new Listening(
                flow, player, new Ends(flow, player, left, right).of(plan.trace()), ways(rig), hum(rig), right, left);
    }

    /** What is played as it is, left and right. */
    public static Listening asItIs() {
        Level full = new Level(0);
        List<Point> points = Stream.of(Carries.LEFT, Carries.RIGHT)
                .map(side -> new Point(
                        PointId.of(new Spot(PLAYED, side.word())),
                        PLAYED,
                        side.word(),
                        Optional.of(Sound.played(PLAYED, new SignalLevels(full, full, Level.SILENCE), Gain.NONE)),
                        List.of(),
                        OptionalInt.empty(),
                        Gain.NONE,
                        Optional.empty(),
                        Level.SILENCE,
                        Level.SILENCE))
                .toList();
        Flow flow = new Flow(points, List.of(), List.of());
        return new Listening(
                flow.ending(end(0, full)).ending(end(1, full)),
                PLAYED,
                List.of(0, 1),
                Map.of(),
                Map.of(),
                Set.of(points.get(1).id()),
                Set.of(points.get(0).id()));
    }

    /**
     * What goes into a joint of a run and what comes out of it, both on the scale of what goes in.
     *
     * @param station of the joint
     */
    public static List<Listening> around(Rig rig, LevelPlan plan, int station) {
        StageLevel into = plan.leaving(station - 1);
        int out = plan.entering(station).stage().point();
        Level zero = into.peak().plus(ROOM_ABOVE);
        Listening whole = to(rig, plan);
        return List.of(
                whole.endingAt(into.stage().point(), zero),
                // What the socket's own input makes of it is no doing of the joint.
                whole.endingAt(out, zero.plus(plan.flow().gainAt(out))));
    }

    private Listening endingAt(int point, Level zero) {
        Flow longer = flow.ending(end(point, zero));
        return new Listening(longer, player, List.of(longer.ends().size() - 1), ways, hum, right, left);
    }

    /** On the way: somewhere that is neither a track nor ears. */
    private static End end(int point, Level zero) {
        return new End(
                point,
                "",
                OptionalInt.empty(),
                End.Kind.TRACK,
                zero,
                -ROOM_ABOVE.db(),
                0,
                End.Line.PEAK,
                OptionalInt.empty());
    }

    /** In a rig that was changed, with the same points. */
    public Listening in(Flow changed) {
        return new Listening(changed, player, ends, ways, hum, right, left);
    }

    /** With mains hum that is caught at a point, before its gain. */
    public Listening humming(PointId at, Level level) {
        Map<PointId, Level> more = new HashMap<>(hum);
        more.put(at, level);
        return new Listening(flow, player, ends, ways, more, right, left);
    }

    /** Whether another one is this one but for where its controls stand. */
    boolean isTurned(Listening other) {
        return flow.points().equals(other.flow.points())
                && flow.ends().equals(other.flow.ends())
                && player.equals(other.player)
                && ends.equals(other.ends)
                && ways.equals(other.ways)
                && hum.equals(other.hum);
    }

    End end(int side) {
        return flow.ends().get(ends.get(side));
    }

    /** The loudest that comes out, full scale 1. */
    public double loudest() {
        FlowLevels levels = FlowLevels.of(flow);
        return ends.stream()
                .map(index -> flow.ends().get(index))
                .mapToDouble(end ->
                        Math.min(1, Auralisation.scale(end) * Auralisation.top(levels.peak(end.point(), player))))
                .max()
                .orElseThrow();
    }

    public int channels() {
        return ends.size();
    }

    private static Map<Way, Transfer> ways(Rig rig) {
        Map<Way, Transfer> ways = new HashMap<>();
        for (Checked joint : rig.joints()) {
            joint.reading()
                    .ifPresent(reading -> reading.ways().stream()
                            .filter(way ->
                                    way.isBetweenDevices() && way.atMiddle().db() > LEAST_LEAK_DB)
                            .forEach(way -> ways.putIfAbsent(
                                    new Way(
                                            Rig.point(
                                                    way.from().socket(),
                                                    way.from().channel()),
                                            Rig.point(
                                                    way.to().socket(), way.to().channel())),
                                    way)));
        }
        return ways;
    }

    private static Map<PointId, Level> hum(Rig rig) {
        Map<PointId, Level> hum = new HashMap<>();
        rig.joints()
                .forEach(joint -> joint.hum()
                        .forEach((input, caught) -> hum.merge(
                                Rig.point(input.socket(), input.channel()),
                                caught.likely(),
                                (one, other) -> one.compareTo(other) > 0 ? one : other)));
        return hum;
    }

    /** By its own signal, or by the socket or stage that it is: "Output R". */
    private static Set<PointId> sided(Rig rig, Flow flow, Carries side) {
        return flow.points().stream()
                .map(Point::id)
                .filter(id -> id.signal().equals(side.word())
                        || isSided(rig.patch().devices().get(id.spot().item()), id, side))
                .collect(Collectors.toSet());
    }

    private static boolean isSided(Device device, PointId id, Carries side) {
        return device != null
                && (device.socket(id.spot().part())
                                .flatMap(socket -> socket.side())
                                .filter(side::equals)
                                .isPresent()
                        || device.stages().stream()
                                .filter(stage -> stage.id().equals(id.spot().part()))
                                .anyMatch(stage ->
                                        stage.side().filter(side::equals).isPresent()));
    }

    /** Which ends are heard together. */
    private record Ends(Flow flow, String player, Set<PointId> left, Set<PointId> right) {
        List<Integer> of(Trace trace) {
            int own = trace.path().end();
            Optional<Carries> side = side(own);
            List<Integer> pair = new ArrayList<>();
            if (side.isPresent()) {
                Carries wanted = side.get() == Carries.LEFT ? Carries.RIGHT : Carries.LEFT;
                flow.runs().stream()
                        .filter(run -> isOfPlayer(run.source()) && run.end() != own)
                        .map(Flow.Run::end)
                        .filter(end -> isBeside(own, end) && Objects.equals(side(end), Optional.of(wanted)))
                        .findFirst()
                        .ifPresent(other -> {
                            pair.add(side.get() == Carries.LEFT ? own : other);
                            pair.add(side.get() == Carries.LEFT ? other : own);
                        });
            }
            return pair.isEmpty() ? List.of(own) : pair;
        }

        private boolean isOfPlayer(int source) {
            return flow.points()
                    .get(source)
                    .sound()
                    .filter(sound -> sound.player().equals(player))
                    .isPresent();
        }

        private boolean isBeside(int one, int other) {
            End first = flow.ends().get(one);
            End second = flow.ends().get(other);
            return first.kind() == second.kind()
                    && flow.points()
                            .get(first.point())
                            .station()
                            .equals(flow.points().get(second.point()).station());
        }

        /** The side that an end is, or that all of this player is that comes to it. */
        private Optional<Carries> side(int end) {
            PointId id = flow.points().get(flow.ends().get(end).point()).id();
            if (left.contains(id) || right.contains(id)) {
                return Optional.of(left.contains(id) ? Carries.LEFT : Carries.RIGHT);
            }
            List<PointId> sources = flow.runs().stream()
                    .filter(run -> run.end() == end && isOfPlayer(run.source()))
                    .map(run -> flow.points().get(run.source()).id())
                    .toList();
            return left.containsAll(sources)
                    ? Optional.of(Carries.LEFT)
                    : right.containsAll(sources) ? Optional.of(Carries.RIGHT) : Optional.empty();
        }
    }
}
