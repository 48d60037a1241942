package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;

/** The caution that stands with every run and that nothing hides. */
final class PluggingCaution implements LevelRule {
    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        return LevelRules.found(
                FindingCode.CAUTION_PLUGGING,
                Severity.NOTE,
                firstJoint(plan),
                new Figure(plan.levelKnobs().size(), "knobs"),
                "Before you plug",
                "Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.",
                Optional.empty());
    }

    private static int firstJoint(LevelPlan plan) {
        return plan.trace().stations().stream()
                .filter(Station::isJoint)
                .findFirst()
                .map(Station::index)
                .orElse(0);
    }
}
