package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.sound.measure.Pauses;
import kalodyne.core.sound.measure.Spectrum;
import kalodyne.core.sound.measure.Weighting;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** Reports noise without pitch in the pauses that can be heard beside the music. */
final class HissRule implements TakeRule {
    private static final double FROM_HZ = 1_000;
    private static final double TO_HZ = 12_000;

    /** Averages of few spectra are uneven by themselves: noise without colour measures −1 to −2.5 dB. */
    private static final double NO_PITCH_DB = -6;

    /** How far the music lies above the noise, as the ear counts it (common practice). */
    private static final double HEARD_UNDER_DB = 52;

    private static final double DISTURBS_UNDER_DB = 38;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachHeard(take, (c, heard) -> heard.pauses().flatMap(pauses -> finding(take, c, pauses)));
    }

    private static Optional<Finding> finding(TakeReport take, int c, Pauses pauses) {
        Spectrum spectrum = pauses.spectrum();
        double top = Math.min(TO_HZ, 0.45 * take.header().sampleRateHz());
        if (top < 2 * FROM_HZ || spectrum.flatness(FROM_HZ, top).db() < NO_PITCH_DB) {
            return Optional.empty();
        }
        // The least of all pauses: in some of them a note may still ring out under louder hum.
        double heard = Gain.ofPowerRatio(pauses.stretches().stream()
                        .mapToDouble(each -> Weighting.power(each.spectrum(), FROM_HZ, top))
                        .min()
                        .orElseThrow())
                .db();
        double under = take.loudDb() - heard;
        if (under > HEARD_UNDER_DB || take.isSilent()) {
            return Optional.empty();
        }
        double level = TakeRules.level(pauses.power()).dbfs();
        return Optional.of(new Finding(
                FindingCode.HISS,
                under < DISTURBS_UNDER_DB ? Severity.WRONG : Severity.WEAK,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(level, "dBFS"),
                "Hiss in the pauses" + TakeRules.inChannel(take, c),
                "The noise of the pauses is at " + Print.decimal(level, 0) + " dBFS, only " + Print.decimal(under, 0)
                        + " dB under the loudest.",
                Optional.of(Remedy.byHand("Make the source louder and the gain behind it lower")),
                0.9));
    }
}
