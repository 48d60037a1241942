package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Transfer;

/** A record player's equalisation, which has to happen once: IEC 60098, from memory. */
final class RiaaRule implements JointRule {
    private static final double BASS_DB = 19.3;
    private static final double TREBLE_DB = -19.6;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> !way.isLost())
                .flatMap(way -> check(joint, way));
    }

    private static Stream<Finding> check(Joint joint, Transfer way) {
        boolean isFromCartridge = joint.socket(way.from().socket()).signal() == SignalKind.PHONO;
        boolean isToPhono = joint.socket(way.to().socket()).signal() == SignalKind.PHONO;
        if (isFromCartridge && !isToPhono) {
            return Joint.found(
                    FindingCode.RIAA_MISSING,
                    Severity.WRONG,
                    way.to().socket(),
                    new Figure(BASS_DB, "dB"),
                    "No phono preamp on the way",
                    "A cartridge gives millivolts without bass: 19 dB too little at 20 Hz, as much too much at 20 kHz.",
                    "Put a phono preamp between them, or use a phono input");
        }
        return isToPhono && !isFromCartridge
                ? Joint.found(
                        FindingCode.RIAA_DOUBLE,
                        Severity.WRONG,
                        way.to().socket(),
                        new Figure(TREBLE_DB, "dB"),
                        "A line signal in a phono input",
                        "It is equalised a second time and a hundred times too loud: all bass, no treble, distorted.",
                        "Use a line input, or switch the built-in preamp off")
                : Stream.empty();
    }
}
