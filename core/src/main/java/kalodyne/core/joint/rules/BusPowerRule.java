package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Current;
import kalodyne.core.units.Print;

/** A port that gives less current than what hangs on it draws. */
final class BusPowerRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.spots().flatMap(spot -> check(joint, spot));
    }

    private static Stream<Finding> check(Joint joint, Spot port) {
        Optional<Current> most = joint.socket(port).busSupply();
        double drawn = drawn(joint, port);
        Optional<Spot> fed = joint.spots()
                .filter(spot -> joint.has(spot, PowerKind.BUS, PowerRole.NEEDS))
                .filter(spot -> livesOnBus(joint, spot))
                .findFirst();
        if (most.isEmpty() || fed.isEmpty() || drawn <= most.get().amperes()) {
            return Stream.empty();
        }
        return Joint.found(
                "power.bus-short",
                Severity.WRONG,
                fed.get(),
                new Figure(drawn * 1e3, "mA"),
                "This port does not feed it",
                joint.device(fed.get()).name() + " draws " + Print.prefixed(drawn, "A") + ", and " + joint.name(port)
                        + " gives " + Print.prefixed(most.get().amperes(), "A")
                        + ": its lamp blinks, or it falls out in mid-take.",
                "Use a hub or adapter that is fed by a charger or power bank, or the device's own supply");
    }

    private static double drawn(Joint joint, Spot port) {
        return joint.socket(port).contacts().entrySet().stream()
                .filter(entry -> entry.getValue() == Carries.POWER)
                .mapToDouble(entry -> -amperes(joint, port, entry.getKey()))
                .sum();
    }

    private static double amperes(Joint joint, Spot port, Contact contact) {
        return joint.reading().atRest().get(port).get(contact).amperes();
    }

    /** What usually runs on something else does not fail. */
    private static boolean livesOnBus(Joint joint, Spot spot) {
        return joint.device(spot).powering().stream()
                .findFirst()
                .filter(powering -> powering.source() != PowerSource.BUS)
                .isEmpty();
    }
}
