package kalodyne.core.sound.measure;

import java.util.Arrays;
import java.util.List;
import kalodyne.core.units.Gain;

/** Power by frequency, in equal steps from 0 Hz to half the sample rate. The powers of all steps add up to that of the sound. */
public final class Spectrum {
    private final double stepHz;
    private final float[] powers;

    /** Copies what it is given. */
    Spectrum(double stepHz, float[] powers) {
        this.stepHz = stepHz;
        this.powers = powers.clone();
    }

    /** The mean of spectra with equal steps. */
    static Spectrum mean(List<Spectrum> spectra) {
        float[] powers = new float[spectra.get(0).steps()];
        for (Spectrum each : spectra) {
            for (int step = 0; step < powers.length; step++) {
                powers[step] += each.powers[step] / spectra.size();
            }
        }
        return new Spectrum(spectra.get(0).stepHz, powers);
    }

    public double stepHz() {
        return stepHz;
    }

    public int steps() {
        return powers.length;
    }

    public double hertz(int step) {
        return step * stepHz;
    }

    /** Mean square of what lies in a step, full scale 1. */
    public double power(int step) {
        return powers[step];
    }

    /** The step that a frequency lies in. */
    public int step(double hertz) {
        return (int) Math.max(0, Math.min(powers.length - 1, Math.round(hertz / stepHz)));
    }

    /** Mean square between two frequencies; at least of the step that they lie in. */
    public double power(double fromHz, double toHz) {
        double sum = 0;
        for (int step = step(fromHz); step <= step(toHz); step++) {
            sum += powers[step];
        }
        return sum;
    }

    /** Power a hertz between two frequencies. */
    public double density(double fromHz, double toHz) {
        int steps = step(toHz) - step(fromHz) + 1;
        return power(fromHz, toHz) / (steps * stepHz);
    }

    /** The middle one of the powers between two frequencies: what lies there besides lines. */
    public double median(double fromHz, double toHz) {
        float[] between = Arrays.copyOfRange(powers, step(fromHz), step(toHz) + 1);
        Arrays.sort(between);
        return between[between.length / 2];
    }

    /**
     * How much alike all frequencies between two are: geometric mean over arithmetic mean.
     *
     * @return 0 dB for noise without colour (−2.5 dB where it is measured once), far below for tones
     */
    public Gain flatness(double fromHz, double toHz) {
        double logarithms = 0;
        double sum = 0;
        int from = step(fromHz);
        int to = step(toHz);
        for (int step = from; step <= to; step++) {
            logarithms += Math.log(Math.max(powers[step], Float.MIN_NORMAL));
            sum += powers[step];
        }
        int count = to - from + 1;
        return sum == 0 ? Gain.NONE : Gain.ofPowerRatio(Math.exp(logarithms / count) / (sum / count));
    }

    /** Where exactly the highest point near a step lies, by a parabola through the logarithms of three steps. */
    public double peakHz(int step) {
        if (step < 1 || step >= powers.length - 1) {
            return hertz(step);
        }
        double left = Math.log(Math.max(powers[step - 1], Float.MIN_NORMAL));
        double middle = Math.log(Math.max(powers[step], Float.MIN_NORMAL));
        double right = Math.log(Math.max(powers[step + 1], Float.MIN_NORMAL));
        double bend = left - 2 * middle + right;
        double shift = bend >= 0 ? 0 : Math.max(-0.5, Math.min(0.5, 0.5 * (left - right) / bend));
        return (step + shift) * stepHz;
    }
}
