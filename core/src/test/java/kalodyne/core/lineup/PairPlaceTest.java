package kalodyne.core.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two recordings of the same slow sine of 50 Hz, written down by formula: the other one began so much earlier and has its own clock. */
class PairPlaceTest {
    private static final double HERTZ = 50;

    @TempDir
    Path folder;

    private Path reference;

    private static double[] sine(double seconds, double lateSeconds, double drift, int rate) {
        double[] samples = new double[(int) (seconds * rate)];
        for (int i = 0; i < samples.length; i++) {
            double inReference = ((double) i / rate - lateSeconds) / (1 + drift);
            samples[i] = inReference < 0 ? 0 : 0.5 * Math.sin(2 * Math.PI * HERTZ * inReference);
        }
        return samples;
    }

    private Path write(String name, int rate, double[]... channels) throws IOException {
        WavBytes wav = WavBytes.floats(channels);
        wav.rate = rate;
        return wav.write(folder.resolve(name));
    }

    @BeforeEach
    void reference() throws IOException {
        reference = write("reference.wav", 8000, sine(10, 0, 0, 8000));
    }

    @ParameterizedTest
    @CsvSource({"0, 0, 8000", "1.25, 0, 8000", "-0.75, 0, 8000", "0.5, 1e-4, 8000", "0.5, 0, 11025", "2, -2e-4, 16000"})
    void the_other_lies_under_the_reference_by_its_clock(double late, double drift, int rate) throws IOException {
        ClockLine clock = new ClockLine(late, drift);
        Path other = write("other.wav", rate, sine(12, late, drift, rate));
        PairPlace place = PairPlace.read(reference, other, clock, 4, 2, done -> true);
        assertThat(place.fromSeconds()).isEqualTo(4);
        assertThat(place.seconds()).isEqualTo(2);
        assertThat(place.sampleRateHz()).isEqualTo(8000);
        float[][] one = place.reference();
        float[][] two = place.other(clock);
        assertThat(two[0]).hasSameSizeAs(one[0]);
        for (int i = 0; i < one[0].length; i += 7) {
            assertThat(two[0][i]).isCloseTo(one[0][i], within(0.002f));
            assertThat(two[1][i]).isEqualTo(two[0][i]);
        }
        // A quarter of a period later it is where the cosine is.
        float[][] moved = place.other(new ClockLine(late + 1 / (4 * HERTZ), drift));
        double inReference = 4 + 1000 / 8000.0;
        assertThat((double) moved[0][1000]).isCloseTo(0.5 * Math.cos(2 * Math.PI * HERTZ * inReference), within(0.002));
    }

    /** The other one begins five seconds later and stops early: where it does not reach there is silence. */
    @Test
    void where_it_does_not_reach_is_silence() throws IOException {
        double[] loud = new double[8000];
        java.util.Arrays.fill(loud, 0.25);
        Path other = write("other.wav", 8000, loud);
        PairPlace place = PairPlace.read(reference, other, new ClockLine(-5, 0), 4, 3, done -> true);
        float[] heard = place.other(new ClockLine(-5, 0))[0];
        assertThat(heard[4000]).isZero();
        assertThat(heard[12_000]).isCloseTo(0.25f, within(0.005f));
        assertThat(heard[20_000]).isZero();
        assertThat(PairPlace.peak(place.reference())).isCloseTo(0.5f, within(0.001f));
    }

    @Test
    void columns_hold_the_lowest_and_the_highest_of_both_channels() {
        float[][] samples = {{0, 1, -1, 0.5f, 0, 0, 0.2f, 0.4f}, {0, 0, -1, 0.5f, 0, 0, 0.4f, 0}};
        float[][] ends = PairPlace.columns(samples, 0, 8, 4);
        assertThat(ends[0]).containsExactly(0, -1, 0, 0.2f);
        assertThat(ends[1]).containsExactly(0.5f, 0.5f, 0, 0.3f);
        assertThat(PairPlace.columns(samples, 6, 14, 4)[1]).containsExactly(0.3f, 0, 0, 0);
    }

    @Test
    void it_can_be_stopped() throws IOException {
        Path other = write("other.wav", 8000, sine(12, 0, 0, 8000));
        assertThatThrownBy(() -> PairPlace.read(reference, other, new ClockLine(0, 0), 1, 2, done -> done < 0.6))
                .isInstanceOf(CancellationException.class)
                .hasMessageContaining("other.wav");
    }
}
