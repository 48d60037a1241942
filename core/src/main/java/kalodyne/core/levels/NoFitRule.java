package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports that no position of the controls brings the peak into the aim, and what would. */
final class NoFitRule implements LevelRule {
    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        return advice.obstacle().flatMap(obstacle -> {
            String missing = Print.decimal(obstacle.by().db(), 1) + " dB";
            return LevelRules.found(
                    "level.no-fit",
                    Severity.WRONG,
                    obstacle.part(),
                    LevelRules.decibels(obstacle.by().db()),
                    "No knob position fits",
                    reason(obstacle.kind(), missing),
                    Optional.of(Remedy.byHand(cure(obstacle, plan))));
        });
    }

    private static String reason(Obstacle.Kind kind, String missing) {
        return switch (kind) {
            case SOURCE_CLIPS ->
                "The source itself distorts: its loudest peak is " + missing + " above what it can give.";
            case TOO_HOT_AT_LOWEST -> "With every knob at its lowest it is still " + missing + " above the aim.";
            case TOO_QUIET_AT_HIGHEST -> "With every knob at its highest it still lacks " + missing + ".";
            case SOCKET_OVERLOADED ->
                "The source overloads the socket by " + missing + ", before the gain can do anything.";
            case CLIPS_BEFORE_AIM -> "The input distorts " + missing + " before the converter is filled to the aim.";
        };
    }

    private static String cure(Obstacle obstacle, LevelPlan plan) {
        double wanted = obstacle.by().db();
        return switch (obstacle.kind()) {
            case SOURCE_CLIPS -> "Play softer, or correct what the source is described with";
            case TOO_HOT_AT_LOWEST, SOCKET_OVERLOADED ->
                "Put a pad of " + pad(wanted) + " dB before the input, or use a line socket that takes more";
            case TOO_QUIET_AT_HIGHEST ->
                "Add " + (long) Math.ceil(wanted) + " dB before "
                        + plan.run().input().socket() + " with a preamp or booster, or use a louder output";
            case CLIPS_BEFORE_AIM -> "Aim lower by " + (long) Math.ceil(wanted) + " dB, or use another input";
        };
    }

    /** Pads are sold in steps of 10 dB (common practice). */
    private static long pad(double decibels) {
        return (long) Math.ceil(decibels / 10) * 10;
    }
}
