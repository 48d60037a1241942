package kalodyne.core.lineup;

import java.util.stream.IntStream;

/**
 * How the lag changes along a recording. It is cut into chunks, each is looked for a little before and behind the place that is likely
 * for all, and the straight line through all of these that meets the most likeness is taken.
 */
final class SlopeSearch {
    private static final int MOST_CHUNKS = 60;
    private static final int SHORTEST_CHUNK = 2 * Sketch.STEPS_A_SECOND;
    private static final int LONGEST_CHUNK = 60 * Sketch.STEPS_A_SECOND;
    /** So many lags more to each side than the place may be smeared over. */
    private static final int SPARE = 12;

    private static final long MOST_PRODUCTS = 300_000_000;

    /**
     * A line.
     *
     * @param clock how the other clock goes against the reference's, to about ten milliseconds at both ends of what they share
     * @param fromSeconds where in the reference that begins
     * @param toSeconds where it ends
     */
    record Line(ClockLine clock, double fromSeconds, double toSeconds) {}

    private final SwellTrack reference;
    private final SwellTrack other;

    SlopeSearch(SwellTrack reference, SwellTrack other) {
        this.reference = reference;
        this.other = other;
    }

    Line search(CoarseSearch.Candidate place) {
        int from = Math.max(0, -place.lag());
        int to = Math.min(reference.steps(), other.steps() - place.lag());
        int reach = place.width() + SPARE;
        int count = Math.max(1, Math.min(MOST_CHUNKS, (to - from) / SHORTEST_CHUNK));
        long affordable = MOST_PRODUCTS / ((long) count * SwellTrack.BANDS * (2L * reach + 1));
        int length = (int) Math.max(1, Math.min(Math.min(LONGEST_CHUNK, (to - from) / count), affordable));
        double apart = count == 1 ? 0 : (double) (to - from - length) / (count - 1);
        double[][] likeness = IntStream.range(0, count)
                .parallel()
                .mapToObj(chunk -> likeness(from + (int) Math.round(chunk * apart), length, place.lag(), reach))
                .toArray(double[][]::new);
        return best(likeness, place.lag(), reach, from, to);
    }

    /** Of a chunk, at each lag: in standard deviations of these. */
    private double[] likeness(int from, int length, int lag, int reach) {
        double[] sums = new double[2 * reach + 1];
        for (int band = 0; band < SwellTrack.BANDS; band++) {
            int[] chunk = new int[length];
            long mean = 0;
            for (int i = 0; i < length; i++) {
                chunk[i] = reference.swell(band, from + i);
                mean += chunk[i];
            }
            mean /= length;
            int[] around = new int[length + 2 * reach];
            for (int i = 0; i < around.length; i++) {
                around[i] = other.swell(band, from + lag - reach + i);
            }
            for (int i = 0; i < length; i++) {
                chunk[i] -= (int) mean;
            }
            for (int shift = 0; shift < sums.length; shift++) {
                // A chunk is so short that the products of bytes fit.
                int sum = 0;
                for (int i = 0; i < length; i++) {
                    sum += chunk[i] * around[shift + i];
                }
                sums[shift] += sum;
            }
        }
        return standardised(sums);
    }

    private static double[] standardised(double[] sums) {
        double mean = IntStream.range(0, sums.length)
                .mapToDouble(i -> sums[i])
                .average()
                .orElse(0);
        double squares = 0;
        for (double sum : sums) {
            squares += (sum - mean) * (sum - mean);
        }
        double deviation = Math.sqrt(squares / sums.length);
        double[] result = new double[sums.length];
        for (int i = 0; i < sums.length && deviation > 0; i++) {
            result[i] = (sums[i] - mean) / deviation;
        }
        return result;
    }

    /** The lag in the middle and its change from the first chunk to the last, both in whole steps. */
    private static Line best(double[][] likeness, int lag, int reach, int from, int to) {
        int chunks = likeness.length;
        int steepest =
                chunks < 3 ? 0 : (int) Math.min(2.0 * reach, Math.ceil(CoarseSearch.MOST_DRIFT * (to - from)) + 1);
        double best = Double.NEGATIVE_INFINITY;
        int bestShift = 0;
        int bestRise = 0;
        for (int rise = -steepest; rise <= steepest; rise++) {
            for (int shift = -reach; shift <= reach; shift++) {
                double sum = 0;
                for (int chunk = 0; chunk < chunks; chunk++) {
                    double along = chunks == 1 ? 0 : (double) chunk / (chunks - 1) - 0.5;
                    int at = reach + shift + (int) Math.round(along * rise);
                    sum += at < 0 || at >= likeness[chunk].length ? 0 : likeness[chunk][at];
                }
                // Of equals, the one that says the least.
                boolean isPlainer = sum == best && Math.abs(rise) < Math.abs(bestRise);
                if (sum > best || isPlainer) {
                    best = sum;
                    bestShift = shift;
                    bestRise = rise;
                }
            }
        }
        double seconds = 1.0 / Sketch.STEPS_A_SECOND;
        double drift = to == from ? 0 : (double) bestRise / (to - from);
        double middle = 0.5 * (from + to) * seconds;
        double offset = (lag + bestShift) * seconds - drift * middle;
        return new Line(new ClockLine(offset, drift), from * seconds, to * seconds);
    }
}
