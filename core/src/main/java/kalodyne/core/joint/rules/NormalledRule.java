package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.Transfer;

/** A socket with nothing in it that hears what is plugged into the one beside it. */
final class NormalledRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().hearings().stream()
                .filter(hearing -> !joint.patch().isTaken(hearing.socket()))
                .filter(hearing ->
                        joint.socket(hearing.socket()).ties().normalledFrom().isPresent())
                .flatMap(hearing -> joint.to(hearing).stream()
                        .filter(way -> !way.isLost())
                        .limit(1)
                        .flatMap(way -> found(joint, hearing, way)));
    }

    private static Stream<Finding> found(Joint joint, InputSignal hearing, Transfer way) {
        String beside = joint.socket(hearing.socket()).ties().normalledFrom().orElseThrow();
        return Joint.found(
                FindingCode.STEREO_TO_BOTH,
                Severity.NOTE,
                hearing.socket(),
                new Figure(way.atMiddle().db(), "dB"),
                "It is heard on both sides",
                "As nothing is plugged into " + joint.name(hearing.socket()) + ", what comes into "
                        + joint.device(hearing.socket())
                                .socket(beside)
                                .map(socket -> socket.name())
                                .orElse(beside)
                        + " goes there too: mono, in the middle.",
                "");
    }
}
