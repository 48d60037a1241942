package kalodyne.core.hearing;

import java.util.Arrays;
import java.util.function.DoubleUnaryOperator;
import org.jtransforms.fft.DoubleFFT_1D;

/**
 * A filter of a given size at each frequency that answers as soon as it can: what joints of resistors, capacitors and coils do.
 *
 * <p>The phase follows from the logarithm of the size by the cepstrum, folded onto its causal half (Oppenheim and Schafer,
 * "Discrete-Time Signal Processing").
 */
final class MinimumPhase {
    /** So many samples resolve the lowest corners at usual rates. */
    private static final int LENGTH = 1 << 14;

    private static final double HIGHEST_OF_THAT = 50_000;

    /** Nothing is softer than this part of the loudest: 140 dB. */
    private static final double LEAST = 1e-7;

    /** What may be left out at the end: 110 dB below the whole. */
    private static final double LEFT_OUT = 1e-11;

    private MinimumPhase() {}

    /**
     * What comes out where a single sample of 1 goes in.
     *
     * @param size by frequency in hertz
     */
    static double[] impulse(DoubleUnaryOperator size, double sampleRateHz) {
        int length = sampleRateHz > HIGHEST_OF_THAT ? 2 * LENGTH : LENGTH;
        DoubleFFT_1D transform = new DoubleFFT_1D(length);
        double[] work = logarithms(size, sampleRateHz, length);
        transform.complexInverse(work, true);
        for (int n = 1; n < length / 2; n++) {
            work[2 * n] *= 2;
        }
        for (int n = 0; n < length; n++) {
            work[2 * n] = n > length / 2 ? 0 : work[2 * n];
            work[2 * n + 1] = 0;
        }
        transform.complexForward(work);
        for (int k = 0; k < length; k++) {
            double ratio = Math.exp(work[2 * k]);
            double phase = work[2 * k + 1];
            work[2 * k] = ratio * Math.cos(phase);
            work[2 * k + 1] = ratio * Math.sin(phase);
        }
        transform.complexInverse(work, true);
        double[] impulse = new double[length / 2];
        Arrays.setAll(impulse, n -> work[2 * n]);
        return shortened(impulse);
    }

    /** Natural logarithms at all steps round the circle. */
    private static double[] logarithms(DoubleUnaryOperator size, double sampleRateHz, int length) {
        double[] sizes = new double[length / 2 + 1];
        Arrays.setAll(sizes, k -> size.applyAsDouble(k * sampleRateHz / length));
        double least =
                LEAST * Math.max(Double.MIN_NORMAL, Arrays.stream(sizes).max().orElseThrow());
        double[] work = new double[2 * length];
        for (int k = 0; k < length; k++) {
            work[2 * k] = Math.log(Math.max(least, sizes[Math.min(k, length - k)]));
        }
        return work;
    }

    private static double[] shortened(double[] impulse) {
        double whole = Arrays.stream(impulse).map(each -> each * each).sum();
        double rest = 0;
        int end = impulse.length;
        while (end > 1 && rest + impulse[end - 1] * impulse[end - 1] < LEFT_OUT * whole) {
            end--;
            rest += impulse[end] * impulse[end];
        }
        return Arrays.copyOf(impulse, end);
    }
}
