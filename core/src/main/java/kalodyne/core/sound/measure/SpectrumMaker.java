package kalodyne.core.sound.measure;

import org.jtransforms.fft.FloatFFT_1D;
import org.visnow.jlargearrays.ConcurrencyUtils;

/** Makes spectra of stretches of equal length, faded with von Hann's window. Not for several threads at once. */
final class SpectrumMaker {
    static {
        // Channels are measured side by side already; threads for a single stretch would only cost.
        ConcurrencyUtils.setNumberOfThreads(1);
    }

    private final int length;
    private final double sampleRateHz;
    private final float[] window;
    private final float[] work;
    private final float[] powers;
    private final FloatFFT_1D transform;
    private final double scale;

    SpectrumMaker(int length, double sampleRateHz) {
        this.length = length;
        this.sampleRateHz = sampleRateHz;
        this.window = Windows.hann(length);
        this.work = new float[length];
        this.powers = new float[length / 2 + 1];
        this.transform = new FloatFFT_1D(length);
        double squares = 0;
        for (float value : window) {
            squares += (double) value * value;
        }
        // Twice, for the half of the frequencies that is left away as the mirror of the other.
        scale = 2 / (length * squares);
    }

    int length() {
        return length;
    }

    int steps() {
        return length / 2 + 1;
    }

    double stepHz() {
        return sampleRateHz / length;
    }

    /**
     * Power by frequency.
     *
     * @param samples of the length, from their start
     * @return filled anew the next time
     */
    float[] powers(float[] samples) {
        for (int i = 0; i < length; i++) {
            work[i] = samples[i] * window[i];
        }
        transform.realForward(work);
        // The transform keeps the value at half the rate, which is real as the first is, in the second place.
        powers[0] = (float) (0.5 * scale * work[0] * work[0]);
        powers[length / 2] = (float) (0.5 * scale * work[1] * work[1]);
        for (int step = 1; step < length / 2; step++) {
            float real = work[2 * step];
            float imaginary = work[2 * step + 1];
            powers[step] = (float) (scale * (real * real + imaginary * imaginary));
        }
        return powers;
    }

    /** The spectrum of the powers that were summed up. */
    Spectrum mean(double[] sums, long count) {
        float[] powers = new float[sums.length];
        for (int step = 0; step < powers.length; step++) {
            powers[step] = count == 0 ? 0 : (float) (sums[step] / count);
        }
        return new Spectrum(stepHz(), powers);
    }
}
