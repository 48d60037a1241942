package kalodyne.core.testing.corpus;

import java.util.Random;

/** A phrase that is being made: a line of samples to add notes to, with what notes are made of. */
final class Phrase {
    static final int RATE = 48_000;
    private static final int TABLE = 1 << 15;
    private static final double[] SINE = sineTable();

    final double[] samples;
    final Random random;

    Phrase(double seconds, Random random) {
        this.samples = new double[(int) (seconds * RATE)];
        this.random = random;
    }

    double seconds() {
        return (double) samples.length / RATE;
    }

    /** One sample of a note, from its own start on. */
    @FunctionalInterface
    interface Voice {
        double at(double seconds);
    }

    /** Adds a note. */
    void add(double from, double length, Voice voice) {
        int first = (int) (from * RATE);
        int count = (int) Math.min(length * RATE, samples.length - (double) first);
        for (int i = 0; i < count; i++) {
            samples[first + i] += voice.at((double) i / RATE);
        }
    }

    double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    int oneOf(int... choices) {
        return choices[random.nextInt(choices.length)];
    }

    /** Equal temperament; 69 is 440 Hz. */
    static double hertz(double note) {
        return 440 * Math.pow(2, (note - 69) / 12);
    }

    /** Out of a table, right to −170 dB: notes are made of a great many of them. */
    static double sine(double cycles) {
        double at = (cycles - Math.floor(cycles)) * TABLE;
        int before = (int) at;
        return SINE[before] + (at - before) * (SINE[before + 1] - SINE[before]);
    }

    private static double[] sineTable() {
        double[] table = new double[TABLE + 2];
        for (int i = 0; i < table.length; i++) {
            table[i] = Math.sin(2 * Math.PI * i / TABLE);
        }
        return table;
    }

    /**
     * A saw of so many partials that none lies above half the rate.
     *
     * @param most how many at the most; a fraction is how loud the highest one is, so that it can change without a jump
     */
    static double saw(double hertz, double seconds, double most) {
        double sum = 0;
        int partials = (int) Math.min(most + 1, 20_000 / hertz);
        double cycles = hertz * seconds;
        double twice = 2 * sine(cycles + 0.25);
        double before = 0;
        double sine = sine(cycles);
        // sin kx = 2 cos x · sin (k − 1)x − sin (k − 2)x
        for (int k = 1; k <= partials; k++) {
            sum += Math.min(1, most + 1 - k) * sine / k;
            double next = twice * sine - before;
            before = sine;
            sine = next;
        }
        return 2 / Math.PI * sum;
    }

    static double square(double hertz, double seconds, double most) {
        double sum = 0;
        int partials = (int) Math.min(most + 2, 20_000 / hertz);
        double cycles = hertz * seconds;
        double twice = 2 * sine(2 * cycles + 0.25);
        double before = -sine(cycles);
        double sine = -before;
        // The same in steps of two.
        for (int k = 1; k <= partials; k += 2) {
            sum += Math.min(1, (most + 2 - k) / 2) * sine / k;
            double next = twice * sine - before;
            before = sine;
            sine = next;
        }
        return 4 / Math.PI * sum;
    }

    /** Rises in some time and dies away; then, at its end, fades in 5 ms. */
    static double envelope(double t, double attack, double decay, double length) {
        double rise = Math.min(1, t / attack);
        double end = Math.min(1, Math.max(0, (length - t) / 0.005));
        return rise * Math.exp(-t / decay) * end;
    }

    /** Low-pass of one pole, in place. */
    static double[] lowPass(double[] samples, double hertz) {
        double share = 1 - Math.exp(-2 * Math.PI * hertz / RATE);
        double state = 0;
        for (int i = 0; i < samples.length; i++) {
            state += share * (samples[i] - state);
            samples[i] = state;
        }
        return samples;
    }

    /** High-pass of one pole, in place. */
    static double[] highPass(double[] samples, double hertz) {
        double share = 1 - Math.exp(-2 * Math.PI * hertz / RATE);
        double state = 0;
        for (int i = 0; i < samples.length; i++) {
            state += share * (samples[i] - state);
            samples[i] -= state;
        }
        return samples;
    }

    /** A resonance, in place. */
    static double[] resonate(double[] samples, double hertz, double bandwidth, double share) {
        double r = Math.exp(-Math.PI * bandwidth / RATE);
        double a1 = -2 * r * Math.cos(2 * Math.PI * hertz / RATE);
        double a2 = r * r;
        double gain = (1 - r) * share;
        double y1 = 0;
        double y2 = 0;
        for (int i = 0; i < samples.length; i++) {
            double y = gain * samples[i] - a1 * y1 - a2 * y2;
            y2 = y1;
            y1 = y;
            samples[i] = (1 - share) * samples[i] + y;
        }
        return samples;
    }
}
