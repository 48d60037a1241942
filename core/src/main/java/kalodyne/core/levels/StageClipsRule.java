package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports the first stage whose ceiling the loudest peak passes. */
final class StageClipsRule implements LevelRule {
    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        return plan.firstToClip().flatMap(stage -> finding(plan, stage, advice));
    }

    private static Optional<Finding> finding(LevelPlan plan, StageLevel clipping, Advice advice) {
        double over = -clipping.headroom().orElseThrow().db();
        boolean atTrack = plan.isRecorded() && plan.station(clipping).isEnd();
        String title = atTrack ? "Cut off at the converter" : "Distorts at " + LevelRules.words(plan, clipping);
        String text = "The loudest peaks are " + Print.decimal(over, 1) + " dB above what it can take. "
                + (atTrack
                        ? "What is cut off cannot be repaired afterwards."
                        : "Turning down behind it makes the distortion quieter, not less.");
        return LevelRules.found(
                FindingCode.LEVEL_CLIPS,
                Severity.WRONG,
                clipping.stage().station(),
                LevelRules.decibels(over),
                title,
                text,
                advice.remedy());
    }
}
