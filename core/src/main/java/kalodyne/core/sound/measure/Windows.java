package kalodyne.core.sound.measure;

/** Shapes that a stretch of sound is faded with before it is looked at. */
public final class Windows {
    private Windows() {}

    /** Von Hann's: a raised cosine that begins and ends at 0. */
    public static float[] hann(int length) {
        float[] window = new float[length];
        for (int i = 0; i < length; i++) {
            window[i] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * i / length));
        }
        return window;
    }

    /**
     * Kaiser's, at one place.
     *
     * @param place from −1 to 1; 0 beyond
     * @param beta how much it fades
     */
    public static double kaiser(double place, double beta) {
        double inside = 1 - place * place;
        return inside < 0 ? 0 : bessel(beta * Math.sqrt(inside)) / bessel(beta);
    }

    /** The modified Bessel function of order 0, by its series. */
    private static double bessel(double x) {
        double term = 1;
        double sum = 1;
        for (int k = 1; term > 1e-17 * sum; k++) {
            term *= (x / (2 * k)) * (x / (2 * k));
            sum += term;
        }
        return sum;
    }
}
