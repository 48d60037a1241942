package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports a constant offset, which eats headroom and clicks at every cut. */
final class DcRule implements TakeRule {
    /** Half a percent of full scale, −46 dBFS; sound inputs stay far below (common practice). */
    private static final double NOTICEABLE = 0.005;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(
                take,
                channel -> Math.abs(channel.dcOffset()) > NOTICEABLE,
                c -> finding(take, c, 100 * take.channels().get(c).dcOffset()));
    }

    private static Finding finding(TakeReport take, int c, double percent) {
        return TakeRules.finding(
                FindingCode.DC,
                Severity.WEAK,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(percent, "%"),
                "A DC offset" + TakeRules.inChannel(take, c),
                "The whole take lies " + Print.signed(percent, 1) + " % off centre. Edits will click.",
                "Remove it with a low-cut filter at 20 Hz; look for a faulty source");
    }
}
