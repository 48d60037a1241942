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
import kalodyne.core.sound.measure.SoundMeasures;
import kalodyne.core.sound.measure.Spectrum;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/** Reports deep noise that goes on in the pauses: a turntable's bearing, wind, feet, traffic. */
final class RumbleRule implements TakeRule {
    private static final double FROM_HZ = 5;
    private static final double TO_HZ = 32;
    private static final double ABOVE_FROM_HZ = 70;
    private static final double ABOVE_TO_HZ = 300;

    /** It takes headroom and makes loudspeakers flutter from here on (common practice). */
    private static final double MATTERS_DB = -54;

    private static final double OVER_THE_REST_DB = 18;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachHeard(take, (c, heard) -> finding(take, c, heard));
    }

    private static Optional<Finding> finding(TakeReport take, int c, SoundMeasures heard) {
        Spectrum spectrum = heard.pauses().map(Pauses::spectrum).orElse(heard.lasting());
        double power = spectrum.power(FROM_HZ, TO_HZ);
        double rest = spectrum.median(ABOVE_FROM_HZ, ABOVE_TO_HZ) / spectrum.stepHz();
        double over = Gain.ofPowerRatio(spectrum.density(FROM_HZ, TO_HZ) / Math.max(rest, Double.MIN_NORMAL))
                .db();
        if (Gain.ofPowerRatio(power).db() < MATTERS_DB || over < OVER_THE_REST_DB) {
            return Optional.empty();
        }
        double level = TakeRules.level(power).dbfs();
        return Optional.of(new Finding(
                FindingCode.RUMBLE,
                Severity.WEAK,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(level, "dBFS"),
                "Rumble" + TakeRules.inChannel(take, c),
                "Deep noise below 32 Hz at " + Print.decimal(level, 0) + " dBFS goes on when nothing is played.",
                Optional.of(Remedy.byHand("Switch on a low cut, or stand the source on something soft")),
                heard.pauses().isPresent() ? 0.9 : 0.7));
    }
}
