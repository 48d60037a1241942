package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.SourceLevel;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/** More than an input takes with its gain at the lowest: it distorts whatever the knobs do. */
final class OverloadRule implements JointRule {
    /** Microphones stay below this even when shouted into; common practice. */
    private static final Level LOUDEST_MICROPHONE = new Level(-10);

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> joint.socket(sounding.socket()).signal() != SignalKind.SPEAKER)
                .flatMap(sounding -> joint.best(sounding).stream())
                .flatMap(way -> check(joint, way));
    }

    /** What it can give where nobody said how loud it gets; empty where nothing at all is known of it. */
    private static Optional<Level> most(SourceLevel source) {
        return source.most()
                .or(() -> source.basis() == SourceLevel.Basis.TAKEN
                        ? Optional.empty()
                        : Optional.of(source.levels().peak()));
    }

    private static Stream<Finding> check(Joint joint, Transfer way) {
        Spot input = way.to().socket();
        SourceLevel source = joint.source(way.from().socket());
        boolean isKnown = source.basis() == SourceLevel.Basis.TOLD;
        Optional<Level> given = isKnown ? Optional.of(source.levels().peak()) : most(source);
        if (given.isEmpty()) {
            return Stream.empty();
        }
        Level loudest = given.get().plus(way.atMiddle());
        SignalKind kind = joint.socket(input).signal();
        boolean isMic = kind == SignalKind.MIC || kind == SignalKind.HEADSET;
        SignalKind from = joint.socket(way.from().socket()).signal();
        boolean isLine = from == SignalKind.LINE || from == SignalKind.HEADPHONE;
        Optional<Level> ceiling = joint.socket(input).facts().quantity(Fact.MAXIMUM_LEVEL);
        double over = ceiling.map(most -> loudest.above(most).db()).orElse(Double.NEGATIVE_INFINITY);
        if (isMic && isLine && loudest.compareTo(LOUDEST_MICROPHONE) > 0) {
            return Joint.found(
                    FindingCode.CAUTION_LINE_INTO_MIC,
                    Severity.HARM,
                    input,
                    new Figure(loudest.dbu(), "dBu"),
                    "Line level in a mic socket",
                    "It brings " + loudest + " to a socket made for millivolts"
                            + (over > 0 ? ", " + Print.decimal(over, 1) + " dB more than it takes." : "."),
                    "Use a line socket or a pad; turn the source down before you plug");
        }
        return over > 0
                ? Joint.found(
                        FindingCode.LEVEL_OVERLOAD,
                        isKnown ? Severity.WRONG : Severity.NOTE,
                        input,
                        new Figure(over, "dB"),
                        isKnown ? "More than the input takes" : "It could be more than the input takes",
                        (isKnown ? "The loudest peaks bring " : "Fully up, it can bring ") + loudest + " to "
                                + joint.name(input) + ", which takes " + ceiling.get()
                                + ". It then distorts wherever its knob stands.",
                        "Turn the source down by " + Print.decimal(Math.ceil(over), 0) + " dB, or use a pad")
                : Stream.empty();
    }
}
