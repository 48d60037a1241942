package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.run.InputKind;
import kalodyne.core.units.Level;

/** The caution on a line or speaker level in a mic input, with the phantom power that may come back out of it. */
final class LineIntoMicRule implements LevelRule {
    /** Microphones stay below this even when shouted into; consumer line level averages −10 dBV (common practice). */
    private static final Level LOUDEST_MICROPHONE = new Level(-10);

    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        Level peak = plan.entering(LevelRules.DESCRIBED_INPUT).peak();
        if (plan.described().filter(run -> run.input().kind() == InputKind.MIC).isEmpty()
                || peak.compareTo(LOUDEST_MICROPHONE) <= 0) {
            return Optional.empty();
        }
        return LevelRules.found(
                FindingCode.CAUTION_LINE_INTO_MIC,
                Severity.HARM,
                LevelRules.DESCRIBED_INPUT,
                new Figure(peak.dbu(), "dBu"),
                "Line level in a mic socket",
                "It brings " + peak
                        + " to a socket made for millivolts. If phantom power is on, 48 V go back into the source.",
                Optional.of(Remedy.byHand("Use a line socket; keep phantom power off")));
    }
}
