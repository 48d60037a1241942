package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.run.Run;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Print;

/** Reports an input that draws the source down: its impedance is not high enough above the source's. */
final class LoadingRule implements LevelRule {
    /** An input of ten times the source's impedance loses 0.8 dB; that ratio is common practice. */
    private static final double NOTICEABLE_DB = 1;

    private static final double SERIOUS_DB = 6;

    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        if (plan.described().isEmpty()) {
            return Optional.empty();
        }
        Run run = plan.described().get();
        double loss = -plan.entering(LevelRules.DESCRIBED_LEAD).stage().gain().db();
        if (loss < NOTICEABLE_DB) {
            return Optional.empty();
        }
        Impedance source = run.source().impedance();
        return LevelRules.found(
                FindingCode.JOINT_LOADING,
                loss >= SERIOUS_DB ? Severity.WRONG : Severity.WEAK,
                LevelRules.DESCRIBED_LEAD,
                LevelRules.decibels(loss),
                "The input loads the source too heavily",
                run.input().impedance() + " on a source of " + source + " costs " + Print.decimal(loss, 1)
                        + " dB. A pickup also loses its treble.",
                Optional.of(Remedy.byHand("Use an input of " + new Impedance(10 * source.ohms()) + " or more")));
    }
}
