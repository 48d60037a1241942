package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Print;

/** A balanced output into a balanced input, of which one leg is lost on the way. */
final class HalfRule implements JointRule {
    /** A leg that was lost costs half, or nothing where the source drives the other one alone. */
    private static final double LEAST_DB = -3;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> sounding.channel() == Carries.HOT)
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> isHalf(joint, way))
                .flatMap(HalfRule::found);
    }

    /** Whether a balanced signal lost its second leg on the way: by the contacts, not by how much is lost. */
    static boolean isHalf(Joint joint, Transfer way) {
        return way.from().channel() == Carries.HOT
                && way.to().channel() == Carries.HOT
                && !way.isLost()
                && joint.path(way).isPresent()
                && !joint.contacts().isPair(way.from().socket(), way.to().socket());
    }

    /** Whether both legs go all the way, so that what the lead picks up cancels. */
    static boolean isBalanced(Joint joint, Transfer way) {
        return way.from().channel() == Carries.HOT
                && way.to().channel() == Carries.HOT
                && (joint.path(way).isEmpty()
                        || joint.contacts().isPair(way.from().socket(), way.to().socket()));
    }

    private static Stream<Finding> found(Transfer way) {
        double db = way.atMiddle().db();
        return Joint.found(
                FindingCode.BALANCED_HALF,
                db < LEAST_DB ? Severity.WEAK : Severity.NOTE,
                way.to().socket(),
                new Figure(db, "dB"),
                "Only one leg arrives",
                "Both ends are balanced, the lead between them is not: "
                        + (db < LEAST_DB ? Print.decimal(-db, 0) + " dB are lost, and what" : "what")
                        + " the lead picks up no longer cancels.",
                "Use a lead with three contacts at both ends");
    }
}
