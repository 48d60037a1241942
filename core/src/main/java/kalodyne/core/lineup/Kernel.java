package kalodyne.core.lineup;

import kalodyne.core.sound.measure.Windows;

/**
 * The weights by which a sample between samples is made of its neighbours: a sine cardinal faded by Kaiser's window, tabulated at many
 * places between two samples and interpolated in a straight line between these.
 */
final class Kernel {
    /** Straight lines between so many places are off by less than 1e-7. */
    private static final int PLACES = 2048;

    /** Clocks that differ by less than this need no other kernel, nor does a higher rate. */
    private static final double NEARLY_ONE = 1.005;

    private final int taps;
    private final double[] table;

    private Kernel(double stretch, int crossings, double beta, double cutoff) {
        // Even, so that the weights come in fours.
        int half = 2 * (int) Math.ceil(0.5 * crossings * Math.max(1, stretch));
        double width = half / (double) crossings;
        taps = 2 * half;
        table = new double[(PLACES + 1) * taps];
        for (int place = 0; place <= PLACES; place++) {
            double sum = 0;
            for (int tap = 0; tap < taps; tap++) {
                double distance = (tap - half + 1 - (double) place / PLACES) / width;
                double weight = sinc(cutoff * distance) * Windows.kaiser(distance / crossings, beta);
                table[place * taps + tap] = weight;
                sum += weight;
            }
            // What does not move comes through as it is, at each place.
            for (int tap = 0; tap < taps; tap++) {
                table[place * taps + tap] /= sum;
            }
        }
    }

    /**
     * For copies that are kept: up to 0.453 of the lower rate (20 kHz of 44.1) as it is, images more than 110 dB down.
     *
     * @param step how many samples of what is read for one of what is written
     */
    static Kernel fine(double step) {
        return step < NEARLY_ONE ? Plain.FINE : new Kernel(step, 56, 12, 0.986);
    }

    private static final class Plain {
        static final Kernel FINE = new Kernel(1, 56, 12, 0.986);
        static final Kernel QUICK = new Kernel(1, 16, 8, 0.95);
    }

    /** For comparing, not for hearing: 80 dB, a third of the work. */
    static Kernel quick(double step) {
        return step < NEARLY_ONE ? Plain.QUICK : new Kernel(step, 16, 8, 0.95);
    }

    private static double sinc(double x) {
        return x == 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x);
    }

    /** How many samples one is made of; as many before it as behind. */
    int taps() {
        return taps;
    }

    /** Fills in the weights for a place between two samples, from 0 to 1. */
    void weights(double place, double[] into) {
        double at = place * PLACES;
        int before = Math.min(PLACES - 1, (int) at);
        double share = at - before;
        int from = before * taps;
        int to = from + taps;
        for (int tap = 0; tap < taps; tap++) {
            double weight = table[from + tap];
            into[tap] = weight + share * (table[to + tap] - weight);
        }
    }
}
