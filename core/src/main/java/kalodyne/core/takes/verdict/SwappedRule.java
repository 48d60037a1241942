package kalodyne.core.takes.verdict;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.sound.measure.Colour;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** Reports two channels that changed places: against another take by their colours and levels, else by the levels that the plan predicts. */
final class SwappedRule implements ContextRule {
    private static final double APART_DB = 3;
    private static final double TWICE = 2;
    private static final double LEVELS_APART_DB = 6;
    private static final double BY_LEVELS = 0.7;
    private static final int FEWEST_BANDS = 8;

    @Override
    public Optional<Finding> against(TakeReport take, TakeReport reference, List<Device> devices) {
        if (take.channels().size() != 2 || reference.channels().size() != 2) {
            return Optional.empty();
        }
        double straight = distance(take, 0, reference, 0) + distance(take, 1, reference, 1);
        double crossed = distance(take, 0, reference, 1) + distance(take, 1, reference, 0);
        return straight - crossed < 2 * APART_DB || straight < TWICE * crossed
                ? Optional.empty()
                : Optional.of(finding(
                        take,
                        (straight - crossed) / 2,
                        "Left sounds as right does in " + reference.file().getFileName() + ", and right as left.",
                        Math.min(0.95, 1 - crossed / straight)));
    }

    /** Root mean square of how far two channels differ by band, with the takes brought to one loudness; 0 where little can be compared. */
    private static double distance(TakeReport take, int channel, TakeReport reference, int other) {
        var change = Colour.of(take.channels().get(channel).heard())
                .since(Colour.of(reference.channels().get(other).heard()));
        double louder = power(take) - power(reference);
        return change.bands().size() < FEWEST_BANDS ? 0 : Math.hypot(change.spread(), change.level() - louder);
    }

    private static double power(TakeReport take) {
        double sum = 0;
        for (var channel : take.channels()) {
            sum += channel.rms() * channel.rms();
        }
        return Gain.ofPowerRatio(Math.max(sum, Double.MIN_NORMAL)).db();
    }

    @Override
    public Optional<Finding> byRun(TakeReport take, TakeContext context) {
        return take.channels().size() == 2
                ? context.second().flatMap(second -> planned(take, context.predicted(), second))
                : Optional.empty();
    }

    private static Optional<Finding> planned(TakeReport take, LevelPlan first, LevelPlan second) {
        double predicted = first.endPeak() - second.endPeak();
        double measured = take.channels()
                .get(0)
                .likelyPeak()
                .above(take.channels().get(1).likelyPeak())
                .db();
        boolean isOpposite = predicted * measured < 0
                && Math.abs(predicted) > LEVELS_APART_DB
                && Math.abs(measured) > LEVELS_APART_DB
                && !Double.isInfinite(measured);
        return isOpposite
                ? Optional.of(finding(
                        take,
                        measured,
                        "The plan has " + first.name() + " " + Print.decimal(Math.abs(predicted), 0) + " dB "
                                + (predicted > 0 ? "above " : "below ") + second.name()
                                + "; in the take it is the other way round.",
                        BY_LEVELS))
                : Optional.empty();
    }

    private static Finding finding(TakeReport take, double figure, String text, double confidence) {
        return new Finding(
                FindingCode.CHANNEL_SWAPPED,
                Severity.WRONG,
                take.whole(),
                new Figure(figure, "dB"),
                "Left and right are swapped",
                text,
                Optional.of(Remedy.byHand("Swap the two plugs at the interface, or the two tracks")),
                confidence);
    }
}
