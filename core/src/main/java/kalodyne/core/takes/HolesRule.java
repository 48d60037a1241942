package kalodyne.core.takes;

import java.util.List;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.Print;

/** Reports holes in the sound: buffers that never came. */
final class HolesRule implements TakeRule {
    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachChannel(
                take,
                channel -> !holes(channel).isEmpty(),
                c -> finding(take, c, holes(take.channels().get(c))));
    }

    /** A sound that is chopped on purpose has holes in equal time. */
    private static Occasions holes(ChannelReport channel) {
        return Occasions.of(channel.heard().holes()).unlessRegular();
    }

    private static Finding finding(TakeReport take, int c, Occasions holes) {
        double longest = 1000 * take.seconds(holes.longestFrames());
        return holes.finding(
                take,
                c,
                FindingCode.DROPOUT,
                Severity.WRONG,
                (holes.count() == 1 ? "A dropout" : "Dropouts") + " in the sound" + TakeRules.inChannel(take, c),
                holes.counted("place") + " " + holes.where(take) + " where sound is missing, the longest for "
                        + Print.decimal(longest, 1) + " ms.",
                "Choose a larger buffer, close other programs, and record again");
    }
}
