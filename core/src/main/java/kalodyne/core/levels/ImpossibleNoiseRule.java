package kalodyne.core.levels;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.ThermalNoise;

/** Reports a noise figure that is better than a microphone's own resistance allows. */
final class ImpossibleNoiseRule implements LevelRule {
    /** The source that noise figures of inputs are given for (common practice). */
    private static final Impedance RATED_SOURCE = new Impedance(150);

    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        Level possible = ThermalNoise.of(RATED_SOURCE);
        return plan.stages().stream()
                .filter(stage -> !plan.station(stage).isJoint())
                .flatMap(stage -> {
                    Level rated =
                            plan.flow().points().get(stage.stage().point()).inputNoise();
                    return rated.isSilence() || rated.compareTo(possible) >= 0
                            ? Stream.empty()
                            : found(stage, rated, possible).stream();
                })
                .findFirst();
    }

    private static Optional<Finding> found(StageLevel stage, Level rated, Level possible) {
        return LevelRules.found(
                FindingCode.NOISE_IMPOSSIBLE,
                Severity.NOTE,
                stage.stage().station(),
                new Figure(rated.dbu(), "dBu"),
                "A noise figure that is too good to be true",
                rated + " is less than the " + possible
                        + " of thermal noise that 150 Ω makes. It may be A-weighted or measured with the input shorted.",
                Optional.empty());
    }
}
