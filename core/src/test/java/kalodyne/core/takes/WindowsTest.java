package kalodyne.core.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import kalodyne.core.files.Progress;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Parts of a take for drawing: a second of 1 kHz, a second of silence, a second of 5 kHz at a tenth of its size. */
class WindowsTest {
    private static final int RATE = 48_000;

    @TempDir
    Path folder;

    private Path file;
    private double[] samples;

    @BeforeEach
    void write() throws IOException {
        samples = new double[3 * RATE];
        System.arraycopy(Signals.sine(1000, 0.5, RATE, RATE), 0, samples, 0, RATE);
        System.arraycopy(Signals.sine(5000, 0.05, RATE, RATE), 0, samples, 2 * RATE, RATE);
        file = WavBytes.integers(24, samples).write(folder.resolve("take.wav"));
    }

    @Test
    void a_column_holds_the_ends_of_its_samples() throws IOException {
        WaveWindow window = WaveWindow.read(file, RATE, RATE / 2, 5L * RATE / 2, 200, Progress.NONE);
        assertThat(window.columns()).isEqualTo(200);
        assertThat(window.isSamples()).isFalse();
        assertThat(window.highest(0, 0)).isCloseTo(0.5f, within(0.001f));
        assertThat(window.lowest(0, 49)).isCloseTo(-0.5f, within(0.001f));
        assertThat(window.highest(0, 100)).isZero();
        assertThat(window.highest(0, 199)).isCloseTo(0.05f, within(0.001f));
    }

    @Test
    void close_up_it_is_the_samples_themselves() throws IOException {
        WaveWindow window = WaveWindow.read(file, RATE, 101, 141, 800, Progress.NONE);
        assertThat(window.isSamples()).isTrue();
        for (int i = 0; i < 40; i++) {
            assertThat(window.lowest(0, i)).isCloseTo((float) samples[101 + i], within(1e-6f));
        }
    }

    @Test
    void a_spectrum_over_time_shows_what_sounds_when() throws IOException {
        SpectrumOverTime over = SpectrumOverTime.read(file, RATE, 0, 3L * RATE, 30, Progress.NONE);
        assertThat(loudestHertz(over, 4)).isCloseTo(1000, within(60.0));
        assertThat(loudestHertz(over, 25)).isCloseTo(5000, within(300.0));
        // A tone near the edge of a band lies partly in the next one.
        assertThat(over.decibels(4, band(1000))).isCloseTo(-9, within(2.5f));
        assertThat(over.decibels(25, band(5000))).isCloseTo(-29, within(2.5f));
        assertThat(over.decibels(15, band(1000))).isLessThan(-100);
    }

    private static int band(double hertz) {
        return (int) (SpectrumOverTime.BANDS * Math.log(hertz / 20) / Math.log(1000));
    }

    private static double loudestHertz(SpectrumOverTime over, int column) {
        int loudest = 0;
        for (int band = 0; band < SpectrumOverTime.BANDS; band++) {
            loudest = over.decibels(column, band) > over.decibels(column, loudest) ? band : loudest;
        }
        return 20 * Math.pow(1000, (loudest + 0.5) / SpectrumOverTime.BANDS);
    }

    @Test
    void drawing_can_be_stopped() {
        assertThatThrownBy(() -> WaveWindow.read(file, RATE, 0, 3L * RATE, 100, done -> false))
                .isInstanceOf(CancellationException.class);
    }
}
