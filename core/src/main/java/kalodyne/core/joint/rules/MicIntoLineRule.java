package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/** A microphone in a line input: 40 dB and more are missing, and most line inputs cannot make them up without hiss. */
final class MicIntoLineRule implements JointRule {
    /** Line level lies above this on average; common practice. */
    private static final Level LEAST_LINE = new Level(-25);

    private static final Level LINE = new Level(4);

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .filter(sounding -> joint.device(sounding.socket()).kind() == DeviceKind.MICROPHONE)
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> !way.isLost() && joint.socket(way.to().socket()).signal() == SignalKind.LINE)
                .flatMap(way -> check(joint, way));
    }

    private static Stream<Finding> check(Joint joint, Transfer way) {
        Level peak = joint.source(way.from().socket()).levels().peak().plus(way.atMiddle());
        if (peak.compareTo(LEAST_LINE) > 0) {
            return Stream.empty();
        }
        Spot input = way.to().socket();
        Device device = joint.device(input);
        String mic = device.sockets().stream()
                .filter(socket -> socket.signal() == SignalKind.MIC && socket.way() == Direction.IN)
                .filter(socket -> !joint.patch().isTaken(new Spot(input.item(), socket.id())))
                .map(Socket::name)
                .findFirst()
                .map(name -> "Use a mic input, " + name + " for one")
                .orElse("Put a microphone preamp between them");
        return Joint.found(
                FindingCode.LEVEL_MIC_INTO_LINE,
                Severity.WRONG,
                input,
                new Figure(peak.dbu(), "dBu"),
                "A microphone in a line input",
                "At its loudest it brings " + peak + ", about "
                        + Print.decimal(LINE.above(peak).db(), 0)
                        + " dB less than line level: it is too quiet, or hisses once it is turned up.",
                mic);
    }
}
