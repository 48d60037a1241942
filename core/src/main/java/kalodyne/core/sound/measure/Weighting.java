package kalodyne.core.sound.measure;

/** How much the ear makes of a frequency at low levels (curve A of IEC 61672-1). */
public final class Weighting {
    private static final double F1 = 20.598997;
    private static final double F2 = 107.65265;
    private static final double F3 = 737.86223;
    private static final double F4 = 12_194.217;
    private static final double AT_ONE_KILOHERTZ = raw(1_000);

    private Weighting() {}

    /** What a power at a frequency counts; 1 at 1 kHz. */
    public static double power(double hertz) {
        double ratio = raw(hertz) / AT_ONE_KILOHERTZ;
        return ratio * ratio;
    }

    private static double raw(double f) {
        double square = f * f;
        return F4
                * F4
                * square
                * square
                / ((square + F1 * F1) * Math.sqrt((square + F2 * F2) * (square + F3 * F3)) * (square + F4 * F4));
    }

    /** The weighted power of a spectrum between two frequencies. */
    public static double power(Spectrum spectrum, double fromHz, double toHz) {
        double sum = 0;
        for (int step = spectrum.step(fromHz); step <= spectrum.step(toHz); step++) {
            sum += power(spectrum.hertz(step)) * spectrum.power(step);
        }
        return sum;
    }
}
