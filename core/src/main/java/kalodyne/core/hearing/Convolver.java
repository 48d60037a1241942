package kalodyne.core.hearing;

import java.util.Arrays;
import org.jtransforms.fft.DoubleFFT_1D;
import org.visnow.jlargearrays.ConcurrencyUtils;

/**
 * A filter of any length, block by block and without delay: its answer is cut into parts as long as a block, and each block of what comes
 * in is transformed once. Not for several threads at once.
 */
final class Convolver {
    static {
        // Blocks are short: threads for one would only cost.
        ConcurrencyUtils.setNumberOfThreads(1);
    }

    private final int block;
    private final DoubleFFT_1D transform;
    private final double[][] parts;

    /** Transforms of the last blocks, the newest at {@link #newest}. */
    private final double[][] past;

    private final double[] before;
    private final double[] sum;
    private int newest;

    Convolver(double[] impulse, int block) {
        this.block = block;
        transform = new DoubleFFT_1D(2L * block);
        int count = (impulse.length + block - 1) / block;
        parts = new double[count][2 * block];
        past = new double[count][2 * block];
        before = new double[block];
        sum = new double[2 * block];
        for (int p = 0; p < count; p++) {
            int from = p * block;
            System.arraycopy(impulse, from, parts[p], 0, Math.min(block, impulse.length - from));
            transform.realForward(parts[p]);
        }
    }

    /** Adds what comes out of a block. */
    void add(double[] in, double[] out) {
        newest = (newest + past.length - 1) % past.length;
        double[] now = past[newest];
        System.arraycopy(before, 0, now, 0, block);
        System.arraycopy(in, 0, now, block, block);
        System.arraycopy(in, 0, before, 0, block);
        transform.realForward(now);
        Arrays.fill(sum, 0);
        for (int p = 0; p < parts.length; p++) {
            multiply(past[(newest + p) % past.length], parts[p]);
        }
        transform.realInverse(sum, true);
        for (int i = 0; i < block; i++) {
            out[i] += sum[block + i];
        }
    }

    /** The first two of a transform are real: the one at 0 Hz, and the one at half the rate. */
    private void multiply(double[] one, double[] other) {
        sum[0] += one[0] * other[0];
        sum[1] += one[1] * other[1];
        for (int k = 2; k < sum.length; k += 2) {
            sum[k] += one[k] * other[k] - one[k + 1] * other[k + 1];
            sum[k + 1] += one[k] * other[k + 1] + one[k + 1] * other[k];
        }
    }
}
