package kalodyne.core.route;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.units.Print;

/** How good a way is for what somebody wishes, in points: the fewer the better; each with its reason. */
final class Scoring {
    private static final double WRONG = 60;
    private static final double CAUTION = 25;

    /** Who wants left and right apart would rather get something than lose them. */
    private static final double SIDES = 300;

    private static final double WEAK = 8;

    /** With less between peak and noise one hears it in quiet music; common practice. */
    private static final double QUIET_DB = 75;

    /** Peaks below this are too low to be raised without hearing what is under them; common practice. */
    private static final double LOW_DBFS = -24;

    /** What counts first counts so much more, and what counts next. */
    private static final double FIRST = 3;

    private static final double THEN = 1.6;

    static final String KEPT = "left and right stay apart";

    private final Wish wish;
    private final List<String> reasons = new ArrayList<>();
    private double score;

    Scoring(
            Wish wish,
            List<Way.Strand> strands,
            List<JointRules.Checked> joints,
            List<Missing> missing,
            int sourceChannels) {
        this.wish = wish;
        int channels = strands.stream().mapToInt(Way.Strand::channels).sum();
        faults(joints);
        sides(channels, sourceChannels);
        missing(missing);
        int breaks = strands.stream().mapToInt(Way.Strand::breaks).max().orElse(0);
        add(breaks * weight(Matters.FEW_BREAKS), breaks + (breaks == 1 ? " break" : " breaks") + " in the line");
        int devices = strands.stream()
                .mapToInt(strand -> strand.stations().size() - 2)
                .max()
                .orElse(0);
        add(
                2 * devices * weight(Matters.QUICK),
                devices == 0
                        ? "nothing to set up between"
                        : devices + (devices == 1 ? " device" : " devices") + " between");
        strands.forEach(this::sound);
    }

    private double weight(Matters what) {
        return wish.first() == what ? FIRST : wish.then() == what ? THEN : 1;
    }

    private void add(double points, String reason) {
        score += points;
        reasons.add(reason);
    }

    private void faults(List<JointRules.Checked> joints) {
        joints.stream().flatMap(joint -> joint.findings().stream()).forEach(finding -> {
            double points = switch (Faults.of(finding)) {
                case FATAL, WRONG -> WRONG;
                case CAUTION -> CAUTION;
                case WEAK -> WEAK * weight(Matters.CLEAN);
                case NONE -> 0;
            };
            if (points > 0) {
                add(points, Print.withinSentence(finding.title()));
            }
        });
    }

    private void sides(int channels, int sourceChannels) {
        boolean isLost = channels < sourceChannels;
        switch (wish.stereo()) {
            case KEEP -> add(isLost ? SIDES : 0, isLost ? "left and right do not stay apart" : KEPT);
            case NO_MATTER -> add(isLost ? 3 : 0, isLost ? "mono" : channels > 1 ? "all sides kept" : "one channel");
            case MONO_ENOUGH ->
                add(0, isLost ? "mono, as is enough" : channels + (channels == 1 ? " channel" : " channels"));
        }
    }

    private void missing(List<Missing> missing) {
        double points = missing.stream()
                .mapToDouble(each -> switch (each.price()) {
                    case A -> 8;
                    case B -> 20;
                    case C -> 50;
                })
                .sum();
        add(points * weight(Matters.CHEAP), missing.isEmpty() ? "all of it is owned" : missing.size() + " to get");
    }

    private void sound(Way.Strand strand) {
        strand.prediction().ifPresent(prediction -> {
            double noisy = Math.max(0, QUIET_DB - prediction.rangeDb());
            double low = Math.max(0, LOW_DBFS - prediction.peak().dbfs());
            add(
                    (0.5 * noisy + 0.5 * low) * weight(Matters.CLEAN),
                    "noise " + Print.decimal(prediction.rangeDb(), 0) + " dB under the loudest peak");
        });
    }

    double score() {
        return score;
    }

    List<String> reasons() {
        return List.copyOf(reasons);
    }
}
