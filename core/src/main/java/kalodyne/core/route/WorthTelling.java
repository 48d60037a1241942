package kalodyne.core.route;

import kalodyne.core.findings.Severity;

/** Which ways are told beside the best one. */
final class WorthTelling {
    /** As much dearer as an interface is, and a fault more. */
    private static final double MOST_BEHIND = 150;

    private WorthTelling() {}

    /** Nothing that clips or is wrong is bought, and none is told beside a way of quite another rank. */
    static boolean beside(Way best, Way way) {
        boolean isSpoilt = way.strands().stream()
                .flatMap(strand -> strand.prediction().stream())
                .anyMatch(Prediction::clips);
        boolean isWrong = Severity.WRONG == way.worst().orElse(Severity.NOTE);
        boolean isWorseThanOwned =
                isWrong && best.worst().isEmpty() && best.missing().isEmpty();
        boolean isNeedless = isFine(best) && !way.missing().isEmpty() && way.channels() <= best.channels();
        return !(isSpoilt && !way.missing().isEmpty())
                && !isWorseThanOwned
                && !isNeedless
                && way.score() <= best.score() + MOST_BEHIND;
    }

    /** Owned, without a fault, and heard as wished: nobody buys something to be as well off. */
    private static boolean isFine(Way way) {
        return way.missing().isEmpty()
                && way.worst().orElse(Severity.NOTE) == Severity.NOTE
                && way.monitoring().isAsWished()
                && way.sideTasks().stream().allMatch(SideTask::isDone);
    }
}
