package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports a loudest peak above the aim that is not yet cut off. */
final class HotRule implements LevelRule {
    /** Players exceed their loudest test by a few decibels in the real take (common practice). */
    private static final double LITTLE_ROOM_DB = 3;

    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        double over = plan.miss().db();
        double room = -plan.endPeak();
        if (!plan.isRecorded() || plan.isTolerated() || over <= 0 || room < 0) {
            return Optional.empty();
        }
        return LevelRules.found(
                FindingCode.LEVEL_HOT,
                room < LITTLE_ROOM_DB ? Severity.WRONG : Severity.WEAK,
                plan.last().stage().station(),
                LevelRules.decibels(over),
                "Too hot at the converter",
                Print.decimal(room, 1) + " dB are left above the loudest peak, " + Print.decimal(over, 1)
                        + " dB less than the aim keeps free.",
                advice.remedy());
    }
}
