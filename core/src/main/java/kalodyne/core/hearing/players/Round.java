package kalodyne.core.hearing.players;

import kalodyne.core.units.Gain;

/** One round of what a player plays, with its loudest peak at 1 and its average as far below as is wanted, if that can be played. */
public final class Round {
    private static final double LEAST_DYNAMICS = 0.2;
    private static final double MOST_DYNAMICS = 5;
    private static final int STEPS = 5;

    /** How even it is can be told at a low rate as well, sooner. */
    private static final int TRYING_RATE_HZ = 12_000;

    private final float[] samples;

    private Round(double[] played) {
        double peak = peak(played);
        samples = new float[played.length];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (played[i] / peak);
        }
    }

    /**
     * Has a player play.
     *
     * @param crest how far the loudest peak, as the sine that has the same peak, should lie above the average
     */
    public static Round of(Player player, int sampleRateHz, Gain crest) {
        double low = LEAST_DYNAMICS;
        double high = MOST_DYNAMICS;
        for (int step = 0; step < STEPS; step++) {
            double middle = Math.sqrt(low * high);
            boolean isTooEven = crestDb(player.play(TRYING_RATE_HZ, middle)) < crest.db();
            low = isTooEven ? middle : low;
            high = isTooEven ? high : middle;
        }
        return new Round(player.play(sampleRateHz, Math.sqrt(low * high)));
    }

    private static double peak(double[] samples) {
        double peak = Double.MIN_NORMAL;
        for (double sample : samples) {
            peak = Math.max(peak, Math.abs(sample));
        }
        return peak;
    }

    private static double crestDb(double[] samples) {
        double sum = 0;
        for (double sample : samples) {
            sum += sample * sample;
        }
        return Gain.ofRatio(peak(samples) / Math.sqrt(2 * sum / samples.length)).db();
    }

    /** A sample of endless rounds, by its number from 0. */
    public float at(long frame) {
        return samples[(int) (frame % samples.length)];
    }

    public int frames() {
        return samples.length;
    }
}
