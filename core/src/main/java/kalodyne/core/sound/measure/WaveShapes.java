package kalodyne.core.sound.measure;

import kalodyne.core.units.Gain;

/**
 * How many half-waves reach which height, how many of them are flat on top, and how full they are.
 *
 * @param up those above the middle
 * @param down those below it
 */
public record WaveShapes(Side up, Side down) {
    /** Half-waves of one side, by height in steps of a quarter decibel. */
    public static final class Side {
        private static final double STEPS_PER_DB = 4;
        private static final int STEPS = 240;

        /** What is left of a number tells its height to 0.02 dB. */
        private static final int UNUSED_BITS = 14;

        private static final int FIRST_BITS = Float.floatToIntBits(0.001f) >>> UNUSED_BITS;
        private static final short[] STEP_BY_BITS = stepByBits();

        private final long[] counts = new long[STEPS];
        private final long[] flats = new long[STEPS];
        private final double[] fullness = new double[STEPS];
        private final long[] firstFlat = new long[STEPS];
        private final long[] lastFlat = new long[STEPS];

        Side() {}

        void add(float top, boolean flat, double full, long from, long to) {
            int step = step(top);
            counts[step]++;
            fullness[step] += full;
            if (flat) {
                firstFlat[step] = flats[step] == 0 ? from : firstFlat[step];
                lastFlat[step] = to;
                flats[step]++;
            }
        }

        /**
         * The step of a height; step 0 is full scale and above. Looked up by the leading bits of the number, which are its logarithm,
         * nearly: a logarithm for each half-wave would cost more than all the rest.
         */
        private static int step(float top) {
            int index = (Float.floatToIntBits(top) >>> UNUSED_BITS) - FIRST_BITS;
            return index < 0 ? STEPS - 1 : index >= STEP_BY_BITS.length ? 0 : STEP_BY_BITS[index];
        }

        private static short[] stepByBits() {
            short[] steps = new short[(Float.floatToIntBits(1) >>> UNUSED_BITS) - FIRST_BITS + 1];
            for (int i = 0; i < steps.length; i++) {
                int middle = ((FIRST_BITS + i) << UNUSED_BITS) + (1 << (UNUSED_BITS - 1));
                double dbfs = Gain.ofRatio(Float.intBitsToFloat(middle)).db();
                steps[i] = (short) Math.max(0, Math.min(STEPS - 1, Math.floor(-dbfs * STEPS_PER_DB)));
            }
            return steps;
        }

        public int steps() {
            return STEPS;
        }

        /** The middle of a step. */
        public double dbfs(int step) {
            return -(step + 0.5) / STEPS_PER_DB;
        }

        public long count(int step) {
            return counts[step];
        }

        public long flat(int step) {
            return flats[step];
        }

        /** How many half-waves there are from one step to before another. */
        public long count(int from, int to) {
            return sum(counts, from, to);
        }

        /** How many of them are flat on top. */
        public long flat(int from, int to) {
            return sum(flats, from, to);
        }

        private static long sum(long[] numbers, int from, int to) {
            long sum = 0;
            for (int step = from; step < Math.min(to, STEPS); step++) {
                sum += numbers[step];
            }
            return sum;
        }

        /** Mean of the share that a half-wave fills of the box round it: 0.64 for a sine, 1 for a square; 0 where there are none. */
        public double fullness(int from, int to) {
            double sum = 0;
            for (int step = from; step < Math.min(to, STEPS); step++) {
                sum += fullness[step];
            }
            return sum / Math.max(1, count(from, to));
        }

        /** Where the first flat half-wave of a step begins. */
        public long firstFlat(int step) {
            return firstFlat[step];
        }

        /** Where the last flat half-wave of a step ends. */
        public long lastFlat(int step) {
            return lastFlat[step];
        }
    }
}
