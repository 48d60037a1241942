package kalodyne.core.joint.rules;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.Transfer;

/**
 * The whine of a computer in an unbalanced lead: where its shield and a USB lead close a loop, what devices draw of the bus drops a voltage
 * along the USB ground that comes in with the signal. Common practice; how loud it is differs too much for a figure.
 */
final class UsbNoiseRule implements RigRule {
    @Override
    public Stream<Finding> check(WholeRig rig) {
        if (rig.joints().stream().noneMatch(joint -> joint.reading().isOfBus())) {
            return Stream.empty();
        }
        return rig.joints().stream()
                .filter(joint -> !joint.reading().isOfBus())
                .flatMap(joint -> joint.hearings()
                        .flatMap(hearing -> joint.to(hearing).stream()
                                .filter(way -> !way.isLost() && !HalfRule.isBalanced(joint, way))
                                .limit(1))
                        .limit(1)
                        .flatMap(way -> check(rig, joint, way)));
    }

    private static Stream<Finding> check(WholeRig rig, Joint joint, Transfer way) {
        List<JointReading> around = rig.earth().around(joint.reading());
        return around.stream().noneMatch(JointReading::isOfBus)
                ? Stream.empty()
                : Joint.found(
                        FindingCode.HUM_USB,
                        Severity.WEAK,
                        way.to().socket(),
                        new Figure(around.size(), "joints"),
                        "The computer's whine may be heard",
                        "The shield of this lead and a USB lead close a loop: whine and clicks of the computer come in with the signal, more when it works.",
                        "Use a balanced lead, an isolator or DI box here, or a USB isolator; a battery in place of the adapter breaks the loop too");
    }
}
