package kalodyne.core.levels;

import java.util.Comparator;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;

/** Tells which stage makes most of the noise, so that nobody buys the wrong cure. */
final class NoiseOriginRule implements LevelRule {
    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        if (plan.last().floor().isSilence()) {
            return Optional.empty();
        }
        StageLevel noisiest = plan.stages().stream()
                .max(Comparator.comparingDouble(StageLevel::noiseShare))
                .orElseThrow();
        double others = plan.noiseOfOthers();
        if (others > noisiest.noiseShare()) {
            return LevelRules.found(
                    FindingCode.NOISE_ORIGIN,
                    Severity.NOTE,
                    plan.last().stage().station(),
                    new Figure(Math.round(100 * others), "%"),
                    "Most noise comes from other runs",
                    Math.round(100 * others) + " % of the noise comes in where other runs meet this one; it is at "
                            + plan.onScale(plan.endFloor()) + " in all.",
                    Optional.empty());
        }
        long percent = Math.round(100 * noisiest.noiseShare());
        return LevelRules.found(
                FindingCode.NOISE_ORIGIN,
                Severity.NOTE,
                noisiest.stage().station(),
                new Figure(percent, "%"),
                "Most noise comes from " + LevelRules.words(plan, noisiest),
                percent + " % of the noise " + (plan.isRecorded() ? "in the track" : "at the ears") + ", which is at "
                        + plan.onScale(plan.endFloor()) + " in all.",
                Optional.empty());
    }
}
