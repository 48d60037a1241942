package kalodyne.core.joint.rules;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Print;

/** One side of two that is heard in the other one, through a wire or contact that both share. */
final class CrosstalkRule implements JointRule {
    /** Sides that are parted by less sound closer together; less than cartridges do. Common practice. */
    private static final double NARROW_DB = 25;

    /** With less it is rather a sum than crosstalk. */
    private static final double SUMMED_DB = 6;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> sounding.channel() == Carries.LEFT)
                .flatMap(left -> check(joint, left).stream().limit(1));
    }

    private static List<Finding> check(Joint joint, OutputSignal left) {
        return joint.from(left).stream()
                .filter(way -> way.to().channel() == Carries.RIGHT)
                .flatMap(across -> joint.to(across.to()).stream()
                        .filter(own -> own.from().channel() == Carries.RIGHT
                                && own.from().socket().equals(left.socket()))
                        .flatMap(own -> found(joint, across, own)))
                .toList();
    }

    private static Stream<Finding> found(Joint joint, Transfer across, Transfer own) {
        double apart = own.atMiddle().db() - across.atMiddle().db();
        boolean isHeard = !own.isLost();
        return isHeard && apart < NARROW_DB && apart > SUMMED_DB
                ? Joint.found(
                        FindingCode.STEREO_CROSSTALK,
                        Severity.WEAK,
                        across.to().socket(),
                        new Figure(apart, "dB"),
                        "Left and right mix",
                        "Each side of " + joint.name(across.from().socket()) + " is heard in the other one, only "
                                + Print.decimal(apart, 0) + " dB down: both come back through one thin wire.",
                        "Use a shorter or thicker lead, or one with a ground wire for each side")
                : Stream.empty();
    }
}
