package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports tops that are cut off at full scale, one finding a channel. */
final class ClippedRule implements TakeRule {
    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(take, ChannelReport::isClipped, c -> finding(take, c));
    }

    private static Finding finding(TakeReport take, int c) {
        ChannelReport channel = take.channels().get(c);
        List<Stretch> places = channel.clipPlaces();
        double from = take.seconds(places.get(0).fromFrame());
        double to = take.seconds(places.get(places.size() - 1).toFrame());
        String where = channel.clipPlaceCount() == 1
                ? "at one place, " + Print.moment(from)
                : "at " + Print.count(channel.clipPlaceCount()) + " places, first at " + Print.moment(from);
        return TakeRules.finding(
                FindingCode.CLIP_DIGITAL,
                Severity.WRONG,
                new Place.Stretch(OptionalInt.of(c), from, to),
                new Figure(channel.clippedSamples(), "samples"),
                "Cut off at full scale" + TakeRules.inChannel(take, c),
                Print.count(channel.clippedSamples()) + " samples " + where + ". The tops would have reached "
                        + channel.likelyReach() + ".",
                "Turn down and record again: what is cut off cannot be repaired");
    }
}
