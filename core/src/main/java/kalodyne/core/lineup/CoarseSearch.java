package kalodyne.core.lineup;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * Where in one recording the other may lie: the swells of both are multiplied at every lag there is, by transforms. Where the clocks
 * differ, the right place is smeared over many lags; so sums over more and more neighbours are looked at as well.
 */
final class CoarseSearch {
    /** No two recorders differ by more: films that run at 29.97 for 30 pictures differ by 0.1 %. */
    static final double MOST_DRIFT = 1.5e-3;

    private static final int MOST_PLACES = 12;
    /** Places that are nearer to each other than this are one: a quarter of a second. */
    private static final int APART = Sketch.STEPS_A_SECOND / 4;
    /** Files that overlap by less say nothing. */
    private static final int LEAST_OVERLAP = Sketch.STEPS_A_SECOND / 4;

    private static final int MOST_SUMS = 1 << 16;

    /**
     * A place.
     *
     * @param lag where the reference begins in the other recording, in steps
     * @param width over how many lags it may be smeared
     * @param height how far it stands out, in standard deviations of all lags
     */
    record Candidate(int lag, int width, double height) {}

    private final SwellTrack reference;
    private final SwellTrack other;

    CoarseSearch(SwellTrack reference, SwellTrack other) {
        this.reference = reference;
        this.other = other;
    }

    /** The likeliest places, the best first; none where one of both never swells. */
    List<Candidate> candidates() {
        if (reference.isFlat() || other.isFlat()) {
            return List.of();
        }
        float[] likeness = likeness();
        List<Candidate> found = new ArrayList<>();
        int longest = Math.min(reference.steps(), other.steps());
        for (int width = 1; width == 1 || width <= 2 * MOST_DRIFT * longest; width *= 4) {
            tops(likeness, width, found);
        }
        found.sort(Comparator.comparingDouble(Candidate::height).reversed());
        List<Candidate> apart = new ArrayList<>();
        for (Candidate each : found) {
            boolean isNew = apart.stream().noneMatch(better -> isNear(better, each));
            if (isNew && apart.size() < MOST_PLACES) {
                apart.add(each);
            }
        }
        return apart;
    }

    private static boolean isNear(Candidate better, Candidate each) {
        return Math.abs(better.lag() - each.lag()) <= Math.max(APART, better.width());
    }

    // --- the likeness at every lag -----------------------------------------------------------------------------

    /** By lag, from the most negative: the sum of products, against what their sizes let expect by chance. */
    private float[] likeness() {
        float[] products = products();
        double[] ofReference = squares(reference);
        double[] ofOther = squares(other);
        int lags = reference.steps() + other.steps() - 1;
        float[] likeness = new float[lags];
        for (int i = 0; i < lags; i++) {
            int lag = i - reference.steps() + 1;
            int from = Math.max(0, -lag);
            int to = Math.min(reference.steps(), other.steps() - lag);
            if (to - from >= LEAST_OVERLAP) {
                double sizes =
                        between(ofReference, reference, from, to) * between(ofOther, other, from + lag, to + lag);
                double product = products[lag < 0 ? lag + products.length : lag];
                likeness[i] = sizes <= 0 ? 0 : (float) (product / Math.sqrt(sizes) * Math.sqrt(to - from));
            }
        }
        return likeness;
    }

    private float[] products() {
        int size = Integer.highestOneBit(reference.steps() + other.steps() - 1) * 2;
        FloatFFT_1D transform = new FloatFFT_1D(size);
        float[] sum = new float[size];
        for (int band = 0; band < SwellTrack.BANDS; band++) {
            int which = band;
            CompletableFuture<float[]> beside =
                    CompletableFuture.supplyAsync(() -> spectrum(other, which, transform, size));
            float[] one = spectrum(reference, band, transform, size);
            float[] two = beside.join();
            // Packed: the first two are the real parts at 0 Hz and at half the rate.
            sum[0] += one[0] * two[0];
            sum[1] += one[1] * two[1];
            for (int i = 2; i < size; i += 2) {
                sum[i] += one[i] * two[i] + one[i + 1] * two[i + 1];
                sum[i + 1] += one[i] * two[i + 1] - one[i + 1] * two[i];
            }
        }
        transform.realInverse(sum, true);
        return sum;
    }

    private static float[] spectrum(SwellTrack track, int band, FloatFFT_1D transform, int size) {
        float[] values = new float[size];
        float mean = (float) track.mean(band);
        for (int i = 0; i < track.steps(); i++) {
            values[i] = track.swell(band, i) - mean;
        }
        transform.realForward(values);
        return values;
    }

    /** Sums of squares up to every so many steps. */
    private static double[] squares(SwellTrack track) {
        int stride = stride(track);
        double[] means = new double[SwellTrack.BANDS];
        for (int band = 0; band < means.length; band++) {
            means[band] = track.mean(band);
        }
        double[] sums = new double[track.steps() / stride + 2];
        for (int i = 0; i < track.steps(); i++) {
            double square = 0;
            for (int band = 0; band < means.length; band++) {
                double value = track.swell(band, i) - means[band];
                square += value * value;
            }
            sums[i / stride + 1] += square;
        }
        for (int i = 1; i < sums.length; i++) {
            sums[i] += sums[i - 1];
        }
        return sums;
    }

    private static int stride(SwellTrack track) {
        return Math.max(1, track.steps() / MOST_SUMS);
    }

    private static double between(double[] sums, SwellTrack track, int from, int to) {
        int stride = stride(track);
        return sums[(to + stride - 1) / stride] - sums[from / stride];
    }

    // --- its tops ----------------------------------------------------------------------------------------------

    private void tops(float[] likeness, int width, List<Candidate> into) {
        float[] sums = width == 1 ? likeness : boxes(likeness, width);
        double squares = 0;
        for (float each : sums) {
            squares += (double) each * each;
        }
        double deviation = Math.sqrt(squares / sums.length);
        if (deviation == 0) {
            return;
        }
        List<Candidate> tops = new ArrayList<>();
        int reach = Math.max(APART, width);
        // The greatest of each stretch; what is the greatest of its neighbourhood too is a top.
        for (int from = 0; from < sums.length; from += reach) {
            int best = from;
            for (int i = from; i < Math.min(sums.length, from + reach); i++) {
                best = sums[i] > sums[best] ? i : best;
            }
            if (sums[best] > 0 && isTop(sums, best, reach)) {
                tops.add(new Candidate(best - reference.steps() + 1, width, sums[best] / deviation));
            }
        }
        tops.sort(Comparator.comparingDouble(Candidate::height).reversed());
        into.addAll(tops.subList(0, Math.min(MOST_PLACES, tops.size())));
    }

    private static boolean isTop(float[] sums, int place, int reach) {
        for (int i = Math.max(0, place - reach); i < Math.min(sums.length, place + reach); i++) {
            if (sums[i] > sums[place]) {
                return false;
            }
        }
        return true;
    }

    private static float[] boxes(float[] values, int width) {
        float[] sums = new float[values.length];
        double sum = 0;
        int half = width / 2;
        for (int i = -half; i < values.length; i++) {
            sum += i + half < values.length ? values[i + half] : 0;
            int gone = i + half - width;
            sum -= gone >= 0 ? values[gone] : 0;
            if (i >= 0) {
                sums[i] = (float) sum;
            }
        }
        return sums;
    }
}
