package kalodyne.core.lineup;

import kalodyne.core.sound.Usable;

/** How the channels of a recording become one: their mean, or where they cancel each other the loudest of them. */
final class Mixdown {
    private static final int ALL = -1;

    private final int channel;

    private Mixdown(int channel) {
        this.channel = channel;
    }

    /** Fills in one channel. */
    void mix(float[][] samples, int from, int count, float[] into, int at) {
        if (channel != ALL) {
            Usable.copy(samples[channel], from, into, at, count);
            return;
        }
        float share = 1f / samples.length;
        for (int i = 0; i < count; i++) {
            float sum = 0;
            for (float[] each : samples) {
                sum += each[from + i];
            }
            into[at + i] = Usable.sample(share * sum);
        }
    }

    /** Finds out while the recording goes by. */
    static final class Choice {
        /** What is told from every eighth frame is told from all. */
        private static final int STRIDE = 8;
        /** Of channels that have nothing in common, the sum has as much power as all of them. Half of that is cancelling. */
        private static final double CANCELLING = 0.5;

        private final double[] powers;
        private double ofSum;

        Choice(int channels) {
            powers = new double[channels];
        }

        void accept(float[][] samples, int count) {
            for (int i = 0; i < count; i += STRIDE) {
                double sum = 0;
                for (int c = 0; c < powers.length; c++) {
                    double sample = Usable.sample(samples[c][i]);
                    sum += sample;
                    powers[c] += sample * sample;
                }
                ofSum += sum * sum;
            }
        }

        Mixdown mixdown() {
            double all = 0;
            int loudest = 0;
            for (int c = 0; c < powers.length; c++) {
                all += powers[c];
                loudest = powers[c] > powers[loudest] ? c : loudest;
            }
            return new Mixdown(ofSum < CANCELLING * all ? loudest : ALL);
        }
    }
}
