package kalodyne.core.sound.measure;

/** A filter of second order with its memory, in transposed direct form II. */
final class Biquad {
    /** Below −600 dBFS: numbers so small make processors slow and are not heard. */
    private static final double NOTHING = 1e-30;

    private final double b0;
    private final double b1;
    private final double b2;
    private final double a1;
    private final double a2;
    private double first;
    private double second;

    /** By its coefficients, where that of the present output is 1. */
    Biquad(double b0, double b1, double b2, double a1, double a2) {
        this.b0 = b0;
        this.b1 = b1;
        this.b2 = b2;
        this.a1 = a1;
        this.a2 = a2;
    }

    /**
     * Filters by this one and then by another. Both in one loop, so that the second works on one sample while the first works on the
     * next.
     *
     * @param filtered is filled
     */
    void filterInto(Biquad next, float[] samples, double[] filtered, int count) {
        double s1 = first;
        double s2 = second;
        double t1 = next.first;
        double t2 = next.second;
        for (int i = 0; i < count; i++) {
            double x = samples[i];
            double y = b0 * x + s1;
            s1 = b1 * x + s2 - a1 * y;
            s2 = b2 * x - a2 * y;
            double z = next.b0 * y + t1;
            t1 = next.b1 * y + t2 - next.a1 * z;
            t2 = next.b2 * y - next.a2 * z;
            filtered[i] = z;
        }
        keep(s1, s2);
        next.keep(t1, t2);
    }

    private void keep(double one, double other) {
        first = Math.abs(one) < NOTHING ? 0 : one;
        second = Math.abs(other) < NOTHING ? 0 : other;
    }
}
