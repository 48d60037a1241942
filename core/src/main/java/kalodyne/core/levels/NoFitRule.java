package kalodyne.core.levels;

import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.gain.Hindrance;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.units.Print;

/** Reports that no position of the controls does what is wanted, and what would. */
final class NoFitRule implements LevelRule {
    @Override
    public Optional<Finding> check(LevelPlan plan, Advice advice) {
        return advice.obstacle().flatMap(obstacle -> {
            int station = station(plan, obstacle);
            return LevelRules.found(
                    FindingCode.LEVEL_NO_FIT,
                    isSpoilt(plan, obstacle) ? Severity.WRONG : Severity.WEAK,
                    station,
                    LevelRules.decibels(obstacle.by().db()),
                    "No knob position fits",
                    reason(plan, obstacle),
                    Optional.of(Remedy.byHand(cure(plan, obstacle))));
        });
    }

    /** What is only louder than the aim, and not cut off, can be used. */
    private static boolean isSpoilt(LevelPlan plan, Hindrance obstacle) {
        boolean isWhole = obstacle.kind() == Hindrance.Kind.TOO_HOT_AT_LOWEST && plan.endPeak() < 0;
        return plan.isRecorded() && !isWhole;
    }

    private static int station(LevelPlan plan, Hindrance obstacle) {
        boolean isSmallest = obstacle.kind() == Hindrance.Kind.TOO_HOT_AT_LOWEST
                || obstacle.kind() == Hindrance.Kind.TOO_QUIET_AT_HIGHEST;
        return plan.stages().stream()
                .filter(stage ->
                        plan.flow().points().get(stage.stage().point()).id().equals(obstacle.point()))
                .reduce((before, after) -> after)
                .map(stage -> stage.stage().station())
                .map(index -> isSmallest ? Math.max(0, index - 1) : index)
                .orElse(0);
    }

    /** Whether the source itself is too much for its own output. */
    private static boolean isAtSource(LevelPlan plan, Hindrance obstacle) {
        return plan.flow().points().get(plan.trace().path().source()).id().equals(obstacle.point());
    }

    private static String label(LevelPlan plan, Hindrance obstacle) {
        return plan.stages().stream()
                .filter(stage ->
                        plan.flow().points().get(stage.stage().point()).id().equals(obstacle.point()))
                .reduce((before, after) -> after)
                .map(stage -> LevelRules.words(plan, stage))
                .orElse("a stage");
    }

    private static String reason(LevelPlan plan, Hindrance obstacle) {
        String missing = Print.decimal(obstacle.by().db(), 1) + " dB";
        String locks = obstacle.limits().stream()
                .filter(Knob::isLockedByOwner)
                .map(Knob::words)
                .collect(Collectors.joining(" and "));
        String because = locks.isEmpty() ? "" : " You locked " + locks + ".";
        return switch (obstacle.kind()) {
            case OVERLOADED ->
                isAtSource(plan, obstacle)
                        ? "The source itself distorts: its loudest peak is " + missing + " above what it can give."
                        : label(plan, obstacle) + " is overloaded by " + missing
                                + ", even with everything before it turned right down." + because;
            case TOO_HOT_AT_LOWEST ->
                "With every knob at its lowest it is still " + missing + " above the aim." + because;
            case TOO_QUIET_AT_HIGHEST -> "With every knob at its highest it still lacks " + missing + "." + because;
            case CLIPS_BEFORE_AIM ->
                label(plan, obstacle) + " distorts " + missing + " before the aim is reached." + because;
            case BETWEEN_CLICKS -> "One click is too little, the next too much: " + missing + " off the aim." + because;
            case OUT_OF_BALANCE -> "It stays " + missing + " quieter than the others in the mix." + because;
            case NOT_DRIVEN -> "The preamp stays " + missing + " short of being driven." + because;
        };
    }

    private static String cure(LevelPlan plan, Hindrance obstacle) {
        double wanted = obstacle.by().db();
        if (obstacle.isByLock()) {
            return "Unlock it, or turn it by hand by " + Print.decimal(wanted, 1) + " dB";
        }
        if (!plan.isRecorded()) {
            return obstacle.kind() == Hindrance.Kind.TOO_HOT_AT_LOWEST
                    ? "Keep it off your ears until something on the way can be turned down"
                    : "Listen as it is: the recording's gains stay where they are. Headphones of lower impedance are louder";
        }
        return switch (obstacle.kind()) {
            case OVERLOADED ->
                isAtSource(plan, obstacle) ? "Play softer, or correct the values of the source" : softer(plan, wanted);
            case TOO_HOT_AT_LOWEST -> softer(plan, wanted);
            case TOO_QUIET_AT_HIGHEST, OUT_OF_BALANCE ->
                (plan.trace().isOfMicrophone() ? "Go nearer: half as far is 6 dB more. Or add " : "Add ")
                        + (long) Math.ceil(wanted) + " dB before "
                        + plan.trace().socket()
                        + " with a preamp or booster, or use a louder output";
            case CLIPS_BEFORE_AIM -> "Aim lower by " + (long) Math.ceil(wanted) + " dB, or use another input";
            case BETWEEN_CLICKS -> "Use a control without clicks for the rest";
            case NOT_DRIVEN -> "Use a louder source, or the usual school of gain";
        };
    }

    /** What is heard is softer from farther away. */
    private static String softer(LevelPlan plan, double decibels) {
        return plan.trace().isOfMicrophone()
                ? "Go farther away: twice as far is 6 dB less. Or use an input that takes more"
                : pad(decibels);
    }

    /** Pads are sold in steps of 10 dB (common practice). */
    private static String pad(double decibels) {
        return "Make the source softer; for a line source a pad of " + (long) Math.ceil(decibels / 10) * 10
                + " dB does it, or an input that takes more";
    }
}
