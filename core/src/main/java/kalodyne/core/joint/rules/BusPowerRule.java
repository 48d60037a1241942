package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Spot;

/** A port that gives less current than what hangs on it draws. */
final class BusPowerRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.spots().flatMap(spot -> check(joint, spot));
    }

    private static Stream<Finding> check(Joint joint, Spot port) {
        return BusLoad.at(joint.patch(), joint.reading(), port).stream()
                .filter(load -> !load.isFed())
                .flatMap(load -> found(joint, load));
    }

    private static Stream<Finding> found(Joint joint, BusLoad load) {
        Spot fed = load.living().get(0);
        return Joint.found(
                FindingCode.POWER_BUS_SHORT,
                Severity.WRONG,
                fed,
                new Figure(load.drawnAmperes() * 1e3, "mA"),
                "This port does not feed it",
                joint.device(fed).name() + " draws " + load.drawn() + ", and " + joint.name(load.port()) + " gives "
                        + load.most()
                        + ": its lamp blinks, or it drops out mid-take.",
                "Use a hub or adapter that is fed by a charger or power bank, or the device's own supply");
    }
}
