package kalodyne.core.joint.rules;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.units.Print;

/** A signal that arrives nowhere, or one side of two that does not. */
final class LostRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        boolean isHeard = !joint.circuit().hearings().isEmpty();
        return isHeard
                ? joint.circuit().soundings().stream()
                        .filter(sounding -> joint.socket(sounding.socket()).signal() != SignalKind.CONTROL)
                        .filter(sounding ->
                                sounding.channel() != Carries.MIC || !joint.isForListening(sounding.socket()))
                        .filter(sounding -> !joint.from(sounding).isEmpty() && !joint.arrives(sounding))
                        .flatMap(sounding -> found(joint, sounding))
                : Stream.empty();
    }

    private static Stream<Finding> found(Joint joint, OutputSignal lost) {
        double db = joint.best(lost).map(way -> way.atMiddle().db()).orElse(-200.0);
        Figure figure = new Figure(Math.max(db, -200), "dB");
        List<OutputSignal> arriving = joint.circuit().soundings().stream()
                .filter(other -> other.socket().equals(lost.socket()) && joint.arrives(other))
                .toList();
        if (arriving.isEmpty()) {
            return Joint.found(
                    FindingCode.SIGNAL_LOST,
                    Severity.WRONG,
                    lost.socket(),
                    figure,
                    "Nothing arrives",
                    "Of " + joint.name(lost.socket()) + " " + remains(db)
                            + " reaches an input: no contact leads there.",
                    "Use a lead or adapter whose contacts match both ends");
        }
        boolean isSide = lost.channel() == Carries.LEFT || lost.channel() == Carries.RIGHT;
        return isSide
                ? Joint.found(
                        FindingCode.STEREO_ONE_SIDE,
                        Severity.WRONG,
                        lost.socket(),
                        figure,
                        "Only one side arrives",
                        "The " + lost.channel().word() + " side of " + joint.name(lost.socket())
                                + " goes nowhere; the other one arrives.",
                        "Use a lead that takes both sides to inputs of their own, or pan everything to the side that arrives")
                : Stream.empty();
    }

    private static String remains(double db) {
        return db < -100 ? "nothing" : "no more than " + Print.decimal(db, 0) + " dB";
    }
}
