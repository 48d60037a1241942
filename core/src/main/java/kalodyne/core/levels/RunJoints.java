package kalodyne.core.levels;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/** Which joints belong to a run. */
public final class RunJoints {
    private final LevelPlan plan;

    /** Looks for the joints of a run. */
    public RunJoints(LevelPlan plan) {
        this.plan = plan;
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
        List<Station> stations = plan.trace().stations();
        Optional<Checked> found = Optional.empty();
        for (Station each : stations) {
            if (each.isJoint() && (found.isEmpty() || each.index() <= station + 1)) {
                found = joints.stream()
                        .filter(joint -> isAt(joint, each.index()))
                        .findFirst()
                        .or(joint(found));
            }
        }
        return found;
    }

    private static Supplier<Optional<Checked>> joint(Optional<Checked> found) {
        return () -> found;
    }

    /** The station that a joint is in the run. */
    public Optional<Integer> station(Checked joint) {
        return plan.trace().stations().stream()
                .filter(Station::isJoint)
                .map(Station::index)
                .filter(index -> isAt(joint, index))
                .findFirst();
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

    /** A joint ends in the socket that the run comes into the next device by. */
    private boolean isAt(Checked joint, int station) {
        List<Integer> points = plan.trace().path().points();
        for (int i = 1; i < points.size(); i++) {
            if (plan.trace().stationOf().get(i) == station + 1
                    && plan.trace().stationOf().get(i - 1) < station) {
                Spot socket = socket(plan.flow().points().get(points.get(i)));
                return joint.patch().pluggings().stream()
                        .map(Plugging::spots)
                        .anyMatch(spots -> spots.contains(socket));
            }
        }
        return false;
    }
}
