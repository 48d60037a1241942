package kalodyne.core.takes;

import java.util.List;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.Event;
import kalodyne.core.units.Print;

/** Reports clicks that belong to no note. */
final class ClickRule implements TakeRule {
    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(
                take,
                channel -> !clicks(channel).isEmpty(),
                c -> finding(take, c, clicks(take.channels().get(c))));
    }

    /** Below this, re the highest sample, a jump is not heard beside the music (common practice). */
    private static final double HEARD = 0.05;

    /** A click that comes in equal time is played; one at the edge of a hole, or where tops are cut off,
     * is told with those. */
    private static Occasions clicks(ChannelReport channel) {
        List<Event> holes = channel.heard().holes();
        return Occasions.of(channel.heard().clicks().stream()
                        .filter(click -> click.strength() > HEARD * channel.samplePeak())
                        .filter(click -> holes.stream().noneMatch(hole -> hole.isNear(click)))
                        .filter(click ->
                                channel.clipPlaces().stream().noneMatch(place -> place.holds(click.fromFrame())))
                        .toList())
                .unlessRegular();
    }

    private static Finding finding(TakeReport take, int c, Occasions clicks) {
        return clicks.finding(
                take,
                c,
                FindingCode.CLICK,
                Severity.WEAK,
                (clicks.count() == 1 ? "A click" : "Clicks") + TakeRules.inChannel(take, c),
                clicks.counted("jump") + " of the wave " + clicks.where(take) + ", up to "
                        + Print.decimal(100 * clicks.strongest(), 0) + " % of full scale.",
                "Check plugs and switches; with an external clock, which device leads");
    }
}
