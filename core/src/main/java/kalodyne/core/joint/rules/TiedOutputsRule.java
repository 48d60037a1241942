package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** Two outputs joined without resistors between them: each works into the other one. */
final class TiedOutputsRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .flatMap(one -> joint.reading().tied(one).stream().flatMap(other -> found(joint, one, other)));
    }

    private static Stream<Finding> found(Joint joint, OutputSignal one, OutputSignal other) {
        double db = Gain.ofRatio(joint.reading().own().get(one).magnitude()).db();
        return Joint.found(
                FindingCode.OUTPUTS_TIED,
                Severity.WRONG,
                one.socket(),
                new Figure(db, "dB"),
                "Two outputs work into each other",
                joint.name(one.socket()) + " is tied to an output of "
                        + joint.device(other.socket()).name() + " and drops by " + Print.decimal(-db, 1)
                        + " dB; both may distort.",
                "Use two inputs, a mixer, or a lead with summing resistors");
    }
}
