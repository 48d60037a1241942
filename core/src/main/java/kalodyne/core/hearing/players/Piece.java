package kalodyne.core.hearing.players;

import java.util.Arrays;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;

/** A piece while it is put together from sounds that begin at a time. What rings beyond its end goes on at its beginning. */
final class Piece {
    private static final int TABLE = 8192;

    /** One period. */
    private static final double[] SINE = sine();

    private final double rate;
    private final double dynamics;
    private final double[] samples;
    private final Random random = new Random(11);

    Piece(int sampleRateHz, double seconds, double dynamics) {
        this.rate = sampleRateHz;
        this.dynamics = dynamics;
        samples = new double[(int) (seconds * sampleRateHz)];
    }

    /**
     * Adds a sound.
     *
     * @param size from 0 to 1; bent by the dynamics
     * @param sound by the seconds since it began
     */
    void add(double atSeconds, double seconds, double size, DoubleUnaryOperator sound) {
        double bent = Math.pow(size, dynamics);
        int from = (int) (atSeconds * rate);
        for (int i = 0; i < seconds * rate; i++) {
            samples[(from + i) % samples.length] += bent * sound.applyAsDouble(i / rate);
        }
    }

    double noise() {
        return random.nextGaussian();
    }

    /**
     * A steady tone: harmonics up to a frequency, each softer than the one before by a power of its number.
     *
     * @return by seconds; looked up in one period, which takes a thousandth of the time of adding them up each time
     */
    static DoubleUnaryOperator tone(double hertz, double upToHz, double slope) {
        double[] period = new double[TABLE];
        for (int n = 1; n * hertz < upToHz; n++) {
            double size = Math.pow(n, -slope);
            for (int i = 0; i < TABLE; i++) {
                period[i] += size * SINE[n * i % TABLE];
            }
        }
        return seconds -> {
            double at = (hertz * seconds - Math.floor(hertz * seconds)) * TABLE;
            int from = (int) at % TABLE;
            double share = at - Math.floor(at);
            return period[from] * (1 - share) + period[(from + 1) % TABLE] * share;
        };
    }

    private static double[] sine() {
        double[] sine = new double[TABLE];
        Arrays.setAll(sine, i -> Math.sin(2 * Math.PI * i / TABLE));
        return sine;
    }

    /** Rises, stays and falls: 0 at both ends. */
    static double swell(double t, double rise, double seconds, double fall) {
        return Math.max(0, Math.min(1, Math.min(t / rise, (seconds - t) / fall)));
    }

    static double hertz(int semitonesOverA) {
        return 55 * Math.pow(2, semitonesOverA / 12.0);
    }

    /** A resonance, in place: a body, a vowel. */
    Piece resonating(double hertz, double bandwidth, double share) {
        double r = Math.exp(-Math.PI * bandwidth / rate);
        double a1 = -2 * r * Math.cos(2 * Math.PI * hertz / rate);
        double a2 = r * r;
        double before = 0;
        double twoBefore = 0;
        for (int i = 0; i < samples.length; i++) {
            double y = (1 - r) * samples[i] - a1 * before - a2 * twoBefore;
            twoBefore = before;
            before = y;
            samples[i] = (1 - share) * samples[i] + share * y;
        }
        return this;
    }

    double[] samples() {
        return samples;
    }
}
