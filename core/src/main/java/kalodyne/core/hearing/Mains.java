package kalodyne.core.hearing;

/** Hum of the mains as a loop carries it. */
public final class Mains {
    public static final double HERTZ = 50;

    /** The multiples, by their size: mostly the first odd ones, and some of the even; common practice. */
    private static final int[] HARMONICS = {1, 2, 3, 5, 7, 9};

    private static final double[] SIZES = {1, 0.35, 0.5, 0.25, 0.12, 0.08};

    private static final int TABLE = 1 << 13;

    /** One period with an RMS of 1. */
    private static final double[] PERIOD = period();

    private Mains() {}

    private static double[] period() {
        double square = 0;
        for (double size : SIZES) {
            square += size * size / 2;
        }
        double[] period = new double[TABLE + 1];
        for (int i = 0; i <= TABLE; i++) {
            for (int h = 0; h < HARMONICS.length; h++) {
                period[i] += SIZES[h] * Math.sin(2 * Math.PI * HARMONICS[h] * i / TABLE + h);
            }
            period[i] /= Math.sqrt(square);
        }
        return period;
    }

    /** With an RMS of 1. */
    public static double at(double seconds) {
        double place = seconds * HERTZ;
        double step = (place - Math.floor(place)) * TABLE;
        int from = (int) step;
        return PERIOD[from] + (step - from) * (PERIOD[from + 1] - PERIOD[from]);
    }
}
