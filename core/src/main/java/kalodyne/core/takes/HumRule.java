package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.Hum;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** Reports hum of the mains, and buzz of rectifiers, that can be heard beside the music. */
final class HumRule implements TakeRule {
    /** How far the music, as it is, lies above the hum, as the ear counts it (common practice). */
    private static final double HEARD_UNDER_DB = 75;

    private static final double DISTURBS_UNDER_DB = 62;

    /** Below this it is lost in the noise of listening, however quiet the music. */
    private static final double LOST_BELOW_DB = -105;

    private static final int MOST_NAMED = 6;

    @Override
    public List<Finding> check(TakeReport take) {
        return take.isSilent()
                ? List.of()
                : TakeRules.eachHeard(take, (c, heard) -> heard.hum().flatMap(hum -> finding(take, c, hum)));
    }

    private static Optional<Finding> finding(TakeReport take, int c, Hum hum) {
        double heard = Gain.ofPowerRatio(hum.heardPower()).db();
        double under = take.loudDb() - heard;
        if (under > HEARD_UNDER_DB || heard < LOST_BELOW_DB) {
            return Optional.empty();
        }
        double level = TakeRules.level(hum.power()).dbfs();
        boolean rectifier = hum.isOfRectifier();
        String partials = hum.lines().stream()
                .limit(MOST_NAMED)
                .map(line -> Print.decimal(line.harmonic() * (double) Math.round(hum.fundamentalHz()), 0))
                .collect(Collectors.joining(", "));
        return Optional.of(new Finding(
                rectifier ? FindingCode.HUM_RECTIFIER : FindingCode.HUM_MAINS,
                under < DISTURBS_UNDER_DB ? Severity.WRONG : Severity.WEAK,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(level, "dBFS"),
                (rectifier ? "Buzz" : "Hum") + " of the mains, " + Math.round(hum.fundamentalHz()) + " Hz"
                        + TakeRules.inChannel(take, c),
                Print.decimal(level, 0) + " dBFS at " + partials + " Hz"
                        + (hum.lines().size() > MOST_NAMED ? " and above" : "")
                        + (rectifier
                                ? ": even multiples, as a power supply or a ground loop makes them."
                                : ": odd multiples, as coils and open leads catch them."),
                Optional.of(Remedy.byHand(
                        rectifier
                                ? "Run it on batteries, or all gear from one outlet, and compare"
                                : "Move leads and pickups away from mains adapters, and compare")),
                hum.isFromPauses() ? 0.95 : 0.75));
    }
}
