package kalodyne.core.joint.rules;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Earthing;
import kalodyne.core.joint.Hum;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/** Hum that the mains drives through the shields of a rig: what is expected of it against the signal, and what that rests on. */
final class HumRule {
    /** Between average signal and hum: less is heard in a quiet piece. */
    private static final double QUIET_DB = 60;

    /** A record itself is no quieter than this. */
    private static final double RECORD_DB = 50;

    private static final double LOUD_DB = 40;

    /** No hum is told below this. */
    private static final double UNHEARD_DB = 90;

    private HumRule() {}

    static Stream<Finding> check(Joint joint, Map<InputSignal, Hum> hum) {
        return joint.hearings().flatMap(hearing -> check(joint, hearing, hum.get(hearing)));
    }

    private static Stream<Finding> check(Joint joint, InputSignal hearing, Hum hum) {
        Optional<Transfer> way = joint.to(hearing).stream()
                .filter(each -> !each.isLost())
                .max((a, b) -> Double.compare(a.atMiddle().db(), b.atMiddle().db()));
        if (way.isEmpty() || hum.most().isSilence()) {
            return Stream.empty();
        }
        Level signal = joint.source(way.get().from().socket())
                .levels()
                .average()
                .plus(way.get().atMiddle());
        double room = signal.above(hum.likely()).db();
        boolean isRecord = joint.socket(way.get().from().socket()).signal() == SignalKind.PHONO;
        if (room >= (isRecord ? RECORD_DB : QUIET_DB)) {
            return Stream.empty();
        }
        return Joint.found(
                hum.isLoop() ? FindingCode.HUM_GROUND_LOOP : FindingCode.HUM_LEAKAGE,
                room < LOUD_DB ? Severity.WRONG : Severity.WEAK,
                hearing.socket(),
                new Figure(hum.likely().dbu(), "dBu"),
                hum.isLoop() ? "A ground loop may hum" : "It may hum a little",
                (hum.isLoop()
                                ? "Through the shield of this lead flows what is between two mains earths"
                                : "An adapter leaks mains current through this lead")
                        + ": about " + Print.decimal(room, 0) + " dB under the music" + range(signal, hum) + "."
                        + rests(joint, hum),
                HalfRule.isBalanced(joint, way.get())
                        ? "Put both on one outlet strip"
                        : "Use a balanced lead or an isolator, or put all of it on one outlet strip; never lift a mains earth");
    }

    private static String range(Level signal, Hum hum) {
        double most = signal.above(hum.most()).db();
        double least = signal.above(hum.least()).db();
        return least > UNHEARD_DB
                ? ", " + Print.decimal(most, 0) + " dB at the worst, none at the best"
                : ", " + Print.decimal(most, 0) + " dB at the worst, " + Print.decimal(least, 0) + " dB at the best";
    }

    private static String rests(Joint joint, Hum hum) {
        String battery = joint.patch().devices().values().stream()
                .filter(HumRule::couldBeAlone)
                .map(device -> "; with " + device.name() + " on its battery there is none")
                .findFirst()
                .orElse("");
        return hum.isLoop()
                ? " An estimate, by how far the outlets lie apart" + battery + "."
                : " An estimate: adapters differ much" + battery + ".";
    }

    /** What has a battery and is counted as on the mains. */
    private static boolean couldBeAlone(Device device) {
        return Earthing.canBeOff(device) && Earthing.of(device).kind() != Earthing.Kind.ALONE;
    }
}
