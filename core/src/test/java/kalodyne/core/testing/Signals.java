package kalodyne.core.testing;

/** Signals whose measures are known in closed form; full scale is 1. */
public final class Signals {
    private Signals() {}

    public static double[] sine(double hertz, double amplitude, int frames, int rate) {
        double[] samples = new double[frames];
        for (int i = 0; i < frames; i++) {
            samples[i] = amplitude * Math.sin(2 * Math.PI * hertz * i / rate);
        }
        return samples;
    }

    public static double[] plus(double[] samples, double constant) {
        double[] shifted = samples.clone();
        for (int i = 0; i < shifted.length; i++) {
            shifted[i] += constant;
        }
        return shifted;
    }
}
