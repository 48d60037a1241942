package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/**
 * An unbalanced output in a balanced input by a lead of three poles, whose ring touches nothing at the source: the second leg
 * hangs in the air. What that costs depends on how the input is built: hardly anything, or half of the signal.
 */
final class OpenLegRule implements JointRule {
    private static final double NOTICEABLE_DB = 3;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> sounding.channel() != Carries.HOT)
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> way.to().channel() == Carries.HOT && !way.isLost())
                .filter(way -> joint.path(way).isPresent()
                        && joint.contacts().isOpen(way.to().socket(), Carries.COLD))
                .flatMap(way -> found(joint, way));
    }

    /** Between the source's own socket and the input. */
    private static double lost(Joint joint, Transfer way) {
        return Gain.ofRatio(joint.reading().own().get(way.from()).magnitude()).db()
                - way.atMiddle().db();
    }

    private static Stream<Finding> found(Joint joint, Transfer way) {
        double lost = lost(joint, way);
        boolean isMuch = lost > NOTICEABLE_DB;
        return Joint.found(
                FindingCode.BALANCED_LEG_OPEN,
                isMuch ? Severity.WEAK : Severity.NOTE,
                way.to().socket(),
                new Figure(lost, "dB"),
                "One leg is not connected",
                "The ring of this lead touches nothing at "
                        + joint.name(way.from().socket()) + ". "
                        + (isMuch
                                ? "This input then loses " + Print.decimal(lost, 0) + " dB, and it picks up hum."
                                : "It picks up hum; inputs of a simpler kind lose 6 dB as well."),
                "Use a lead with two-pole plugs, or one that ties the ring to the ground at the source");
    }
}
