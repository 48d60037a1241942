package kalodyne.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.Stream;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SoundFilesTest {
    @TempDir
    Path folder;

    private static final double[] LEFT = Signals.sine(997, 0.9, 150_000, 48_000);
    private static final double[] RIGHT = Signals.sine(311, 0.25, 150_000, 48_000);

    @ParameterizedTest
    @CsvSource({"8, false", "16, false", "24, false", "32, false", "16, true", "24, true", "32, true"})
    void reads_integers_exactly_to_their_bits(int bits, boolean extensible) throws IOException {
        WavBytes wav = WavBytes.integers(bits, LEFT, RIGHT);
        wav.isExtensible = extensible;
        wav.chunkBefore = new byte[] {'L', 'I', 'S', 'T', 3, 0, 0, 0, 'a', 'b', 'c', 0};
        requireSamples(wav.write(folder.resolve("a.wav")), Math.pow(2, -bits) * 1.01 + 6e-8);
    }

    @ParameterizedTest
    @CsvSource({"false", "true"})
    void reads_floats(boolean extensible) throws IOException {
        WavBytes wav = WavBytes.floats(LEFT, RIGHT);
        wav.isExtensible = extensible;
        requireSamples(wav.write(folder.resolve("a.wav")), 6e-8);
    }

    private static void requireSamples(Path file, double tolerance) throws IOException {
        try (SoundStream stream = SoundFiles.open(file)) {
            assertThat(stream.header().channels()).isEqualTo(2);
            assertThat(stream.header().sampleRateHz()).isEqualTo(48_000);
            assertThat(stream.header().frames()).isEqualTo(LEFT.length);
            assertThat(stream.header().fault()).isEmpty();
            int at = 0;
            double worst = 0;
            for (int count = stream.next(); count > 0; count = stream.next()) {
                for (int i = 0; i < count; i++, at++) {
                    worst = Math.max(worst, Math.abs(stream.samples()[0][i] - LEFT[at]));
                    worst = Math.max(worst, Math.abs(stream.samples()[1][i] - RIGHT[at]));
                }
            }
            assertThat(worst).isLessThan(tolerance);
            assertThat(at).isEqualTo(LEFT.length);
        }
    }

    /** Each way in which a head can be wrong: what the message must name. */
    static Stream<Arguments> unreadable() {
        return Stream.of(
                wrong("no channels", wav -> wav.channels = 0, "byte 22: It says that it has 0 channels."),
                wrong("no rate", wav -> wav.rate = 0, "byte 24: It says that its sample rate is 0 Hz."),
                wrong("negative rate", wav -> wav.rate = -1, "byte 24: It says that its sample rate is 4294967295 Hz."),
                wrong("unknown encoding", wav -> wav.tag = 85, "byte 20: Its samples are in encoding 85"),
                wrong("no bits", wav -> wav.bits = 0, "byte 34: Samples of 0 bits are not read."),
                wrong(
                        "frame size",
                        wav -> wav.frameBytes = 3,
                        "byte 32: It says that 1 samples of 16 bits take 3 bytes."));
    }

    private static Arguments wrong(String name, Consumer<WavBytes> spoil, String message) {
        WavBytes wav = WavBytes.integers(16, Signals.sine(100, 0.5, 500, 48_000));
        spoil.accept(wav);
        return Arguments.of(name, wav.bytes(), message);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("unreadable")
    void names_file_place_and_remedy(String name, byte[] bytes, String message) throws IOException {
        Path file = Files.write(folder.resolve("odd.wav"), bytes);
        assertThatThrownBy(() -> SoundFiles.open(file))
                .isInstanceOf(UnreadableSound.class)
                .hasMessageContaining(file.toString())
                .hasMessageContaining(message)
                .hasMessageContaining("Export it again");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            0  | The file is empty. Copy it again
            5  | too short to be a WAV
            16 | ends before its samples begin and before it says what they are
            20 | ends in the middle of its description
            30 | ends in the middle of its description
            40 | ends before its samples begin.
            """)
    void says_where_a_head_is_cut_off(int length, String message) throws IOException {
        byte[] whole = WavBytes.integers(16, LEFT).bytes();
        Path file = Files.write(folder.resolve("cut.wav"), Arrays.copyOf(whole, length));
        assertThatThrownBy(() -> SoundFiles.open(file))
                .isInstanceOf(UnreadableSound.class)
                .hasMessageContaining(message);
    }

    @Test
    void says_what_is_no_wav_at_all() throws IOException {
        Path text = Files.writeString(folder.resolve("notes.wav"), "Dear diary, today we recorded the accordion.");
        assertThatThrownBy(() -> SoundFiles.open(text))
                .hasMessageContaining("This is not a sound file that can be read. Choose a WAV");
        assertThatThrownBy(() -> SoundFiles.open(folder))
                .hasMessageContaining("This is a folder. Choose a file inside it.");
        assertThatThrownBy(() -> SoundFiles.open(folder.resolve("gone.wav")))
                .isInstanceOf(UnreadableSound.class)
                .hasMessageContaining("There is no such file.");
    }

    /** What is there is read all the same; the fault is told. */
    @Test
    void reads_what_there_is_of_a_file_that_is_not_as_long_as_it_says() throws IOException {
        byte[] whole = WavBytes.integers(16, LEFT).bytes();
        Path cut = Files.write(folder.resolve("cut.wav"), Arrays.copyOf(whole, 44 + 2 * 48_000 + 1));
        try (SoundStream stream = SoundFiles.open(cut)) {
            assertThat(stream.header().frames()).isEqualTo(48_000);
            assertThat(stream.header().fault().orElseThrow())
                    .returns("byte 40", SoundHeader.SizeFault::place)
                    .returns(
                            "The file is cut short: 0:02.1 of what it promises is not there.",
                            SoundHeader.SizeFault::problem);
        }
        WavBytes powerCut = WavBytes.integers(16, LEFT);
        powerCut.statedDataSize = 0;
        try (SoundStream stream = SoundFiles.open(powerCut.write(folder.resolve("zero.wav")))) {
            assertThat(stream.header().frames()).isEqualTo(LEFT.length);
            assertThat(stream.header().fault().orElseThrow().samplesMissing()).isTrue();
        }
        WavBytes outer = WavBytes.integers(16, LEFT);
        outer.statedRiffSize = 0;
        try (SoundStream stream = SoundFiles.open(outer.write(folder.resolve("riff.wav")))) {
            assertThat(stream.header().fault().orElseThrow().samplesMissing()).isFalse();
        }
    }

    @ParameterizedTest
    @CsvSource({"0xFFFFFFFF", "0x7FFFF000", "0x7FFFEFF4"})
    void takes_the_size_of_a_streamed_file_as_unknown(String size) throws IOException {
        WavBytes streamed = WavBytes.integers(16, LEFT);
        streamed.statedDataSize = Long.decode(size);
        streamed.statedRiffSize = Long.decode(size);
        try (SoundStream stream = SoundFiles.open(streamed.write(folder.resolve("s.wav")))) {
            assertThat(stream.header().frames()).isEqualTo(LEFT.length);
            assertThat(stream.header().fault()).isEmpty();
        }
    }

    /** Whatever bytes there are: samples, or an UnreadableSound; nothing else, and no memory for what is not there. */
    @Test
    void survives_any_bytes() throws IOException {
        Random random = new Random(5);
        byte[] whole =
                WavBytes.integers(24, Signals.sine(100, 0.5, 300, 48_000)).bytes();
        for (int i = 0; i < 600; i++) {
            byte[] spoiled = Arrays.copyOf(whole, random.nextInt(3) == 0 ? random.nextInt(whole.length) : whole.length);
            for (int n = random.nextInt(6); n >= 0 && spoiled.length > 0; n--) {
                spoiled[random.nextInt(Math.min(60, spoiled.length))] = (byte) random.nextInt();
            }
            Path file = Files.write(folder.resolve("any.wav"), spoiled);
            assertThatCode(() -> {
                        try (SoundStream stream = SoundFiles.open(file)) {
                            while (stream.next() > 0) {
                                assertThat(stream.samples()[0]).isNotEmpty();
                            }
                        } catch (UnreadableSound expected) {
                            assertThat(expected.remedy()).endsWith(".");
                        }
                    })
                    .doesNotThrowAnyException();
        }
    }

    @Test
    void writes_what_it_reads() throws IOException {
        float[] samples = {0, 0.5f, -1, 1, -0.25f};
        Path file = folder.resolve("out.wav");
        WavWriter.writeMono(file, samples, 44_100);
        try (SoundStream stream = SoundFiles.open(file)) {
            assertThat(stream.next()).isEqualTo(5);
            assertThat(Arrays.copyOf(stream.samples()[0], 5)).containsExactly(0, 0.5f, -1, 1 - 0x1p-23f, -0.25f);
        }
        assertThat(folder.toFile().list()).containsExactly("out.wav");
    }
}
