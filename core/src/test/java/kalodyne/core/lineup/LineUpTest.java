package kalodyne.core.lineup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.testing.Tool;
import kalodyne.core.testing.pairs.Pair;
import kalodyne.core.testing.pairs.Pairs;
import kalodyne.core.testing.pairs.Pairs.Kind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Pairs that are written down by formula, so that their offset and drift are known to a small part of a sample. */
class LineUpTest {
    private static final double SECONDS = 7;
    private static final int EACH = 2;

    @TempDir
    Path folder;

    /** Hears nothing, keeps the first guess. */
    private static final class Patient implements LineUp.Listener {
        private final List<ClockLine> guesses = new ArrayList<>();

        @Override
        public boolean report(double done) {
            assertThat(done).isBetween(0.0, 1.0);
            return true;
        }

        @Override
        public void guessed(ClockLine guess) {
            guesses.add(guess);
        }
    }

    private LineUp.Result lineUp(Pair pair) throws IOException {
        LineUp.Result result = LineUp.of(pair.reference(), pair.other(), new Patient());
        Files.delete(pair.reference());
        Files.delete(pair.other());
        return result;
    }

    /** The clock of a pair is told within 0.1 ms and, of 7 s, within what 0.1 ms makes over them; and no surer than it is. */
    @ParameterizedTest
    @EnumSource(
            value = Kind.class,
            names = {"ANOTHER_SONG", "ANOTHER_PERFORMANCE", "SILENT", "ONLY_NOISE", "LOOP"},
            mode = EnumSource.Mode.EXCLUDE)
    void what_belongs_together_is_lined_up(Kind kind) throws IOException {
        for (int seed = 1; seed <= EACH; seed++) {
            Pair pair = Pairs.make(kind, SECONDS, seed, folder);
            LineUp.Result result = lineUp(pair);
            assertThat(result.reason()).as(pair.name()).isEmpty();
            Alignment found = result.alignment().orElseThrow();
            double offset = found.offsetSeconds() - pair.truth().offsetSeconds();
            double drift = found.driftPpm() - 1e6 * pair.truth().drift();
            assertThat(offset).as(pair.name()).isCloseTo(0, within(1e-4));
            assertThat(Math.abs(offset)).as(pair.name()).isLessThan(2 * found.offsetUncertaintySeconds());
            assertThat(Math.abs(drift)).as(pair.name()).isLessThan(2 * found.driftUncertaintyPpm());
            assertThat(found.driftUncertaintyPpm()).isLessThan(kind == Kind.ONE_SECOND ? 60 : 30);
            assertThat(found.isInverted()).as(pair.name()).isEqualTo(pair.isInverted());
            assertThat(found.confidence()).as(pair.name()).isBetween(0.7, 1.0);
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Kind.class,
            names = {"ANOTHER_SONG", "ANOTHER_PERFORMANCE", "SILENT", "ONLY_NOISE"})
    void what_does_not_belong_together_is_told_so(Kind kind) throws IOException {
        for (int seed = 1; seed <= EACH; seed++) {
            Pair pair = Pairs.make(kind, SECONDS, seed, folder);
            LineUp.Result result = lineUp(pair);
            assertThat(result.belongTogether()).as(pair.name()).isFalse();
            assertThat(result.alignment()).as(pair.name()).isEmpty();
            assertThat(result.reason()).matches(kind == Kind.SILENT ? ".*silent.*" : ".*nothing in common.*");
        }
    }

    /** A bar of two seconds, the same to the bit: every place is a whole number of bars from the true one. */
    @Test
    void a_loop_fits_at_many_places_and_all_are_told() throws IOException {
        Pair pair = Pairs.make(Kind.LOOP, 30, 1, folder);
        LineUp.Result result = lineUp(pair);
        assertThat(result.belongTogether()).isFalse();
        assertThat(result.places()).hasSizeGreaterThan(3);
        assertThat(result.places()).allSatisfy(place -> {
            double bars = (place - pair.truth().offsetSeconds())
                    / (2 * (1 + pair.truth().drift()));
            assertThat(bars).isCloseTo(Math.rint(bars), within(1e-3));
        });
    }

    /** Five minutes of music, another microphone, a room 10 dB below. */
    @Test
    void five_minutes_are_told_within_a_tenth_of_a_millisecond_and_half_a_ppm() throws IOException {
        Pair pair = Pairs.make(Kind.NOISE, 300, 9, folder);
        Patient patient = new Patient();
        LineUp.Result result = LineUp.of(pair.reference(), pair.other(), patient);
        Alignment found = result.alignment().orElseThrow();
        assertThat(found.offsetSeconds()).isCloseTo(pair.truth().offsetSeconds(), within(1e-5));
        assertThat(found.driftPpm()).isCloseTo(1e6 * pair.truth().drift(), within(0.05));
        assertThat(found.driftUncertaintyPpm()).isLessThan(0.1);
        assertThat(patient.guesses)
                .singleElement()
                .satisfies(guess ->
                        assertThat(guess.offsetSeconds()).isCloseTo(pair.truth().offsetSeconds(), within(0.02)));
        assertThat(LineUpWords.sentence(found))
                .matches("The other recording begins \\d+\\.\\d{3} s (before|after) the reference\\. "
                        + "Its clock ran \\d+\\.\\d\\d? ppm (fast|slow): \\d+ ms an hour\\.");
    }

    /** SoX cuts off 1.5 s and resamples by 35 ppm: a moment at t is then at (t − 1.5) / 1.000035. */
    @Test
    void agrees_with_sox() throws IOException, InterruptedException {
        Path reference = folder.resolve("reference.wav");
        Path other = folder.resolve("other.wav");
        Tool.run(
                "sox",
                "-R",
                "-n",
                "-r",
                "48000",
                "-b",
                "24",
                reference.toString(),
                "synth",
                "20",
                "pinknoise",
                "gain",
                "-6");
        Tool.run(
                "sox",
                reference.toString(),
                other.toString(),
                "trim",
                "1.5",
                "speed",
                "1.000035",
                "rate",
                "-v",
                "48000");
        Alignment found = LineUp.of(reference, other, new Patient()).alignment().orElseThrow();
        assertThat(found.offsetSeconds()).isCloseTo(-1.5 / 1.000035, within(2e-6));
        assertThat(found.driftPpm()).isCloseTo(1e6 * (1 / 1.000035 - 1), within(0.1));
    }

    @Test
    void what_is_too_short_is_told() throws IOException {
        Pair pair = Pairs.make(Kind.PLAIN, 5, 3, folder);
        Path click = folder.resolve("click.wav");
        Pair.write(click, 48_000, List.of(new float[4800]));
        assertThat(LineUp.of(pair.reference(), click, new Patient()).reason())
                .isEqualTo("The other recording is too short: 0.10 s. Half a second is the least.");
    }

    /** Where one vanishes, the other is not read to its end for nothing; stopping stops. */
    @Test
    void what_cannot_be_read_is_complained_of_and_stopping_stops() throws IOException {
        Pair pair = Pairs.make(Kind.PLAIN, 5, 1, folder);
        Path gone = folder.resolve("gone.wav");
        assertThatThrownBy(() -> LineUp.of(pair.reference(), gone, new Patient()))
                .isInstanceOf(UnreadableSound.class)
                .hasMessageContaining("There is no such file.");
        assertThatThrownBy(() -> LineUp.of(gone, pair.other(), new Patient())).isInstanceOf(UnreadableSound.class);
        assertThatThrownBy(() -> LineUp.of(pair.reference(), pair.other(), new LineUp.Listener() {
                    @Override
                    public boolean report(double done) {
                        return done < 0.3;
                    }

                    @Override
                    public void guessed(ClockLine guess) {
                        // Not asked for.
                    }
                }))
                .isInstanceOf(CancellationException.class);
    }

    // --- the copy ----------------------------------------------------------------------------------------------

    /** What is left when the sine that it should be is taken away, against it: all below −110 dB. */
    @ParameterizedTest
    @CsvSource({
        "48000, 48000, 35e-6, 0.0123, 997",
        "48000, 48000, -120e-6, -0.5, 17000",
        "44100, 44100, 35e-6, 0.3, 20000",
        "44100, 44100, 1000e-6, 0.3, 19000",
        "44100, 48000, 50e-6, 0.1, 15000",
        "48000, 44100, -50e-6, 0.1, 18000",
        "96000, 48000, 0, 0.00001, 20000",
        "48000, 48000, 0, 0.25, 5000"
    })
    void a_copy_is_the_sine_that_it_should_be(int from, int to, double drift, double offset, double hertz)
            throws IOException {
        ClockLine clock = new ClockLine(offset, drift);
        int frames = 3 * from;
        float[] sine = new float[frames];
        for (int i = 0; i < frames; i++) {
            sine[i] = (float) (0.5 * Math.sin(2 * Math.PI * hertz * i / from));
        }
        Path file = folder.resolve("sine.wav");
        Pair.write(file, from, List.of(sine, sine));
        double error = 0;
        double power = 0;
        long at = 0;
        try (SoundStream copy = new ClockedStream(SoundFiles.open(file), clock, to, 3)) {
            for (int count = copy.next(); count > 0; count = copy.next()) {
                for (int i = 0; i < count; i++, at++) {
                    double moment = clock.inOther((double) at / to);
                    double expected = 0.5 * Math.sin(2 * Math.PI * hertz * moment);
                    if (moment > 0.02 && moment < 2.98) {
                        power += expected * expected;
                        error += Math.pow(copy.samples()[1][i] - expected, 2);
                    }
                    if (moment < -0.01 || moment > 3.01) {
                        assertThat(copy.samples()[0][i]).isZero();
                    }
                }
            }
        }
        assertThat(at).isEqualTo(3L * to);
        assertThat(10 * Math.log10(error / power)).isLessThan(-110);
    }

    /** The same stretch whether all is read, or only it. */
    @Test
    void a_copy_can_be_read_from_the_middle() throws IOException {
        Pair pair = Pairs.make(Kind.PLAIN, 6, 2, folder);
        Optional<float[]> whole = Optional.empty();
        for (long from : new long[] {0, 100_000}) {
            try (SoundStream copy = new ClockedStream(SoundFiles.open(pair.other()), pair.truth(), 48_000, 6)) {
                float[] all = new float[288_000];
                copy.skipTo(from);
                int at = (int) from;
                for (int count = copy.next(); count > 0; count = copy.next()) {
                    System.arraycopy(copy.samples()[0], 0, all, at, count);
                    at += count;
                }
                assertThat(at).isEqualTo(288_000);
                for (int i = 100_000; whole.isPresent() && i < at; i++) {
                    assertThat(all[i]).isCloseTo(whole.get()[i], within(1e-6f));
                }
                whole = Optional.of(all);
            }
        }
    }
}
