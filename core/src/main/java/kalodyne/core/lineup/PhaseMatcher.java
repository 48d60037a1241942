package kalodyne.core.lineup;

import kalodyne.core.sound.measure.Windows;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * Finds how far one stretch of sound is behind another one of the same sound, by the phases of what they have in common at each frequency
 * (generalised cross-correlation with phase transform, Knapp and Carter 1976). Loudness and colour do not count; noise and echo of a
 * room only blur it.
 */
final class PhaseMatcher {
    private static final double LOWEST_HZ = 60;
    private static final double HIGHEST_HZ = 16_000;
    /** What lies near half the rate is faded by filters. */
    private static final double SHARE_OF_RATE = 0.46;

    private final int length;
    private final int lowest;
    private final int highest;
    private final float[] shape;
    private final FloatFFT_1D transform;

    /**
     * For stretches of a length.
     *
     * @param length a power of two
     * @param sampleRateHz of both
     */
    PhaseMatcher(int length, int sampleRateHz) {
        this.length = length;
        lowest = (int) Math.max(1, Math.ceil(LOWEST_HZ * length / sampleRateHz));
        highest = (int) (length * Math.min(HIGHEST_HZ / sampleRateHz, SHARE_OF_RATE));
        shape = Windows.hann(length);
        transform = new FloatFFT_1D(length);
    }

    /**
     * What was found.
     *
     * @param behind how much later the second has it, as a share of the stretch; negative where earlier
     * @param height how far the place stands out, in standard deviations of all others that were looked at; negative where one is the
     *     other upside down
     * @param common the sum over frequencies of what the second has of the first, as it stands in the first
     * @param power of the first
     */
    record Match(double behind, double height, double common, double power) {
        static final Match NONE = new Match(0, 0, 0, 0);
    }

    /**
     * Compares two stretches.
     *
     * @param reach how far the one may be behind or ahead, as a share of the stretch
     */
    Match match(float[] first, float[] second, double reach) {
        Phases phases = Phases.of(spectrum(first), spectrum(second), lowest, highest);
        return phases.sounding == 0 ? Match.NONE : phases.match(reach, transform, length);
    }

    private float[] spectrum(float[] samples) {
        float[] work = new float[length];
        for (int i = 0; i < length; i++) {
            work[i] = shape[i] * samples[i];
        }
        transform.realForward(work);
        return work;
    }

    /** The difference of both phases at each frequency, as numbers of size 1. */
    private static final class Phases {
        private final int lowest;
        private final double[] real;
        private final double[] imaginary;
        private final double[] sizes;
        private double power;
        private int sounding;

        private Phases(int lowest, int count) {
            this.lowest = lowest;
            real = new double[count];
            imaginary = new double[count];
            sizes = new double[count];
        }

        static Phases of(float[] one, float[] two, int lowest, int highest) {
            Phases phases = new Phases(lowest, highest - lowest);
            for (int i = 0; i < highest - lowest; i++) {
                int at = 2 * (lowest + i);
                double re = (double) one[at] * two[at] + (double) one[at + 1] * two[at + 1];
                double im = (double) one[at] * two[at + 1] - (double) one[at + 1] * two[at];
                double size = Math.sqrt(re * re + im * im);
                phases.power += (double) one[at] * one[at] + (double) one[at + 1] * one[at + 1];
                if (size > 0) {
                    phases.real[i] = re / size;
                    phases.imaginary[i] = im / size;
                    phases.sizes[i] = size;
                    phases.sounding++;
                }
            }
            return phases;
        }

        Match match(double reach, FloatFFT_1D transform, int size) {
            float[] values = correlation(transform, size);
            int most = (int) Math.min(size / 2.0 - 1, Math.ceil(reach * size));
            int best = 0;
            double squares = 0;
            for (int lag = -most; lag <= most; lag++) {
                float value = at(values, lag);
                squares += (double) value * value;
                best = Math.abs(value) > Math.abs(at(values, best)) ? lag : best;
            }
            double top = at(values, best);
            double others = Math.max(0, squares - top * top) / (2.0 * most);
            double behind = refine(top(values, best) / size);
            // Where nothing else is but the place itself, chance is what phases without anything in common give.
            double height = top / Math.sqrt(Math.max(others, 0.1 * sounding));
            return new Match(behind, height, common(behind), power);
        }

        private static float at(float[] values, int lag) {
            return values[Math.floorMod(lag, values.length)];
        }

        /** At each lag: the sum over frequencies of the cosine of what is left of their phases. */
        private float[] correlation(FloatFFT_1D transform, int size) {
            float[] work = new float[size];
            for (int i = 0; i < real.length; i++) {
                work[2 * (lowest + i)] = (float) real[i];
                work[2 * (lowest + i) + 1] = (float) imaginary[i];
            }
            transform.realInverse(work, false);
            return work;
        }

        private static double top(float[] values, int best) {
            double before = Math.abs(at(values, best - 1));
            double here = Math.abs(at(values, best));
            double after = Math.abs(at(values, best + 1));
            double curve = before - 2 * here + after;
            return curve == 0 ? best : best + 0.5 * (before - after) / curve;
        }

        /** Newton's steps to where the sum of cosines is greatest. */
        private double refine(double start) {
            double behind = start;
            for (int turn = 0; turn < 4; turn++) {
                double slope = 0;
                double curve = 0;
                Turning turning = new Turning(behind, lowest);
                for (int i = 0; i < real.length; i++, turning.next()) {
                    double w = 2 * Math.PI * (lowest + i);
                    slope -= w * (real[i] * turning.sin + imaginary[i] * turning.cos);
                    curve -= w * w * (real[i] * turning.cos - imaginary[i] * turning.sin);
                }
                double step = curve == 0 ? 0 : slope / curve;
                double most = 0.5 / (lowest + real.length);
                if (!(Math.abs(step) <= most)) {
                    return start;
                }
                behind -= step;
            }
            return behind;
        }

        private double common(double behind) {
            double sum = 0;
            Turning turning = new Turning(behind, lowest);
            for (int i = 0; i < real.length; i++, turning.next()) {
                sum += sizes[i] * (real[i] * turning.cos - imaginary[i] * turning.sin);
            }
            return sum;
        }
    }

    /** Cosine and sine of the phase that a delay makes at each frequency in turn, one from the one before. */
    private static final class Turning {
        private final double cosOfStep;
        private final double sinOfStep;
        private double cos;
        private double sin;

        Turning(double behind, int first) {
            double step = 2 * Math.PI * behind;
            cosOfStep = Math.cos(step);
            sinOfStep = Math.sin(step);
            cos = Math.cos(first * step);
            sin = Math.sin(first * step);
        }

        void next() {
            double before = cos;
            cos = before * cosOfStep - sin * sinOfStep;
            sin = before * sinOfStep + sin * cosOfStep;
        }
    }
}
