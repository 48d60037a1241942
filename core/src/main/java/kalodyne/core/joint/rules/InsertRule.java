package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.joint.InputSignal;
import kalodyne.core.joint.Transfer;

/** An insert with a plug in it and nothing that comes back: the channel behind it is silent. */
final class InsertRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.hearings()
                .filter(hearing -> hearing.channel() == Carries.RETURN)
                .filter(hearing -> best(joint, hearing) <= Transfer.LOST_DB)
                .flatMap(hearing -> Joint.found(
                        FindingCode.INSERT_OPEN,
                        Severity.WRONG,
                        hearing.socket(),
                        new Figure(Math.max(-200, best(joint, hearing)), "dB"),
                        "Nothing comes back into the insert",
                        "With a plug in " + joint.name(hearing.socket())
                                + " the channel hears only what comes back there, and nothing does: it is silent.",
                        "Use an insert lead whose second plug comes from the effect's output, or pull the plug"));
    }

    /** Its own send counts too: a plug that joins both contacts lets the channel hear itself. */
    private static double best(Joint joint, InputSignal hearing) {
        return joint.reading().transfers().stream()
                .filter(transfer -> transfer.to().equals(hearing))
                .mapToDouble(transfer -> transfer.atMiddle().db())
                .max()
                .orElse(-200);
    }
}
