package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.SourceLevel;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Level;

/** An amplifier's output for loudspeakers in anything else: volts and amperes that break inputs. */
final class SpeakerRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> joint.socket(sounding.socket()).signal() == SignalKind.SPEAKER)
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> joint.socket(way.to().socket()).signal() != SignalKind.SPEAKER)
                .filter(way -> !way.isLost())
                .flatMap(way -> found(joint, way));
    }

    private static Stream<Finding> found(Joint joint, Transfer way) {
        OutputSignal sounding = way.from();
        SourceLevel source = joint.source(sounding.socket());
        Level level = source.most().orElse(source.levels().peak()).plus(way.atMiddle());
        return Joint.found(
                FindingCode.CAUTION_SPEAKER_INTO_INPUT,
                Severity.HARM,
                way.to().socket(),
                new Figure(level.dbu(), "dBu"),
                "A loudspeaker's output in an input",
                joint.name(sounding.socket()) + " is made for a loudspeaker and brings up to " + level
                        + ". It can destroy the input.",
                "Use a line output, or a DI box made for loudspeaker outputs");
    }
}
