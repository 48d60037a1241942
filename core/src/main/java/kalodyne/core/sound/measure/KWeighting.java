package kalodyne.core.sound.measure;

import kalodyne.core.units.Gain;

/**
 * The weighting before loudness is measured (ITU-R BS.1770-5, Annex 1): a shelf that raises treble by 4 dB, as a head does,
 * and a high-pass. The standard gives its coefficients at 48 kHz; at other rates the same analogue filters are transformed
 * anew.
 */
final class KWeighting {
    private static final double SHELF_HZ = 1681.974450955533;
    private static final double SHELF_RATIO = new Gain(3.999843853973347).ratio();
    private static final double SHELF_MIDDLE = Math.pow(SHELF_RATIO, 0.4996667741545416);
    private static final double SHELF_Q = 0.7071752369554196;
    private static final double HIGH_PASS_HZ = 38.13547087602444;
    private static final double HIGH_PASS_Q = 0.5003270373238773;

    private final Biquad shelf;
    private final Biquad highPass;

    KWeighting(double sampleRateHz) {
        shelf = shelf(sampleRateHz);
        highPass = highPass(sampleRateHz);
    }

    private static Biquad shelf(double rate) {
        double k = warped(SHELF_HZ, rate);
        double over = 1 + k / SHELF_Q + k * k;
        return new Biquad(
                (SHELF_RATIO + SHELF_MIDDLE * k / SHELF_Q + k * k) / over,
                2 * (k * k - SHELF_RATIO) / over,
                (SHELF_RATIO - SHELF_MIDDLE * k / SHELF_Q + k * k) / over,
                2 * (k * k - 1) / over,
                (1 - k / SHELF_Q + k * k) / over);
    }

    private static Biquad highPass(double rate) {
        double k = warped(HIGH_PASS_HZ, rate);
        double over = 1 + k / HIGH_PASS_Q + k * k;
        return new Biquad(1, -2, 1, 2 * (k * k - 1) / over, (1 - k / HIGH_PASS_Q + k * k) / over);
    }

    /** Of files with a very low rate the shelf would lie above half the rate: it is kept just below. */
    private static double warped(double hertz, double rate) {
        return Math.tan(Math.PI * Math.min(hertz / rate, 0.49));
    }

    /**
     * Filters.
     *
     * @param weighted is filled
     */
    void filter(float[] samples, double[] weighted, int count) {
        shelf.filterInto(highPass, samples, weighted, count);
    }
}
