package kalodyne.core.testing;

/** Sines that die away, made by turning a pointer: a hundredth of the time that a sine for each sample takes. */
public final class Ringing {
    /** Pointers that turn side by side: each waits for nothing but itself. */
    private static final int LANES = 4;

    private double re;
    private double im;

    private Ringing(double re, double im) {
        this.re = re;
        this.im = im;
    }

    private static Ringing of(double size, double phase) {
        return new Ringing(size * Math.cos(phase), size * Math.sin(phase));
    }

    private double next(double cos, double sin) {
        double now = im;
        double turned = re * cos - im * sin;
        im = re * sin + im * cos;
        re = turned;
        return now;
    }

    /**
     * Adds one to a stretch of a line.
     *
     * @param size at the first sample
     * @param phase at the first sample, in radians
     * @param fall what is left of it from one sample to the next
     * @param turn from one sample to the next, in radians
     */
    public static void add(double[] line, int from, int to, double size, double phase, double fall, double turn) {
        Ringing a = of(size, phase);
        Ringing b = of(size * fall, phase + turn);
        Ringing c = of(size * fall * fall, phase + 2 * turn);
        Ringing d = of(size * fall * fall * fall, phase + 3 * turn);
        double further = Math.pow(fall, LANES);
        double cos = further * Math.cos(LANES * turn);
        double sin = further * Math.sin(LANES * turn);
        int i = from;
        for (; i + LANES <= to; i += LANES) {
            line[i] += a.next(cos, sin);
            line[i + 1] += b.next(cos, sin);
            line[i + 2] += c.next(cos, sin);
            line[i + 3] += d.next(cos, sin);
        }
        for (; i < to; i++) {
            line[i] += size * Math.pow(fall, i - from) * Math.sin(phase + (i - from) * turn);
        }
    }
}
