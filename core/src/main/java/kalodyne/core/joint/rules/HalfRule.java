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
    private static final double LEAST_DB = -7.5;
    private static final double MOST_DB = -4.5;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> sounding.channel() == Carries.HOT)
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> way.to().channel() == Carries.HOT)
                .filter(way -> isHalf(way) && joint.path(way).isPresent())
                .flatMap(HalfRule::found);
    }

    /** Whether a signal lost its second leg. */
    static boolean isHalf(Transfer way) {
        return way.atMiddle().db() > LEAST_DB && way.atMiddle().db() < MOST_DB;
    }

    private static Stream<Finding> found(Transfer way) {
        double db = way.atMiddle().db();
        return Joint.found(
                FindingCode.BALANCED_HALF,
                Severity.WEAK,
                way.to().socket(),
                new Figure(db, "dB"),
                "Only one leg arrives",
                "Both ends are balanced, the lead between them is not: " + Print.decimal(-db, 1)
                        + " dB are lost, and what the lead picks up no longer cancels.",
                "Use a lead with three contacts at both ends");
    }
}
