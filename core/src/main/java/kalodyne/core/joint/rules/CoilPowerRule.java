package kalodyne.core.joint.rules;

import java.util.Map;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.joint.JointReading.Direct;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Computed;

/** Plug-in power of a camera, recorder or phone through the coil or ribbon of a microphone that needs none. */
final class CoilPowerRule implements JointRule {
    private static final double NOTICEABLE_AMPERES = 0.1e-3;

    @Override
    public Stream<Finding> check(Joint joint) {
        boolean isFed = joint.spots().anyMatch(spot -> joint.has(spot, PowerKind.PLUG_IN, PowerRole.GIVES));
        return isFed && !joint.canFeedPhantom()
                ? joint.spots().filter(spot -> isCoil(joint, spot)).flatMap(spot -> check(joint, spot))
                : Stream.empty();
    }

    private static boolean isCoil(Joint joint, Spot spot) {
        return joint.device(spot).kind() == DeviceKind.MICROPHONE
                && joint.device(spot).powering().isEmpty()
                && joint.socket(spot).power().stream().noneMatch(power -> power.role() == PowerRole.NEEDS)
                && !joint.has(spot, PowerKind.PLUG_IN, PowerRole.TOLERATES);
    }

    private static Stream<Finding> check(Joint joint, Spot spot) {
        Map<Contact, Direct> contacts = joint.reading().atRest().get(spot);
        double amperes = joint.socket(spot).contacts().entrySet().stream()
                .filter(entry -> entry.getValue() == Carries.HOT || entry.getValue() == Carries.SIGNAL)
                .mapToDouble(entry -> Math.abs(contacts.get(entry.getKey()).amperes()))
                .max()
                .orElse(0);
        if (amperes < NOTICEABLE_AMPERES) {
            return Stream.empty();
        }
        boolean isRibbon = joint.has(spot, PowerKind.PHANTOM, PowerRole.HARMED);
        return Joint.found(
                FindingCode.POWER_THROUGH_COIL,
                isRibbon ? Severity.WRONG : Severity.NOTE,
                spot,
                new Figure(amperes * 1e3, "mA"),
                isRibbon ? "Plug-in power through a ribbon" : "Plug-in power through a microphone's coil",
                Computed.current(amperes) + " of plug-in power flow through "
                        + joint.device(spot).name()
                        + (isRibbon
                                ? ": they pull its ribbon out of the middle."
                                : ": that does no harm, and moves its coil a little out of the middle."),
                "Switch plug-in power off where it can be, or use an adapter with a capacitor or transformer");
    }
}
