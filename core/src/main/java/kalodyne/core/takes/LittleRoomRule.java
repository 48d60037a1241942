package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;

/** Reports a take that is whole but has little room left above its loudest peak. */
final class LittleRoomRule implements TakeRule {
    /** Players exceed their test by some decibels in the real take (common practice). */
    private static final DigitalLevel LITTLE_ROOM = new DigitalLevel(-3);

    @Override
    public List<Finding> check(TakeReport take) {
        DigitalLevel peak = take.loudest().peakLevel();
        if (take.isClipped() || peak.compareTo(LITTLE_ROOM) <= 0 || peak.dbfs() > 0) {
            return List.of();
        }
        return List.of(TakeRules.finding(
                FindingCode.LEVEL_HOT,
                Severity.WEAK,
                TakeRules.whole(take, OptionalInt.empty()),
                new Figure(peak.dbfs(), "dBFS"),
                "Little room above the peaks",
                Print.decimal(-peak.dbfs(), 1) + " dB are left. A louder bar in the real take would be cut off.",
                "Turn the gain down"));
    }
}
