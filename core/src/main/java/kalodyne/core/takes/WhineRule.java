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
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;

/**
 * Reports what leaks from a computer's USB into sound: steady tones at whole multiples of 1,000 Hz, since data goes in a thousand
 * frames a second, and eight thousand parts of them.
 */
final class WhineRule implements TakeRule {
    private static final double FRAMES_HZ = 1_000;
    private static final int FEWEST_TONES = 3;

    /** In power, over what lies beside. */
    private static final double STANDS_OUT = 20;

    /** Two clocks, that of the computer and that of the converter, agree to some hundredths of a percent. */
    private static final double TOLERANCE = 0.0007;

    private static final double READING_STEPS = 0.3;
    private static final double HEARD_UNDER_DB = 90;

    @Override
    public List<Finding> check(TakeReport take) {
        return TakeRules.eachHeard(take, (c, heard) -> heard.pauses().flatMap(pauses -> finding(take, c, pauses)));
    }

    private static Optional<Finding> finding(TakeReport take, int c, Pauses pauses) {
        Spectrum spectrum = pauses.spectrum();
        int tones = 0;
        double power = 0;
        double highest = 0.48 * take.header().sampleRateHz();
        for (int k = 1; k * FRAMES_HZ < highest; k++) {
            double tone = tone(spectrum, k * FRAMES_HZ);
            tones += tone > 0 ? 1 : 0;
            power += tone;
        }
        double under = take.loudDb() - Gain.ofPowerRatio(power).db();
        if (tones < FEWEST_TONES || under > HEARD_UNDER_DB) {
            return Optional.empty();
        }
        double level = TakeRules.level(power).dbfs();
        return Optional.of(new Finding(
                FindingCode.WHINE_USB,
                Severity.WEAK,
                TakeRules.whole(take, OptionalInt.of(c)),
                new Figure(level, "dBFS"),
                "Whine of a USB connection" + TakeRules.inChannel(take, c),
                tones + " steady tones at multiples of 1,000 Hz, together " + Print.decimal(level, 0) + " dBFS.",
                Optional.of(Remedy.byHand("Run the computer on its battery, or put an isolator between, and compare")),
                0.95));
    }

    /** The power of a tone that stands out at a frequency; 0 where there is none. */
    private static double tone(Spectrum spectrum, double hertz) {
        int step = spectrum.step(hertz);
        for (int i = step - 1; i <= step + 1; i++) {
            step = spectrum.power(i) > spectrum.power(step) ? i : step;
        }
        double beside = spectrum.median(hertz - 120, hertz + 120);
        boolean there = Math.abs(spectrum.peakHz(step) - hertz) < TOLERANCE * hertz + READING_STEPS * spectrum.stepHz();
        return there && spectrum.power(step) > STANDS_OUT * beside
                ? spectrum.power(hertz - 2 * spectrum.stepHz(), hertz + 2 * spectrum.stepHz())
                : 0;
    }
}
