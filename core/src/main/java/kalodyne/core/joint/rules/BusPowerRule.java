package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.joint.Spot;

/** A port that gives less current than what hangs on it draws. */
final class BusPowerRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.spots().flatMap(spot -> check(joint, spot));
    }

    private static Stream<Finding> check(Joint joint, Spot port) {
        Optional<BusLoad> load =
                BusLoad.at(joint.patch(), joint.reading(), port).filter(each -> !each.isFed());
        Optional<Spot> fed = load.stream()
                .flatMap(each -> joint.spots()
                        .filter(spot -> joint.has(spot, PowerKind.BUS, PowerRole.NEEDS))
                        .filter(spot -> each.living().contains(spot.item())))
                .findFirst();
        if (fed.isEmpty()) {
            return Stream.empty();
        }
        double drawn = load.get().drawnAmperes();
        return Joint.found(
                FindingCode.POWER_BUS_SHORT,
                Severity.WRONG,
                fed.get(),
                new Figure(drawn * 1e3, "mA"),
                "This port does not feed it",
                joint.device(fed.get()).name() + " draws " + load.get().drawn() + ", and " + joint.name(port)
                        + " gives " + load.get().most()
                        + ": its lamp blinks, or it falls out in mid-take.",
                "Use a hub or adapter that is fed by a charger or power bank, or the device's own supply");
    }
}
