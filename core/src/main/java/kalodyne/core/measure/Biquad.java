package kalodyne.core.measure;

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

    /** Filters in place. */
    void filter(double[] samples, int count) {
        double s1 = first;
        double s2 = second;
        for (int i = 0; i < count; i++) {
            double x = samples[i];
            double y = b0 * x + s1;
            s1 = b1 * x - a1 * y + s2;
            s2 = b2 * x - a2 * y;
            samples[i] = y;
        }
        first = Math.abs(s1) < NOTHING ? 0 : s1;
        second = Math.abs(s2) < NOTHING ? 0 : s2;
    }
}
