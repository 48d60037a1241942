package kalodyne.core.sound.measure;

import kalodyne.core.units.Gain;

/** How records are played back (IEC 60098): bass raised and treble lowered, by three time constants. */
public final class Riaa {
    private static final double BASS_SECONDS = 3180e-6;
    private static final double MIDDLE_SECONDS = 318e-6;
    private static final double TREBLE_SECONDS = 75e-6;
    private static final double REFERENCE_HZ = 1000;

    private Riaa() {}

    /** What a phono preamplifier does at a frequency, re 1 kHz. */
    public static Gain playback(double hertz) {
        return Gain.ofPowerRatio(power(hertz) / power(REFERENCE_HZ));
    }

    private static double power(double hertz) {
        double w = 2 * Math.PI * hertz;
        return corner(w * MIDDLE_SECONDS) / corner(w * BASS_SECONDS) / corner(w * TREBLE_SECONDS);
    }

    private static double corner(double x) {
        return 1 + x * x;
    }
}
