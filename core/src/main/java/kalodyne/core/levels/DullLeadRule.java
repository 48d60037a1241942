package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.run.Run;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Print;

/** Reports a lead whose capacitance takes treble from the source: −3 dB at 1/(2πRC) within the audible band. */
final class DullLeadRule implements LevelRule {
    private static final double AUDIBLE_HZ = 20_000;
    private static final double CLEARLY_DULL_HZ = 8_000;

    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        if (plan.described().isEmpty()) {
            return Optional.empty();
        }
        Run run = plan.described().get();
        Impedance seen = run.source().impedance().parallelTo(run.input().impedance());
        double corner = run.lead().capacitance().cornerHz(seen);
        if (!(corner < AUDIBLE_HZ)) {
            return Optional.empty();
        }
        double fitting = run.lead().length().metres() * corner / AUDIBLE_HZ;
        return LevelRules.found(
                FindingCode.LEAD_DULL,
                corner < CLEARLY_DULL_HZ ? Severity.WRONG : Severity.WEAK,
                LevelRules.DESCRIBED_LEAD,
                new Figure(corner, "Hz"),
                "The lead takes treble away",
                run.lead().capacitance() + " on " + seen + " is 3 dB down at " + Print.prefixed(corner, "Hz") + ".",
                Optional.of(Remedy.byHand("Use a lead of " + Print.decimal(fitting, 1) + " m at most, or a DI box")));
    }
}
