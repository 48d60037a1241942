package kalodyne.core.joint.rules;

import java.util.Map;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.JointReading.Direct;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Print;

/** Phantom power where it must not be: on an output, or through a coil or ribbon by a lead that ties one leg to the ground. */
final class PhantomRule implements JointRule {
    /** Less is what coupling capacitors leak. */
    private static final double NOTICEABLE_AMPERES = 0.2e-3;

    private static final double NOTICEABLE_VOLTS = 3;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.canFeedPhantom() ? joint.spots().flatMap(spot -> check(joint, spot)) : Stream.empty();
    }

    private static Stream<Finding> check(Joint joint, Spot spot) {
        boolean isMeant = joint.has(spot, PowerKind.PHANTOM, PowerRole.GIVES)
                || joint.has(spot, PowerKind.PHANTOM, PowerRole.NEEDS);
        Map<Contact, Direct> contacts = joint.reading().atRest().get(spot);
        double amperes = largest(contacts.values().stream().map(Direct::amperes));
        double volts = largest(contacts.values().stream().map(Direct::volts));
        if (isMeant || amperes < NOTICEABLE_AMPERES) {
            return Stream.empty();
        }
        String numbers = Print.decimal(amperes * 1e3, 1) + " mA and up to " + Print.decimal(volts, 1) + " V";
        Socket socket = joint.socket(spot);
        boolean isMicrophone = joint.device(spot).kind() == DeviceKind.MICROPHONE;
        if (isMicrophone) {
            boolean isHarmed = joint.has(spot, PowerKind.PHANTOM, PowerRole.HARMED);
            return Joint.found(
                    FindingCode.PHANTOM_THROUGH_COIL,
                    isHarmed ? Severity.HARM : Severity.WRONG,
                    spot,
                    new Figure(amperes * 1e3, "mA"),
                    isHarmed ? "Phantom power through a ribbon" : "Phantom power through a microphone's coil",
                    "With phantom power on, " + Print.decimal(amperes * 1e3, 1) + " mA flow through "
                            + joint.device(spot).name() + ", because this lead ties one leg to the ground.",
                    "Keep phantom power off, or use a balanced lead from end to end");
        }
        boolean isTolerated = joint.has(spot, PowerKind.PHANTOM, PowerRole.TOLERATES);
        if (isTolerated || (volts < NOTICEABLE_VOLTS && socket.way() == Direction.IN)) {
            return Stream.empty();
        }
        return Joint.found(
                FindingCode.PHANTOM_INTO_OUTPUT,
                Severity.HARM,
                spot,
                new Figure(amperes * 1e3, "mA"),
                "Phantom power goes backwards",
                "With phantom power on, " + numbers + " come into " + joint.name(spot) + ", which is an output.",
                "Use a line input, or switch phantom power off first");
    }

    private static double largest(Stream<Double> values) {
        return values.mapToDouble(Math::abs).max().orElse(0);
    }
}
