package kalodyne.core.joint.rules;

import java.util.List;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.circuit.Complex;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** Left and right of one output in one input: what is alike in both cancels, or both are simply mixed. */
final class CancelRule implements JointRule {
    private static final double MIDDLE_HERTZ = 1000;

    /** Two sides that differ by more do not cancel. */
    private static final double LIKE_DB = -15;

    /** The middle is down by so much against one side alone: then it is gone. */
    private static final double GONE_DB = -12;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.hearings().flatMap(hearing -> check(joint, hearing));
    }

    private static Stream<Finding> check(Joint joint, InputSignal hearing) {
        List<Transfer> ways = joint.to(hearing);
        return ways.stream()
                .filter(left -> left.from().channel() == Carries.LEFT)
                .flatMap(left -> ways.stream()
                        .filter(right -> right.from().channel() == Carries.RIGHT
                                && right.from().socket().equals(left.from().socket()))
                        .flatMap(right -> check(joint, hearing, left, right)));
    }

    private static Stream<Finding> check(Joint joint, InputSignal hearing, Transfer left, Transfer right) {
        Complex one = left.at(MIDDLE_HERTZ);
        Complex other = right.at(MIDDLE_HERTZ);
        double least = Math.min(one.magnitude(), other.magnitude());
        double most = Math.max(one.magnitude(), other.magnitude());
        if (most == 0
                || Gain.ofRatio(least / most).db() < LIKE_DB
                || Gain.ofRatio(most).db() < Transfer.LOST_DB) {
            return Stream.empty();
        }
        double middle = Gain.ofRatio(one.plus(other).magnitude() / (2 * most)).db();
        boolean isBalanced = hearing.channel() == Carries.HOT;
        if (middle < GONE_DB) {
            return Joint.found(
                    FindingCode.STEREO_CANCELS,
                    Severity.WRONG,
                    hearing.socket(),
                    new Figure(Math.max(middle, -120), "dB"),
                    "The centre cancels (voice and bass vanish)",
                    (isBalanced
                                    ? "Left and right go into the two legs of one balanced input, which takes their difference. "
                                    : "The ground is missing, so you hear the difference of left and right. ")
                            + "Whatever is the same in both (usually voice and bass) drops by " + amount(middle) + ".",
                    isBalanced
                            ? "Take left and right to two inputs, or use one of them"
                            : "Use a plug or adapter whose ground lies where the socket's does");
        }
        return Joint.found(
                FindingCode.STEREO_SUMMED,
                Severity.NOTE,
                hearing.socket(),
                new Figure(middle, "dB"),
                "Left and right become one",
                "Both sides of " + joint.name(left.from().socket()) + " arrive together in one channel: it is mono.",
                "");
    }

    private static String amount(double middle) {
        return middle < -60 ? "more than 60 dB" : Print.decimal(-middle, 0) + " dB";
    }
}
