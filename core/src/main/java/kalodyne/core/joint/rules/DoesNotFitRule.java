package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;

/** A plug that does not go in: nothing is joined there, and force breaks the socket. */
final class DoesNotFitRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.patch().pluggings().stream()
                .filter(plugging -> joint.patch().readings(plugging).isEmpty())
                .flatMap(plugging -> Joint.found(
                        FindingCode.PLUG_DOES_NOT_FIT,
                        Severity.WRONG,
                        plugging.socket(),
                        new Figure(0, "contacts"),
                        "This does not go in",
                        joint.patch().words(plugging.plug()) + " does not go into "
                                + joint.patch().words(plugging.socket()) + ". Never force it.",
                        "Use an adapter, or another socket"));
    }
}
