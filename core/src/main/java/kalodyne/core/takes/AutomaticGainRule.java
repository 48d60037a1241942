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
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** Reports an automatic level control: in each pause the noise creeps up, and the next note pushes it down again. */
final class AutomaticGainRule implements TakeRule {
    private static final int FEWEST = 2;

    /** One pause alone tells it when the noise rises by so much. */
    private static final double MUCH_DB = 5;

    private static final double FROM_QUIETEST_DB = 8;
    private static final double STAYS_BELOW_DB = 25;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(
                take,
                AutomaticGainRule::rides,
                c -> finding(take, c, swells(take.channels().get(c))));
    }

    /** Right behind the loud the noise is as low as it ever gets, and rises from there. */
    private static List<LevelChange> swells(ChannelReport channel) {
        double quietest = Gain.ofPowerRatio(channel.heard().quietestPower()).db();
        return channel.heard().swells().stream()
                .filter(each -> each.fromDb() < quietest + FROM_QUIETEST_DB)
                .filter(each -> each.toDb() < channel.heard().loudDb() - STAYS_BELOW_DB)
                .toList();
    }

    private static boolean rides(ChannelReport channel) {
        List<LevelChange> swells = swells(channel);
        return swells.size() >= FEWEST || swells.stream().anyMatch(each -> each.db() >= MUCH_DB);
    }

    private static Finding finding(TakeReport take, int c, List<LevelChange> swells) {
        double rise = TakeRules.median(swells.stream().mapToDouble(LevelChange::db));
        return new Finding(
                FindingCode.AGC,
                Severity.WRONG,
                new Place.Stretch(
                        OptionalInt.of(c),
                        take.seconds(swells.get(0).from()),
                        take.seconds(swells.get(swells.size() - 1).to())),
                new Figure(rise, "dB"),
                "The level moves by itself" + TakeRules.inChannel(take, c),
                "In " + (swells.size() == 1 ? "a pause" : Print.count(swells.size()) + " pauses")
                        + " the noise creeps up by " + Print.decimal(rise, 0) + " dB: an automatic level control.",
                Optional.of(Remedy.byHand("Switch the recorder's level to manual")),
                swells.size() >= FEWEST ? 0.9 : 0.7);
    }
}
