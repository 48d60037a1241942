package kalodyne.desktop.model;

import java.util.List;
import java.util.Optional;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Station;
import kalodyne.core.run.RunJoint;

/** Which joints belong to a run: of what is plugged by its sockets, of what was described by the names of the gear. */
final class RunJoints {
    private final LevelPlan plan;

    RunJoints(LevelPlan plan) {
        this.plan = plan;
    }

    boolean has(Checked joint) {
        return plan.described()
                .map(run -> RunJoint.isOf(run, joint.patch()))
                .orElseGet(() -> station(joint).isPresent());
    }

    /** The joint at a station of the run or behind it, else the last before it. */
    Optional<Checked> at(int station, List<Checked> joints) {
        if (plan.described().isPresent()) {
            return RunJoint.of(plan.described().get(), joints, Checked::patch);
        }
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

    private static java.util.function.Supplier<Optional<Checked>> joint(Optional<Checked> found) {
        return () -> found;
    }

    /** The station that a joint is in the run. */
    Optional<Integer> station(Checked joint) {
        if (plan.described().isPresent()) {
            return has(joint) ? Optional.of(1) : Optional.empty();
        }
        return plan.trace().stations().stream()
                .filter(Station::isJoint)
                .map(Station::index)
                .filter(index -> isAt(joint, index))
                .findFirst();
    }

    /** A joint ends in the socket that the run comes into the next device by. */
    private boolean isAt(Checked joint, int station) {
        List<Integer> points = plan.trace().path().points();
        for (int i = 1; i < points.size(); i++) {
            if (plan.trace().stationOf().get(i) == station + 1
                    && plan.trace().stationOf().get(i - 1) < station) {
                String mark = plan.flow().points().get(points.get(i)).id();
                Spot socket = Spot.read(mark.contains(":") ? mark.substring(0, mark.indexOf(':')) : mark);
                return joint.patch().pluggings().stream()
                        .map(Plugging::spots)
                        .anyMatch(spots -> spots.contains(socket));
            }
        }
        return false;
    }
}
