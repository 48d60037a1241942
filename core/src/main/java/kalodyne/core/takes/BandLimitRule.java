package kalodyne.core.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
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

/**
 * Reports sound that ends at a frequency as a telephone's does. Dull instruments have little treble too, but the noise of the way
 * to the recorder goes on to the top; behind a narrow path it ends as well.
 */
final class BandLimitRule implements TakeRule {
    private static final double LOWEST_HZ = 2_500;
    private static final double HIGHEST_HZ = 11_500;
    private static final double STEP = Math.pow(2, 1.0 / 24);

    /** Just below the edge, and from just above it to an octave above. */
    private static final double BELOW = Math.pow(2, -0.4);

    private static final double EDGE = Math.pow(2, 0.12);
    private static final double ABOVE = 1.9;
    private static final double FALLS_DB = 22;
    private static final double FALLS_IN_MUSIC_DB = 40;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachHeard(
                take,
                (c, heard) -> edge(heard).stream()
                        .mapToObj(hertz -> finding(take, c, hertz))
                        .findFirst());
    }

    private static OptionalDouble edge(SoundMeasures heard) {
        return heard.pauses()
                .map(Pauses::spectrum)
                .map(noise -> edge(noise, FALLS_DB))
                .orElseGet(() -> edge(heard.spectrum(), FALLS_IN_MUSIC_DB));
    }

    private static OptionalDouble edge(Spectrum spectrum, double leastFall) {
        double highest = Math.min(HIGHEST_HZ, 0.8 * spectrum.hertz(spectrum.steps() - 1));
        double steepest = leastFall;
        OptionalDouble found = OptionalDouble.empty();
        for (double hertz = LOWEST_HZ; hertz < highest; hertz *= STEP) {
            double below = spectrum.median(hertz * BELOW, hertz / EDGE);
            double above = spectrum.density(hertz * EDGE, Math.min(hertz * ABOVE, spectrum.hertz(spectrum.steps() - 1)))
                    * spectrum.stepHz();
            double fall = Gain.ofPowerRatio(below / Math.max(above, Double.MIN_NORMAL))
                    .db();
            if (below > 0 && fall > steepest) {
                steepest = fall;
                found = OptionalDouble.of(hertz);
            }
        }
        return found;
    }

    private static Finding finding(TakeReport take, int c, double hertz) {
        return new Finding(
                FindingCode.BAND_LIMITED,
                Severity.WEAK,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(hertz, "Hz"),
                "Nothing above " + Print.decimal(hertz / 1000, 1) + " kHz" + TakeRules.inChannel(take, c),
                "Sound and noise end at " + Print.decimal(hertz / 1000, 1)
                        + " kHz, as on a phone call or through a headset.",
                Optional.of(Remedy.byHand("Choose an app and an input that record music, not calls")),
                0.9);
    }
}
