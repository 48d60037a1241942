package kalodyne.core.sound.measure;

import kalodyne.core.units.Gain;

/** The powers of bands of equal width on a logarithmic scale, of one short stretch after the other. */
public final class BandPowers {
    private static final double LOWEST_HZ = 20;
    private static final double HIGHEST_HZ = 20_000;
    private static final double SECONDS = 0.085;
    private static final double LEAST = 1e-14;

    private final SpectrumMaker maker;
    private final int[] edges;

    /**
     * For sounds of one rate.
     *
     * @param bands how many, from 20 Hz to 20 kHz
     */
    public BandPowers(double sampleRateHz, int bands) {
        int length = Math.max(256, Math.min(1 << 16, Integer.highestOneBit((int) (SECONDS * sampleRateHz * 1.4))));
        maker = new SpectrumMaker(length, sampleRateHz);
        edges = new int[bands + 1];
        for (int i = 0; i <= bands; i++) {
            double hertz = LOWEST_HZ * Math.pow(HIGHEST_HZ / LOWEST_HZ, (double) i / bands);
            edges[i] = (int) Math.min(maker.steps() - 1, Math.round(hertz / maker.stepHz()));
        }
    }

    /** How long a stretch is. */
    public int frames() {
        return maker.length();
    }

    /**
     * Measures a stretch.
     *
     * @param samples full scale is 1
     * @param into filled with the power of each band, in decibels; a band narrower than a step of the spectrum has that of the step
     */
    public void decibels(float[] samples, float[] into) {
        float[] powers = maker.powers(samples);
        for (int band = 0; band < into.length; band++) {
            double sum = powers[edges[band]];
            for (int step = edges[band] + 1; step < edges[band + 1]; step++) {
                sum += powers[step];
            }
            into[band] = (float) Gain.ofPowerRatio(Math.max(LEAST, sum)).db();
        }
    }
}
