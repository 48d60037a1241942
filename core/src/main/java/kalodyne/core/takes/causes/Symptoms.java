package kalodyne.core.takes.causes;

import java.util.List;
import java.util.OptionalInt;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Place;
import kalodyne.core.sound.measure.Hum;
import kalodyne.core.takes.Ceiling;
import kalodyne.core.takes.TakeReport;

/** What shows in a take, in the words of the book of causes. */
public final class Symptoms {
    private static final int MANY_PLACES = 8;

    private Symptoms() {}

    /** What shows whatever is complained of. */
    private static Known of(TakeReport take) {
        List<Finding> findings = take.findings();
        Known known = Known.NOTHING
                .with("hum-too", has(findings, FindingCode.HUM_MAINS) || has(findings, FindingCode.HUM_RECTIFIER))
                .with("holes", has(findings, FindingCode.DROPOUT))
                .with("edge", has(findings, FindingCode.BAND_LIMITED))
                .with("offset", has(findings, FindingCode.DC))
                .with("thin", has(findings, FindingCode.RIAA_MISSING))
                .with("upside-down", has(findings, FindingCode.CHANNEL_INVERTED))
                .with("digital-silence", take.channels().stream().anyMatch(channel -> channel.samplePeak() == 0))
                .with("one-of-two", has(findings, FindingCode.CHANNEL_DEAD))
                .with(
                        "one-sided",
                        take.channels().stream()
                                .anyMatch(channel -> channel.ceiling()
                                        .map(Ceiling::isOneSided)
                                        .orElse(false)))
                .with(
                        "many",
                        findings.stream()
                                .filter(each -> each.code() == FindingCode.DROPOUT || each.code() == FindingCode.CLICK)
                                .anyMatch(each -> each.figure().value() >= MANY_PLACES));
        return take.hum()
                .map(Hum::isOfRectifier)
                .map(even -> known.with("even", even).with("odd", !even))
                .orElse(known);
    }

    /**
     * What a take by itself shows of a complaint. Whether it is louder or softer than predicted is for whoever knows its run.
     */
    public static Known of(TakeReport take, Complaint complaint) {
        Known known = of(take);
        if (take.channels().size() < 2) {
            return known;
        }
        List<OptionalInt> channels = take.findings().stream()
                .filter(each -> complaint.findings().contains(each.code()))
                .map(Finding::place)
                .filter(Place.Stretch.class::isInstance)
                .map(place -> ((Place.Stretch) place).channel())
                .distinct()
                .toList();
        boolean all = channels.contains(OptionalInt.empty())
                || channels.size() == take.channels().size();
        return known.with("all-channels", all);
    }

    private static boolean has(List<Finding> findings, FindingCode code) {
        return findings.stream().anyMatch(each -> each.code().equals(code));
    }
}
