package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.run.Station;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import kalodyne.core.units.ThermalNoise;

/** Reports a noise figure that is better than a microphone's own resistance allows. */
final class ImpossibleNoiseRule implements LevelRule {
    /** The source that noise figures of inputs are given for (common practice). */
    private static final Impedance RATED_SOURCE = new Impedance(150);

    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        Level rated = plan.run().input().equivalentInputNoise();
        Level possible = ThermalNoise.of(RATED_SOURCE);
        if (rated.compareTo(possible) >= 0) {
            return Optional.empty();
        }
        return LevelRules.found(
                "noise.impossible",
                Severity.NOTE,
                Station.Part.INPUT,
                new Figure(rated.dbu(), "dBu"),
                "A noise figure too good to be so",
                rated + " is less than the " + possible
                        + " that 150 Ω makes by being warm. It may be A-weighted or measured with the input shorted.",
                Optional.empty());
    }
}
