package kalodyne.core.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Where what was found is, in seconds: faults that were put into a tone by hand. */
class EvidenceTest {
    private static final int RATE = 48_000;

    @TempDir
    Path folder;

    private TakeReport read(double[]... channels) throws IOException {
        return TakeReader.read(WavBytes.integers(16, channels).write(folder.resolve("take.wav")), done -> true);
    }

    private static List<Evidence> of(TakeReport take) {
        return Evidence.of(take, take.findings());
    }

    /** Too loud in the second second only, in the right channel only: the places lie there. */
    @Test
    void clipping_is_where_it_was_too_loud() throws IOException {
        double[] good = Signals.sine(440, 0.4, 3 * RATE, RATE);
        double[] clipped = good.clone();
        for (int i = RATE; i < 2 * RATE; i++) {
            clipped[i] = 3 * good[i];
        }
        List<Evidence> evidence = of(read(good, clipped));
        assertThat(evidence).isNotEmpty().allSatisfy(each -> {
            assertThat(each.code()).isEqualTo(FindingCode.CLIP_DIGITAL);
            assertThat(each.channel()).isEqualTo(1);
            assertThat(each.fromSeconds()).isBetween(1.0, 2.0);
            assertThat(each.toSeconds()).isBetween(each.fromSeconds(), 2.001);
        });
        assertThat(evidence).isSortedAccordingTo((a, b) -> Double.compare(a.fromSeconds(), b.fromSeconds()));
        assertThat(evidence).doesNotHaveDuplicates();
    }

    /** A hole of 20 ms at 1.5 s. */
    @Test
    void a_hole_is_where_it_is() throws IOException {
        double[] samples = Signals.sine(440, 0.4, 3 * RATE, RATE);
        java.util.Arrays.fill(samples, 72_000, 72_960, 0);
        assertThat(of(read(samples)))
                .filteredOn(each -> each.code() == FindingCode.DROPOUT)
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.fromSeconds()).isCloseTo(1.5, within(0.005));
                    assertThat(each.toSeconds()).isCloseTo(1.52, within(0.005));
                });
    }

    /** What has no place, such as a take that is too quiet, has none; pauses are those of the channel. */
    @Test
    void what_is_everywhere_has_no_place() throws IOException {
        double[] quiet = Signals.sine(440, 0.01, RATE, RATE);
        TakeReport take = read(quiet);
        assertThat(take.findings()).isNotEmpty();
        assertThat(of(take)).isEmpty();
        double[] paused = Signals.sine(440, 0.4, 6 * RATE, RATE);
        java.util.Arrays.fill(paused, 2 * RATE, 4 * RATE, 0);
        java.util.Random random = new java.util.Random(4);
        for (int i = 0; i < paused.length; i++) {
            paused[i] += 1e-4 * random.nextGaussian();
        }
        List<Stretch> pauses = Evidence.pauses(read(paused).channels().get(0));
        assertThat(pauses).isNotEmpty().allSatisfy(pause -> {
            assertThat(pause.fromFrame()).isGreaterThanOrEqualTo(2 * RATE - RATE / 10);
            assertThat(pause.toFrame()).isLessThanOrEqualTo(4 * RATE + RATE / 10);
        });
    }
}
