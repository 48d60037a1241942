package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** An output whose contact lies on its own ground: next to nothing is left of its signal at its own socket. */
final class ShortRule implements JointRule {
    private static final double SHORTED_DB = -20;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> sounding.channel() != Carries.MIC)
                .filter(sounding -> joint.reading().tied(sounding).isEmpty())
                .filter(sounding -> left(joint, sounding) < SHORTED_DB && !isMadeForLoad(joint, sounding))
                .flatMap(sounding -> found(joint, sounding));
    }

    private static double left(Joint joint, OutputSignal sounding) {
        return Gain.ofRatio(joint.reading().own().get(sounding).magnitude()).db();
    }

    /** A pickup may be weighed down that far by a wrong input; that is another matter. */
    private static boolean isMadeForLoad(Joint joint, OutputSignal sounding) {
        SignalKind kind = joint.socket(sounding.socket()).signal();
        return kind == SignalKind.INSTRUMENT || kind == SignalKind.PHONO || kind == SignalKind.MIC;
    }

    private static Stream<Finding> found(Joint joint, OutputSignal sounding) {
        boolean isStrong = joint.socket(sounding.socket()).signal() == SignalKind.SPEAKER
                || joint.socket(sounding.socket()).signal() == SignalKind.HEADPHONE;
        double db = left(joint, sounding);
        String which = sounding.channel() == Carries.SIGNAL || sounding.channel() == Carries.HOT
                ? ""
                : "The " + sounding.channel().word() + " side of ";
        return Joint.found(
                FindingCode.OUTPUT_SHORTED,
                isStrong ? Severity.HARM : Severity.WRONG,
                sounding.socket(),
                new Figure(Math.max(db, -200), "dB"),
                "An output is shorted",
                which + joint.name(sounding.socket()) + " lies on its own ground: it drops by "
                        + Print.decimal(Math.min(-db, 200), 0) + " dB"
                        + (isStrong ? ", and its amplifier gets hot." : "."),
                "Use a plug with as many poles as the socket");
    }
}
