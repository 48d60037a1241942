package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.run.Station;

/** The caution that stands with every run and that nothing hides. */
final class PluggingCaution implements LevelRule {
    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        return LevelRules.found(
                "caution.plugging",
                Severity.NOTE,
                Station.Part.LEAD,
                new Figure(plan.run().controls().size(), "knobs"),
                "Before you plug",
                "Speakers off, headphones off your ears, every knob down. Then turn up to the advised places.",
                Optional.empty());
    }
}
