package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/** Which joints belong to a run. */
public final class RunJoints {
    private final LevelPlan plan;

    /** The station that the joint in front of a socket is, where the run comes into a device by that socket. */
    private final Map<Spot, Integer> stations = new HashMap<>();

    /** Looks for the joints of a run. */
    public RunJoints(LevelPlan plan) {
        this.plan = plan;
        List<Integer> points = plan.trace().path().points();
        List<Integer> stationOf = plan.trace().stationOf();
        for (int i = 1; i < points.size(); i++) {
            int joint = stationOf.get(i) - 1;
            if (stationOf.get(i - 1) < joint) {
                stations.putIfAbsent(socket(plan.flow().points().get(points.get(i))), joint);
            }
        }
    }

    /** Whether a joint belongs to the run. */
    public boolean has(Checked joint) {
        return station(joint).isPresent();
    }

    /** Those of the run. */
    public List<Checked> among(List<Checked> joints) {
        return joints.stream().filter(this::has).toList();
    }

    /** The joint at a station of the run or behind it, else the last before it. */
    public Optional<Checked> at(int station, List<Checked> joints) {
        Optional<Checked> found = Optional.empty();
        for (Station each : plan.trace().stations()) {
            if (each.isJoint() && (found.isEmpty() || each.index() <= station + 1)) {
                Optional<Checked> before = found;
                found = joints.stream()
                        .filter(joint -> stations(joint).anyMatch(at -> at == each.index()))
                        .findFirst()
                        .or(() -> before);
            }
        }
        return found;
    }

    /** The station that a joint is in the run; the first of several. */
    public Optional<Integer> station(Checked joint) {
        return stations(joint).min(Comparator.naturalOrder());
    }

    /** A joint ends in the sockets that the run comes into devices by. */
    private Stream<Integer> stations(Checked joint) {
        return joint.patch().pluggings().stream()
                .flatMap(plugging -> plugging.spots().stream())
                .map(stations::get)
                .filter(Objects::nonNull);
    }

    /** What becomes of the signal in each joint of the run, in its order; joints that have no solution are left out. */
    public List<Transfer> ways(List<Checked> joints) {
        List<Transfer> ways = new ArrayList<>();
        List<Integer> points = plan.trace().path().points();
        for (int i = 1; i < points.size(); i++) {
            Point from = plan.flow().points().get(points.get(i - 1));
            Point to = plan.flow().points().get(points.get(i));
            if (!from.station().equals(to.station())) {
                joints.stream()
                        .flatMap(joint -> joint.reading().stream())
                        .flatMap(reading -> reading.ways().stream())
                        .filter(way -> way.from().socket().equals(socket(from))
                                && way.to().socket().equals(socket(to)))
                        .max(Comparator.comparing(Transfer::atMiddle))
                        .ifPresent(ways::add);
            }
        }
        return ways;
    }

    /**
     * The hum of the joints of the run as it arrives at its end, their powers added; silence where none is known.
     */
    public Level hum(List<Checked> joints) {
        int end = plan.end().point();
        double square = 0;
        List<Integer> points = plan.trace().path().points();
        for (int i = 1; i < points.size(); i++) {
            Point to = plan.flow().points().get(points.get(i));
            boolean isEntered =
                    !plan.flow().points().get(points.get(i - 1)).station().equals(to.station());
            if (isEntered) {
                Gain onward = plan.levels().gain(points.get(i), end);
                double volts = joints.stream()
                        .flatMap(joint -> joint.hum().entrySet().stream())
                        .filter(hum -> hum.getKey().socket().equals(socket(to)))
                        .mapToDouble(hum -> hum.getValue().likely().plus(onward).volts())
                        .max()
                        .orElse(0);
                square += volts * volts;
            }
        }
        return Level.ofVolts(Math.sqrt(square));
    }

    /** The socket that a point stands for. */
    private static Spot socket(Point point) {
        return point.id().spot();
    }
}
