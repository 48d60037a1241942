package kalodyne.core.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import kalodyne.core.files.Progress;
import kalodyne.core.findings.Finding;
import kalodyne.core.sound.UnreadableSound;
import kalodyne.core.testing.Tool;
import kalodyne.core.testing.WavBytes;
import kalodyne.core.units.DigitalLevel;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of every kind, made by ffmpeg 5.1, measured by it, and by us. */
class FormatsTest {
    @TempDir
    Path folder;

    private static final String MUSIC =
            "sine=220:d=3:r=44100,tremolo=f=2:d=0.7,volume=-4dB,aformat=channel_layouts=stereo";

    private Path make(String name, String... options) throws Exception {
        Path file = folder.resolve(name);
        List<String> command = new ArrayList<>(List.of("ffmpeg", "-v", "error", "-f", "lavfi", "-i", MUSIC));
        command.addAll(Arrays.asList(options));
        command.add(file.toString());
        Tool.run(command.toArray(String[]::new));
        return file;
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            plain.wav       | -c:a pcm_s16le
            long.wav        | -c:a pcm_s24le -rf64 always
            broadcast.wav   | -c:a pcm_s24le -write_bext 1 -metadata description=Cello -metadata time_reference=48000
            law.wav         | -c:a pcm_mulaw
            adpcm.wav       | -c:a adpcm_ms
            plain.aiff      | -c:a pcm_s16be
            deep.aiff       | -c:a pcm_s24be
            float.aifc      | -c:a pcm_f32be
            little.aifc     | -c:a pcm_s16le
            lossless.flac   | -c:a flac
            phone.m4a       | -c:a aac -b:a 160k
            lossless.m4a    | -c:a alac
            web.mp3         | -c:a libmp3lame -b:a 192k
            free.ogg        | -c:a libvorbis -q:a 6
            call.opus       | -c:a libopus -b:a 128k
            core.caf        | -c:a pcm_s16be
            """)
    void measures_what_ffmpeg_measures(String name, String options) throws Exception {
        requireSame(make(name, options.split(" ")));
    }

    private static void requireSame(Path file) throws Exception {
        String printed = Tool.run(
                "ffmpeg",
                "-hide_banner",
                "-nostats",
                "-i",
                file.toString(),
                "-map",
                "0:a:0",
                "-af",
                "astats",
                "-f",
                "null",
                "-");
        TakeReport take = TakeReader.read(file, Progress.NONE);
        assertThat(take.channels()).hasSize(2);
        assertThat(take.header().frames()).isCloseTo((long) last(printed, "Number of samples"), within(1_200L));
        assertThat(DigitalLevel.plainRmsDbfs(take.channels().get(1).rms()))
                .isCloseTo(last(printed, "RMS level dB"), within(0.03));
        assertThat(take.channels().get(1).peakLevel().dbfs()).isCloseTo(last(printed, "Peak level dB"), within(0.05));
    }

    private static double last(String text, String label) {
        List<Double> numbers = Tool.numbers(text, label);
        return numbers.get(numbers.size() - 1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"film.mp4", "film.mov", "film.mkv"})
    void takes_the_sound_out_of_a_film(String name) throws Exception {
        requireSame(make(
                name,
                "-f",
                "lavfi",
                "-i",
                "testsrc=size=64x48:rate=10:d=3",
                "-c:v",
                "mpeg4",
                "-c:a",
                "aac",
                "-shortest"));
    }

    @Test
    void complains_of_a_film_without_sound() throws Exception {
        Path silent = folder.resolve("mute.mp4");
        Tool.run(
                "ffmpeg",
                "-v",
                "error",
                "-f",
                "lavfi",
                "-i",
                "testsrc=size=64x48:d=1",
                "-c:v",
                "mpeg4",
                silent.toString());
        assertThatThrownBy(() -> TakeReader.read(silent, Progress.NONE))
                .isInstanceOf(UnreadableSound.class)
                .hasMessageContaining("There is no sound in it. Choose");
    }

    /** Whatever the bytes are: a report or a reason, never anything else; a damaged end is told. */
    @Test
    void survives_damaged_files() throws Exception {
        Random random = new Random(5);
        for (String name : List.of("a.m4a", "a.mp3", "a.flac", "a.ogg", "a.aiff", "a.wav")) {
            byte[] whole = Files.readAllBytes(make(name));
            for (int n = 0; n < 4; n++) {
                byte[] damaged = n == 0 ? Arrays.copyOf(whole, whole.length / 2) : whole.clone();
                for (int hits = 0; n > 0 && hits < 40 * n; hits++) {
                    damaged[random.nextInt(damaged.length)] = (byte) random.nextInt();
                }
                Path file = Files.write(folder.resolve(n + name), damaged);
                try {
                    TakeReport take = TakeReader.read(file, Progress.NONE);
                    assertThat(take.channels())
                            .allSatisfy(channel -> assertThat(channel.rms()).isFinite());
                } catch (UnreadableSound told) {
                    assertThat(told).hasMessageContaining(name);
                }
            }
        }
        Path half = folder.resolve("0a.flac");
        assertThat(TakeReader.read(half, Progress.NONE).findings())
                .extracting(Finding::mark)
                .contains("file.cut-short");
    }

    @Test
    void reads_many_channels() throws IOException {
        double[][] channels = new double[64][30_000];
        for (int c = 0; c < channels.length; c++) {
            for (int i = 0; i < channels[c].length; i++) {
                channels[c][i] = 0.01 * (c + 1) * Math.sin(0.02 * (c + 3) * i);
            }
        }
        TakeReport take =
                TakeReader.read(WavBytes.integers(24, channels).write(folder.resolve("many.wav")), Progress.NONE);
        assertThat(take.channels()).hasSize(64);
        assertThat(take.pairs()).hasSize(32);
        assertThat(take.channels().get(63).samplePeak()).isCloseTo(0.64, within(0.001));
    }

    /** Lengths at and around nothing, and what floating-point files can hold. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 31, 100, 5_000})
    void reads_very_short_takes(int frames) throws IOException {
        double[] odd = new double[frames];
        for (int i = 0; i < frames; i++) {
            odd[i] = i % 7 == 3 ? Double.NaN : i % 11 == 5 ? 3e38 : i % 5 == 0 ? 1.7 : -0.4;
        }
        TakeReport take = TakeReader.read(WavBytes.floats(odd, odd).write(folder.resolve("short.wav")), Progress.NONE);
        assertThat(take.header().frames()).isEqualTo(frames);
        assertThat(take.channels()).allSatisfy(channel -> {
            assertThat(channel.truePeak().dbfs()).isLessThan(20);
            assertThat(channel.crest().db()).isFinite();
        });
    }
}
