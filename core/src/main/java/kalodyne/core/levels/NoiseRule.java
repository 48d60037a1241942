package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;

/** Reports noise that will be heard in the pauses once the loudest peak lies in the aim. */
final class NoiseRule implements LevelRule {
    /** Hiss below this goes unnoticed in a pause at ordinary listening levels (common practice). */
    private static final DigitalLevel HEARD = new DigitalLevel(-60);

    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        DigitalLevel floor = new DigitalLevel(plan.turned(advice.positions()).endFloor());
        if (!plan.isRecorded() || floor.compareTo(HEARD) <= 0) {
            return Optional.empty();
        }
        return LevelRules.found(
                FindingCode.NOISE_HIGH,
                Severity.WEAK,
                plan.last().stage().station(),
                new Figure(floor.dbfs(), "dBFS"),
                "Hiss in the pauses",
                "Even with the knobs as advised the noise is at " + floor + ", "
                        + Print.decimal(floor.above(HEARD).db(), 1) + " dB above what goes unnoticed.",
                Optional.empty());
    }
}
