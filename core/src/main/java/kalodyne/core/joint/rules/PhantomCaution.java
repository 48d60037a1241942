package kalodyne.core.joint.rules;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.joint.JointCircuit;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Phantom;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.circuit.UnsolvableCircuit;

/**
 * The caution that stands with every microphone that phantom power can harm, however well it is connected: a plug that is pulled
 * halfway is enough. And with everything that is safe only because phantom power is switched off.
 */
final class PhantomCaution implements JointRule {
    private static final PhantomRule SWITCHED_ON = new PhantomRule();

    @Override
    public Stream<Finding> check(Joint joint) {
        if (!joint.canFeedPhantom()) {
            return Stream.empty();
        }
        List<Finding> harmed = joint.spots()
                .filter(spot -> joint.has(spot, PowerKind.PHANTOM, PowerRole.HARMED)
                        && joint.device(spot).kind() == DeviceKind.MICROPHONE)
                .flatMap(spot -> harmed(joint, spot))
                .toList();
        return harmed.isEmpty() ? onceSwitchedOn(joint) : harmed.stream();
    }

    /** On, it is one plug away from harm; jacks touch each other's contacts one after another while they slide in. */
    private static Stream<Finding> harmed(Joint joint, Spot microphone) {
        String name = joint.device(microphone).name();
        boolean isOn = joint.spots()
                .anyMatch(spot -> joint.socket(spot).power().stream()
                        .anyMatch(power -> power.kind() == PowerKind.PHANTOM
                                && power.role() == PowerRole.GIVES
                                && joint.patch().isOn(spot, power)));
        boolean isPatched = joint.patch().pluggings().stream()
                .anyMatch(plugging -> joint.patch().connector(plugging.plug()).isJack());
        String jacks =
                isPatched ? " There are jacks on the way: while one slides in or out, 48 V pulse through it." : "";
        return Joint.found(
                FindingCode.CAUTION_PHANTOM,
                isOn ? isPatched ? Severity.HARM : Severity.WRONG : Severity.NOTE,
                microphone,
                new Figure(Phantom.VOLTS, "V"),
                isOn ? "Switch phantom power off" : "Keep phantom power off here",
                (isOn
                                ? "It is on. By this lead no current flows through " + name
                                        + ", but a plug that goes in or comes out halfway can damage it."
                                : "The input can give 48 V, which can damage " + name
                                        + " while a plug goes in or comes out halfway.")
                        + jacks,
                isOn
                        ? "Switch phantom power off, and wait half a minute before you plug"
                        : "Check that phantom power is off before you plug");
    }

    private static Stream<Finding> onceSwitchedOn(Joint joint) {
        boolean isOff = joint.spots()
                .anyMatch(spot -> joint.socket(spot).power().stream()
                        .anyMatch(power -> power.kind() == PowerKind.PHANTOM
                                && joint.patch().isOff(spot, power)));
        return isOff ? SWITCHED_ON.check(switchedOn(joint)).flatMap(PhantomCaution::kept) : Stream.empty();
    }

    private static Joint switchedOn(Joint joint) {
        Patch on = joint.patch().withSwitched(List.of());
        JointCircuit circuit = JointCircuit.of(on);
        try {
            return Joint.of(on, circuit, JointReading.of(circuit));
        } catch (UnsolvableCircuit e) {
            // What has a solution with phantom power off has one with it on: only sources differ.
            throw new IllegalStateException(e);
        }
    }

    private static Stream<Finding> kept(Finding finding) {
        return Stream.of(new Finding(
                FindingCode.CAUTION_PHANTOM,
                Severity.NOTE,
                finding.place(),
                finding.figure(),
                "Keep phantom power off here",
                "It is off. " + finding.text(),
                finding.remedy()));
    }
}
