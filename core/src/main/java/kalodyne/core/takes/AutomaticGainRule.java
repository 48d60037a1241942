package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.measure.LevelChange;
import kalodyne.core.units.Print;

/** Reports an automatic level control: in each pause the noise creeps up, and the next note pushes it down again. */
final class AutomaticGainRule implements TakeRule {
    private static final int FEWEST = 2;

    /** One pause alone tells it when the noise rises by so much. */
    private static final double MUCH_DB = 5;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(
                take, AutomaticGainRule::rides, c -> finding(take, c, take.channels().get(c).heard().swells()));
    }

    private static boolean rides(ChannelReport channel) {
        List<LevelChange> swells = channel.heard().swells();
        return swells.size() >= FEWEST || swells.stream().anyMatch(each -> each.db() >= MUCH_DB);
    }

    private static Finding finding(TakeReport take, int c, List<LevelChange> swells) {
        double rise = TakeRules.median(swells.stream().mapToDouble(LevelChange::db));
        return new Finding(
                "agc",
                Severity.WRONG,
                new Place.Stretch(
                        OptionalInt.of(c),
                        take.seconds(swells.get(0).from()),
                        take.seconds(swells.get(swells.size() - 1).to())),
                new Figure(rise, "dB"),
                "The level rides by itself" + TakeRules.inChannel(take, c),
                "In " + (swells.size() == 1 ? "a pause" : Print.count(swells.size()) + " pauses") + " the noise creeps up by "
                        + Print.decimal(rise, 0) + " dB: an automatic level control.",
                Optional.of(Remedy.byHand("Switch the recorder's level to manual")),
                swells.size() >= FEWEST ? 0.9 : 0.7);
    }
}
