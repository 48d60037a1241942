package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.LevelChange;
import kalodyne.core.units.Print;

/**
 * Reports a gate: noise that is heard under the notes and is gone in between. Short notes stop as suddenly, but from far higher,
 * and each from where it is played.
 */
final class GateRule implements TakeRule {
    private static final int FEWEST = 2;

    /** A gate shuts at its threshold, well below the music and always at about the same level. */
    private static final double BELOW_LOUD_DB = 20;

    private static final double SAME_LEVEL_DB = 5;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(
                take,
                channel -> closings(channel).size() >= FEWEST,
                c -> finding(take, c, closings(take.channels().get(c))));
    }

    private static List<LevelChange> closings(ChannelReport channel) {
        double loud = channel.heard().loudDb();
        List<LevelChange> low = channel.heard().closings().stream()
                .filter(each -> each.fromDb() < loud - BELOW_LOUD_DB)
                .toList();
        double middle = TakeRules.median(low.stream().mapToDouble(LevelChange::fromDb));
        return low.stream()
                .filter(each -> Math.abs(each.fromDb() - middle) <= SAME_LEVEL_DB)
                .toList();
    }

    private static Finding finding(TakeReport take, int c, List<LevelChange> closings) {
        LevelChange first = closings.get(0);
        double fall = TakeRules.median(closings.stream().mapToDouble(each -> Math.min(60, -each.db())));
        return new Finding(
                FindingCode.NOISE_GATE,
                Severity.WEAK,
                new Place.Stretch(
                        OptionalInt.of(c),
                        take.seconds(first.from()),
                        take.seconds(closings.get(closings.size() - 1).to())),
                new Figure(fall, "dB"),
                "Noise that switches on and off" + TakeRules.inChannel(take, c),
                "At " + Print.count(closings.size()) + " places, first at " + Print.moment(take.seconds(first.from()))
                        + ", the noise falls at once by " + Print.decimal(fall, 0) + " dB or more: a gate.",
                Optional.of(
                        Remedy.byHand("Switch off the noise gate or noise suppression, and lower the noise itself")),
                Math.min(0.95, 0.6 + 0.1 * closings.size()));
    }
}
