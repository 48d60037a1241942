package kalodyne.core.sound.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.IntToDoubleFunction;
import kalodyne.core.units.Gain;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two channels whose relation can be worked out on paper. */
class PairFormsTest {
    private static final int RATE = 48_000;

    private static float[] made(double seconds, IntToDoubleFunction sample) {
        float[] samples = new float[(int) Math.round(seconds * RATE)];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) sample.applyAsDouble(i);
        }
        return samples;
    }

    private static double sine(double hertz, double peakDb, int frame) {
        return new Gain(peakDb).ratio() * Math.sin(2 * Math.PI * hertz * frame / RATE);
    }

    /** What a pair becomes in mono: twice the voltage where both are alike, nothing where one is upside down. */
    @ParameterizedTest(name = "left {0}, right {1}")
    @CsvSource({
        "1, 1, 1, 3.01, 0",
        "1, -1, -1, -Infinity, 0",
        "1, 0.5, 1, 2.55, 6.02",
        "1, 0, 0, 0, Infinity",
        "0, 0, 0, 0, 0",
        "0.5, -0.25, -1, -6.99, 6.02"
    })
    void two_channels_that_are_one_sound(double left, double right, double correlation, double mono, double balance) {
        float[] one = made(1, i -> left * sine(1_000, -6, i));
        float[] other = made(1, i -> right * sine(1_000, -6, i));
        Pair pair = pair(one, other);
        assertThat(pair.correlation()).isCloseTo(correlation, within(1e-6));
        assertThat(pair.heardCorrelation()).isCloseTo(correlation, within(1e-6));
        assertThat(pair.monoLoss().db()).isCloseTo(mono, within(mono < -100 ? 0 : 0.01));
        assertThat(pair.balance().db()).isCloseTo(balance, within(Double.isInfinite(balance) ? 0 : 0.01));
        assertThat(pair.difference()).isCloseTo(Math.abs(left - right) * new Gain(-6).ratio(), within(0.001));
    }

    /** A quarter of a period apart nothing correlates; a third of one, cos 120° does. */
    @ParameterizedTest
    @CsvSource({"12, 0", "16, -0.5", "8, 0.5", "24, -1"})
    void a_delay_correlates_as_the_cosine_of_its_angle(int frames, double correlation) {
        float[] one = made(1, i -> sine(1_000, -6, i));
        float[] other = made(1, i -> sine(1_000, -6, i - frames));
        assertThat(pair(one, other).correlation()).isCloseTo(correlation, within(0.001));
    }

    private static Pair pair(float[] left, float[] right) {
        double[] leftWeighted = new double[left.length];
        double[] rightWeighted = new double[right.length];
        new KWeighting(RATE).filter(left, leftWeighted, left.length);
        new KWeighting(RATE).filter(right, rightWeighted, right.length);
        PairMeter meter = new PairMeter();
        meter.accept(left, right, leftWeighted, rightWeighted, left.length);
        return meter.pair();
    }
}
