package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.Earthing;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.JointCircuit;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;

/** Hum that the mains drives through the lead's shield: what is expected of it against the signal. */
final class HumEstimateRule implements JointRule {
    /** Between average signal and hum: less is heard in a quiet piece. */
    private static final double QUIET_DB = 60;

    private static final double LOUD_DB = 40;

    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.hearings().flatMap(hearing -> check(joint, hearing));
    }

    private static Stream<Finding> check(Joint joint, InputSignal hearing) {
        Optional<Transfer> way = joint.to(hearing).stream()
                .filter(each -> !each.isLost())
                .max((a, b) -> Double.compare(a.atMiddle().db(), b.atMiddle().db()));
        Level hum = joint.reading().hum().get(hearing);
        if (way.isEmpty() || hum.compareTo(Level.SILENCE) == 0) {
            return Stream.empty();
        }
        Level signal = joint.source(way.get().from().socket())
                .levels()
                .average()
                .plus(way.get().atMiddle());
        double room = signal.above(hum).db();
        if (room >= QUIET_DB) {
            return Stream.empty();
        }
        List<Earthing> earthings = joint.circuit().earths().stream()
                .map(JointCircuit.Earth::earthing)
                .toList();
        boolean isLoop = Earthing.isLoop(earthings);
        boolean isBalanced = hearing.channel() == Carries.HOT
                && way.get().from().channel() == Carries.HOT
                && !HalfRule.isHalf(way.get());
        return Joint.found(
                isLoop ? FindingCode.HUM_GROUND_LOOP : FindingCode.HUM_LEAKAGE,
                room < LOUD_DB ? Severity.WRONG : Severity.WEAK,
                hearing.socket(),
                new Figure(hum.dbu(), "dBu"),
                isLoop ? "A ground loop may hum" : "It may hum a little",
                (isLoop
                                ? "Both ends are on mains earth; the current between them makes about "
                                : "An adapter leaks mains current through the lead; that makes about ")
                        + hum + " of hum, " + Print.decimal(room, 0) + " dB under the music. An estimate.",
                isBalanced
                        ? "Put both on one outlet"
                        : "Use a balanced lead, an isolator, batteries, or one outlet for both; never lift a mains earth");
    }
}
