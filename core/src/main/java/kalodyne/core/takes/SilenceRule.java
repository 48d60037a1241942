package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.DigitalLevel;

/** Reports a take, or one channel of it, in which there is nothing. */
final class SilenceRule implements TakeRule {
    private static final DigitalLevel SOMETHING = new DigitalLevel(-50);

    @Override
    public List<Finding> check(TakeReport take) {
        DigitalLevel loudest = take.loudest().peakLevel();
        if (take.isSilent()) {
            return List.of(TakeRules.finding(
                    "level.silent",
                    Severity.WRONG,
                    TakeRules.whole(take, OptionalInt.empty()),
                    new Figure(loudest.dbfs(), "dBFS"),
                    "Nothing was recorded",
                    take.header().frames() == 0
                            ? "The file holds no samples."
                            : "No sample is above " + TakeReport.NOTHING + " in the whole take.",
                    "Check the track's input and that the lead is plugged at both ends"));
        }
        if (loudest.compareTo(SOMETHING) < 0) {
            return List.of();
        }
        return TakeRules.eachChannel(
                take, channel -> channel.peakLevel().compareTo(TakeReport.NOTHING) < 0, c -> deadChannel(take, c));
    }

    private static Finding deadChannel(TakeReport take, int c) {
        return TakeRules.finding(
                "channel.dead",
                Severity.WRONG,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(take.channels().get(c).peakLevel().dbfs(), "dBFS"),
                "Nothing" + TakeRules.inChannel(take, c),
                take.channels().size() == 2
                        ? "The other side was recorded, this one was not."
                        : "Others were recorded, this one was not.",
                "Check its plug at both ends, or record without that channel");
    }
}
