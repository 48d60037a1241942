package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports samples that are no numbers, which files of floating numbers can hold. */
final class UnusableSamplesRule implements TakeRule {
    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(
                take,
                channel -> channel.unusableSamples() > 0,
                c -> finding(take, c, take.channels().get(c).unusableSamples()));
    }

    private static Finding finding(TakeReport take, int c, long count) {
        return TakeRules.finding(
                FindingCode.SAMPLES_UNUSABLE,
                Severity.WRONG,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(count, "samples"),
                "Samples that are not numbers" + TakeRules.inChannel(take, c),
                Print.count(count) + " samples were taken as silence. They would be loud clicks in some players.",
                "Export the take again, as 24-bit");
    }
}
