package kalodyne.core.studio.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.Progress;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.FirstVerdict;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Takes that nobody read: three tones with their peaks where they were put, one recording that is gone. */
class UnreadTakesTest {
    private static final String BASS = "bass-synth.out>interface.adc-3";
    private static final int RATE = 48_000;

    @TempDir
    Path folder;

    private Studio studio;
    private Setup setup;

    @BeforeEach
    void record() throws IOException {
        List<Take> takes = new ArrayList<>();
        double[] peaks = {0.5, 0.1, 0.02};
        for (int i = 0; i < peaks.length; i++) {
            String file = i + ".wav";
            WavBytes.integers(24, Signals.sine(220, peaks[i], RATE, RATE)).write(folder.resolve(file));
            takes.add(take("Take " + i, file));
        }
        takes.add(take("Gone", "gone.wav"));
        takes.add(take("Judged", "0.wav")
                .with(new FirstVerdict(
                        java.util.OptionalDouble.of(-3), java.util.OptionalDouble.empty(), "Fine.", List.of())));
        Studio empty = Boathouse.studio();
        setup = empty.setups().get(0).withTakes(takes);
        studio = empty.with(setup);
    }

    private static Take take(String name, String file) {
        return new Take(name, BASS, file, Instant.parse("2026-03-01T12:00:00Z"), Map.of());
    }

    private UnreadTakes read(Progress progress) {
        return UnreadTakes.read(studio, List.of(setup), folder, progress);
    }

    /** −6.02, −20 and −33.98 dBFS by hand; what was judged already is left alone, what is gone is counted. */
    @Test
    void each_is_read_and_judged_once() {
        UnreadTakes read = read(Progress.NONE);
        assertThat(read.count()).isEqualTo(3);
        assertThat(read.unreadable()).isEqualTo(1);
        Studio kept = read.keptIn(studio);
        List<Take> takes = kept.setups().get(0).takes();
        double[] peaks = takes.stream()
                .filter(take -> take.name().startsWith("Take"))
                .mapToDouble(take -> take.judged().orElseThrow().peakDbfs().orElseThrow())
                .toArray();
        assertThat(peaks).containsExactly(new double[] {-6.02, -20, -33.98}, org.assertj.core.data.Offset.offset(0.01));
        assertThat(takes.get(3).judged()).isEmpty();
        assertThat(takes.get(4)).isEqualTo(setup.takes().get(4));
        assertThat(UnreadTakes.read(kept, kept.setups(), folder, Progress.NONE).count())
                .isZero();
    }

    /** An edit meanwhile stays: only takes that are still as they were get what was found. */
    @Test
    void what_was_edited_meanwhile_stays() {
        UnreadTakes read = read(Progress.NONE);
        Take noted = setup.takes().get(1).withNote("truck");
        Studio edited = studio.with(setup.replacing(setup.takes().get(1), noted)
                .without(setup.takes().get(0)));
        List<Take> takes = read.keptIn(edited).setups().get(0).takes();
        assertThat(takes).contains(noted).noneMatch(take -> take.name().equals("Take 0"));
        assertThat(takes.stream().filter(take -> take.name().equals("Take 2")))
                .allMatch(take -> take.judged().isPresent());
        assertThat(read.keptIn(studio.withSetups(List.of())).setups()).isEmpty();
    }

    /** Where it is stopped in the second take the first one is kept. */
    @Test
    void what_was_read_before_it_was_stopped_is_kept() {
        List<Double> reported = new ArrayList<>();
        UnreadTakes read = read(done -> {
            reported.add(done);
            return done < 0.3;
        });
        assertThat(read.count()).isEqualTo(1);
        assertThat(reported).isSorted().allMatch(done -> done >= 0 && done <= 1);
    }
}
