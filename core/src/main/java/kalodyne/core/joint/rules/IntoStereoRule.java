package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Gain;

/** One signal into a socket for left and right: it is there on one side only, or, by the two legs of a balanced output, against itself. */
final class IntoStereoRule implements JointRule {
    private static final double MIDDLE_HERTZ = 1000;

    /** Sides that differ by more are no longer heard as against each other. */
    private static final double LIKE_DB = 6;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> sounding.channel() == Carries.HOT || sounding.channel() == Carries.SIGNAL)
                .flatMap(sounding -> joint.hearings()
                        .filter(hearing -> hearing.channel() == Carries.LEFT)
                        .flatMap(left -> joint.hearings()
                                .filter(right -> right.channel() == Carries.RIGHT
                                        && right.socket().equals(left.socket()))
                                .flatMap(right -> check(joint, sounding, left, right))));
    }

    private static Stream<Finding> check(Joint joint, OutputSignal sounding, InputSignal left, InputSignal right) {
        Optional<Transfer> one = arriving(joint, sounding, left);
        Optional<Transfer> other = arriving(joint, sounding, right);
        if (one.isPresent() && other.isPresent()) {
            return isAgainst(one.get(), other.get()) ? opposed(joint, sounding, left.socket()) : Stream.empty();
        }
        boolean isHeardElsewhere = List.of(left, right).stream()
                .flatMap(hearing -> joint.to(hearing).stream())
                .anyMatch(way -> !way.isLost() && !way.from().equals(sounding));
        return one.or(() -> other).isPresent() && !isHeardElsewhere
                ? alone(joint, sounding, left.socket(), one.isPresent() ? Carries.LEFT : Carries.RIGHT)
                : Stream.empty();
    }

    private static Optional<Transfer> arriving(Joint joint, OutputSignal sounding, InputSignal hearing) {
        return joint.from(sounding).stream()
                .filter(way -> way.to().equals(hearing) && !way.isLost())
                .findFirst();
    }

    private static boolean isAgainst(Transfer one, Transfer other) {
        double apart = Gain.ofRatio(one.at(MIDDLE_HERTZ).magnitude()
                        / other.at(MIDDLE_HERTZ).magnitude())
                .db();
        return Math.abs(apart) < LIKE_DB
                && one.at(MIDDLE_HERTZ).re() * other.at(MIDDLE_HERTZ).re() < 0;
    }

    private static Stream<Finding> opposed(Joint joint, OutputSignal sounding, Spot input) {
        return Joint.found(
                FindingCode.STEREO_OPPOSED,
                Severity.WRONG,
                input,
                new Figure(2, "legs"),
                "Left and right are against each other",
                "The two legs of one balanced output, " + joint.name(sounding.socket())
                        + ", arrive as left and right: it sounds hollow, and is gone where both are added.",
                "Use an input for one channel, or a lead by which one leg and the ground go to both sides");
    }

    private static Stream<Finding> alone(Joint joint, OutputSignal sounding, Spot input, Carries side) {
        return Joint.found(
                FindingCode.STEREO_ONE_INPUT,
                Severity.NOTE,
                input,
                new Figure(1, "sides"),
                "On one side only",
                joint.name(sounding.socket()) + " arrives on the " + side.word()
                        + " side alone: record it as mono, or put it in the middle afterwards.",
                "For both sides, use a lead or adapter from mono to stereo");
    }
}
