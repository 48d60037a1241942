package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.StageKind;
import kalodyne.core.joint.JointReading.Direct;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Computed;

/**
 * Phantom power where it must not be: on an output, or through a coil or ribbon by a lead that ties one leg to the ground. Boxes without
 * power of their own pass it on, and what stands behind them decides.
 */
final class PhantomRule implements JointRule {
    /** Less is what coupling capacitors leak. */
    private static final double NOTICEABLE_AMPERES = 0.2e-3;

    private static final double NOTICEABLE_VOLTS = 3;

    private static final Set<Carries> SIGNALS =
            Set.of(Carries.HOT, Carries.COLD, Carries.SIGNAL, Carries.LEFT, Carries.RIGHT, Carries.MIC, Carries.SEND);

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.canFeedPhantom() ? joint.spots().flatMap(spot -> check(joint, spot)) : Stream.empty();
    }

    private static Stream<Finding> check(Joint joint, Spot spot) {
        Socket socket = joint.socket(spot);
        boolean isMeant = joint.has(spot, PowerKind.PHANTOM, PowerRole.GIVES)
                || joint.has(spot, PowerKind.PHANTOM, PowerRole.NEEDS);
        if (isMeant || isPassive(joint.device(spot))) {
            return Stream.empty();
        }
        List<Direct> contacts = joint.reading().atRest().get(spot).entrySet().stream()
                .filter(entry -> SIGNALS.contains(socket.contacts().get(entry.getKey())))
                // A headset's socket feeds its microphone itself.
                .filter(entry -> !socket.isHost() || socket.contacts().get(entry.getKey()) != Carries.MIC)
                .map(Map.Entry::getValue)
                .toList();
        double amperes = largest(contacts.stream().map(Direct::amperes));
        double volts = largest(contacts.stream().map(Direct::volts));
        if (joint.device(spot).kind() == DeviceKind.MICROPHONE) {
            return amperes < NOTICEABLE_AMPERES ? Stream.empty() : throughCoil(joint, spot, amperes);
        }
        boolean isTolerated = joint.has(spot, PowerKind.PHANTOM, PowerRole.TOLERATES);
        boolean isReached = socket.way() == Direction.IN
                ? amperes >= NOTICEABLE_AMPERES && volts >= NOTICEABLE_VOLTS
                : amperes >= NOTICEABLE_AMPERES || volts >= NOTICEABLE_VOLTS;
        if (isTolerated || !isReached) {
            return Stream.empty();
        }
        double into = contacts.stream()
                .mapToDouble(direct -> Math.abs(direct.amperes()))
                .sum();
        return Joint.found(
                FindingCode.PHANTOM_INTO_OUTPUT,
                Severity.HARM,
                spot,
                new Figure(into * 1e3, "mA"),
                "Phantom power goes backwards",
                "With phantom power on, "
                        + (into >= NOTICEABLE_AMPERES
                                ? Computed.current(into) + " flow into "
                                : "up to " + Computed.voltage(volts) + " come to ")
                        + joint.name(spot) + ", which is an output.",
                "Use a line input, or switch phantom power off first");
    }

    private static Stream<Finding> throughCoil(Joint joint, Spot spot, double amperes) {
        boolean isHarmed = joint.has(spot, PowerKind.PHANTOM, PowerRole.HARMED);
        return Joint.found(
                FindingCode.PHANTOM_THROUGH_COIL,
                isHarmed ? Severity.HARM : Severity.WRONG,
                spot,
                new Figure(amperes * 1e3, "mA"),
                isHarmed ? "Phantom power through a ribbon" : "Phantom power through a microphone's coil",
                "With phantom power on, " + Computed.current(amperes) + " flow through "
                        + joint.device(spot).name() + ", because this lead ties one leg to the ground.",
                "Keep phantom power off, or use a balanced lead from end to end");
    }

    /** A pad, a splitter, a transformer: nothing in it can be harmed, and resistors and wires pass direct voltages on. */
    static boolean isPassive(Device device) {
        boolean isOfParts = device.stages().stream()
                .allMatch(stage -> stage.kind() == StageKind.TRANSFORMER || stage.kind() == StageKind.RESISTORS);
        return device.kind() == DeviceKind.BOX && device.powering().isEmpty() && isOfParts;
    }

    private static double largest(Stream<Double> values) {
        return values.mapToDouble(Math::abs).max().orElse(0);
    }
}
