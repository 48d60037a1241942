package kalodyne.core.takes;

import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.units.DigitalLevel;

/** Reports a take, or one channel of it, in which there is nothing. */
final class SilenceRule implements TakeRule {
    private static final DigitalLevel SOMETHING = new DigitalLevel(-50);
    private static final double MUCH_LOWER_DB = 20;

    /** Noise and hum keep their level to this from one twentieth of a second to the other. */
    private static final double NO_MUSIC_DB = 7;

    @Override
    public List<Finding> check(TakeReport take) {
        DigitalLevel loudest = take.loudest().peakLevel();
        if (take.isSilent()) {
            return List.of(TakeRules.finding(
                    FindingCode.LEVEL_SILENT,
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
        return IntStream.range(0, take.channels().size())
                .filter(c -> isDead(take, c))
                .mapToObj(c -> deadChannel(take, c))
                .toList();
    }

    /** Whether nothing is in a channel, or nothing but noise and hum, while another one moves. */
    static boolean isDead(TakeReport take, int c) {
        ChannelReport channel = take.channels().get(c);
        if (take.channels().size() == 1 || take.loudest().peakLevel().compareTo(SOMETHING) < 0) {
            return false;
        }
        if (channel.peakLevel().compareTo(TakeReport.NOTHING) < 0) {
            return true;
        }
        boolean lower = channel.heard().loudDb() < take.loudDb() - MUCH_LOWER_DB;
        return lower && channel.heard().range() < NO_MUSIC_DB && take.moves();
    }

    private static Finding deadChannel(TakeReport take, int c) {
        return TakeRules.finding(
                FindingCode.CHANNEL_DEAD,
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
