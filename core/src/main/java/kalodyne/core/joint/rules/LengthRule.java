package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Print;

/** Leads that are longer than is good for what they carry: about 3 m unbalanced, 300 m balanced; common practice. */
final class LengthRule implements JointRule {
    private static final double UNBALANCED_METRES = 3;
    private static final double BALANCED_METRES = 300;

    /** A hair more does not matter. */
    private static final double MARGIN = 1.1;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> joint.socket(sounding.socket()).signal() != SignalKind.SPEAKER)
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> !way.isLost() && metres(joint, way) > MARGIN * longest(joint, way))
                .limit(1)
                .flatMap(way -> Joint.found(
                        FindingCode.LEAD_LONG,
                        Severity.NOTE,
                        way.to().socket(),
                        new Figure(metres(joint, way), "m"),
                        "A long lead for this",
                        Print.decimal(metres(joint, way), 1) + " m, where about "
                                + Print.decimal(longest(joint, way), 0)
                                + " m are usual: it picks up more hum and radio.",
                        HalfRule.isBalanced(joint, way)
                                ? "Use a shorter lead"
                                : "Use a balanced lead, or a DI box at the source"));
    }

    /** Of the leads on the way; 0 where a box lies between. */
    private static double metres(Joint joint, Transfer way) {
        return joint.path(way).stream()
                .flatMap(path -> path.leads().stream())
                .mapToDouble(Lead::metres)
                .sum();
    }

    private static double longest(Joint joint, Transfer way) {
        return HalfRule.isBalanced(joint, way) ? BALANCED_METRES : UNBALANCED_METRES;
    }
}
