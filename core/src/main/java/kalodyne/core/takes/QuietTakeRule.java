package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.DigitalLevel;

/** Reports a take that is far too quiet, but not silent. */
final class QuietTakeRule implements TakeRule {
    /** 18 dB below the aim for uneven players: raised to it, the noise of most inputs is heard (common practice). */
    private static final DigitalLevel QUIET = new DigitalLevel(-36);

    @Override
    public List<Finding> check(TakeReport take) {
        DigitalLevel peak = take.loudest().peakLevel();
        if (peak.compareTo(QUIET) >= 0 || take.isSilent()) {
            return List.of();
        }
        return List.of(TakeRules.finding(
                FindingCode.LEVEL_LOW,
                Severity.WEAK,
                TakeRules.whole(take, OptionalInt.empty()),
                new Figure(peak.dbfs(), "dBFS"),
                "Very quiet",
                "Nothing is above " + peak + ". If you raise it later, the noise rises with it.",
                "Turn the gain up"));
    }
}
