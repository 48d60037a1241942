package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;

/** Reports samples above full scale, which only files of floating numbers can hold. */
final class OverFullScaleRule implements TakeRule {
    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(
                take,
                channel -> channel.samplePeak() > 1,
                c -> finding(take, c, take.channels().get(c).peakLevel()));
    }

    private static Finding finding(TakeReport take, int c, DigitalLevel peak) {
        return TakeRules.finding(
                FindingCode.LEVEL_OVER,
                Severity.WEAK,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(peak.dbfs(), "dBFS"),
                "Above full scale" + TakeRules.inChannel(take, c),
                "Peaks at " + Print.signed(peak.dbfs(), 1)
                        + " dBFS are kept in this file, but are cut off in any other format.",
                "Lower it by " + (long) Math.ceil(peak.dbfs()) + " dB or more before exporting");
    }
}
