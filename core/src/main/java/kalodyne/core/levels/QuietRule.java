package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports a loudest peak below the aim. */
final class QuietRule implements LevelRule {
    /** Further down than this, raising it afterwards brings up noise that can be heard (common practice). */
    private static final double FAR_BELOW_DB = 18;

    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        double under = -plan.miss().db();
        if (!plan.isRecorded() || plan.isTolerated() || under <= 0) {
            return Optional.empty();
        }
        return LevelRules.found(
                FindingCode.LEVEL_LOW,
                under > FAR_BELOW_DB ? Severity.WRONG : Severity.WEAK,
                plan.last().stage().station(),
                LevelRules.decibels(-under),
                "Too quiet in the track",
                "The loudest peaks stay " + Print.decimal(under, 1)
                        + " dB under the aim. If you raise them later, the noise rises with them.",
                advice.remedy());
    }
}
