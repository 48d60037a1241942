package kalodyne.core.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import kalodyne.core.files.Progress;
import kalodyne.core.testing.Tool;
import kalodyne.core.units.DigitalLevel;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files made by SoX 14.4 and ffmpeg 5.1, and their own measures of them beside ours. */
class ReferenceToolsTest {
    @TempDir
    Path folder;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "-b 8 -c 1 -r 44100",
                "-b 16 -c 1 -r 44100",
                "-b 16 -c 2 -r 48000",
                "-b 24 -c 2 -r 96000",
                "-b 32 -c 1 -r 48000",
                "-b 32 -e floating-point -c 2 -r 48000",
                "-b 64 -e floating-point -c 1 -r 48000",
                "-b 24 -c 6 -r 48000"
            })
    void agrees_with_sox_stats(String format) throws Exception {
        Path file = folder.resolve("sox.wav");
        List<String> command = new ArrayList<>(List.of("sox", "-R", "-n"));
        command.addAll(Arrays.asList(format.split(" ")));
        command.addAll(List.of(
                file.toString(),
                "synth",
                "3",
                "pinknoise",
                "synth",
                "3",
                "sine",
                "amod",
                "3",
                "gain",
                "-7",
                "dcshift",
                "0.01"));
        Tool.run(command.toArray(String[]::new));
        TakeReport take = TakeReader.read(file, Progress.NONE);
        // SoX prints two decimals of decibels and six of the offset; one column a channel, after one for all of them.
        String printed = Tool.run("sox", file.toString(), "-n", "stats");
        int first = take.channels().size() == 1 ? 0 : 1;
        for (int c = 0; c < take.channels().size(); c++) {
            ChannelReport channel = take.channels().get(c);
            assertThat(channel.peakLevel().dbfs())
                    .isCloseTo(Tool.column(printed, "Pk lev dB", first + c), within(0.0101));
            assertThat(DigitalLevel.plainRmsDbfs(channel.rms()))
                    .isCloseTo(Tool.column(printed, "RMS lev dB", first + c), within(0.0101));
            assertThat(channel.dcOffset()).isCloseTo(Tool.column(printed, "DC offset", first + c), within(1.1e-6));
        }
    }

    /** ffmpeg's ebur128 filter prints one decimal; its true peak is oversampled to 192 kHz as ours is at 48. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            2 | 48000 | synth 12 pinknoise tremolo 0.4 90 gain -9
            1 | 44100 | synth 12 whitenoise lowpass 9000 lowpass 9000 gain -8
            2 | 44100 | synth 2 pluck E3 pluck B2 gain -4 repeat 9
            2 | 96000 | synth 12 brownnoise synth 12 sine amod 3 gain -6
            1 | 48000 | synth 12 square 110 lowpass 900 tremolo 2 80 gain -3
            2 | 48000 | synth 12 sine 200-12000 gain -1
            1 | 22050 | synth 12 pinknoise gain -12
            """)
    void agrees_with_ffmpeg_on_loudness_and_true_peak(int channels, int rate, String synth) throws Exception {
        Path file = folder.resolve("loud.wav");
        List<String> command = new ArrayList<>(List.of("sox", "-R", "-n", "-b", "24"));
        command.addAll(List.of("-c", "" + channels, "-r", "" + rate, file.toString()));
        command.addAll(Arrays.asList(synth.split(" ")));
        Tool.run(command.toArray(String[]::new));
        String printed = Tool.run(
                "ffmpeg",
                "-hide_banner",
                "-nostats",
                "-i",
                file.toString(),
                "-map",
                "0:a:0",
                "-filter:a",
                "ebur128=peak=true:framelog=verbose",
                "-f",
                "null",
                "-");
        String summary = printed.substring(printed.indexOf("Summary:"));
        TakeReport take = TakeReader.read(file, Progress.NONE);
        assertThat(take.loudness().integratedLufs().orElseThrow()).isCloseTo(summaryNumber(summary, "I:"), within(0.1));
        assertThat(take.loudness().rangeLu().orElseThrow()).isCloseTo(summaryNumber(summary, "LRA:"), within(0.1));
        double truePeak = take.channels().stream()
                .mapToDouble(channel -> channel.truePeak().dbfs())
                .max()
                .orElseThrow();
        assertThat(truePeak).isCloseTo(summaryNumber(summary, "Peak:"), within(0.1));
    }

    private static double summaryNumber(String summary, String label) {
        Matcher matcher = Pattern.compile(label + "\\s+(-?[0-9.]+)").matcher(summary);
        assertThat(matcher.find()).as(summary).isTrue();
        return Double.parseDouble(matcher.group(1));
    }

    @ParameterizedTest
    @ValueSource(strings = {"pcm_u8", "pcm_s16le", "pcm_s24le", "pcm_s32le", "pcm_f32le", "pcm_f64le"})
    void agrees_with_ffmpeg_astats(String codec) throws Exception {
        Path file = folder.resolve("ffmpeg.wav");
        Tool.run(
                "ffmpeg",
                "-v",
                "error",
                "-f",
                "lavfi",
                "-i",
                "anoisesrc=d=2:c=brown:a=0.6:seed=4:r=48000",
                "-ac",
                "2",
                "-c:a",
                codec,
                file.toString());
        String printed = Tool.run(
                "ffmpeg",
                "-hide_banner",
                "-nostats",
                "-i",
                file.toString(),
                "-af",
                "astats=measure_overall=none",
                "-f",
                "null",
                "-");
        List<Double> peaks = Tool.numbers(printed, "Peak level dB");
        List<Double> rms = Tool.numbers(printed, "RMS level dB");
        TakeReport take = TakeReader.read(file, Progress.NONE);
        assertThat(peaks).hasSameSizeAs(take.channels());
        for (int c = 0; c < peaks.size(); c++) {
            ChannelReport channel = take.channels().get(c);
            assertThat(channel.peakLevel().dbfs()).isCloseTo(peaks.get(c), within(0.001));
            assertThat(DigitalLevel.plainRmsDbfs(channel.rms())).isCloseTo(rms.get(c), within(0.001));
        }
    }

    /** SoX counts what it cuts off while it does so; with 16 bits it then dithers what is left. */
    @ParameterizedTest
    @ValueSource(strings = {"16", "24"})
    void counts_what_sox_cut_off(String bits) throws Exception {
        Path file = folder.resolve("cut.wav");
        String printed = Tool.run(
                "sox",
                "-R",
                "-n",
                "-b",
                bits,
                "-r",
                "48000",
                file.toString(),
                "synth",
                "1",
                "sine",
                "440",
                "vol",
                "1.5");
        Matcher counted = Pattern.compile("vol clipped (\\d+) samples").matcher(printed);
        assertThat(counted.find()).isTrue();
        ChannelReport channel = TakeReader.read(file, Progress.NONE).channels().get(0);
        assertThat(channel.clippedSamples()).isEqualTo(Long.parseLong(counted.group(1)));
        assertThat(channel.clipRuns()).isEqualTo(880);
    }

    @Test
    void reads_what_the_tools_stream_without_a_length() throws Exception {
        Path file = folder.resolve("piped.wav");
        for (String maker : List.of(
                "sox -n -r 48000 -b 16 -t wav - synth 1 sine 440 vol 0.5",
                "ffmpeg -v error -f lavfi -i sine=440:d=1:r=48000,volume=12dB -f wav -")) {
            Tool.run("sh", "-c", maker + " | cat > " + file);
            TakeReport take = TakeReader.read(file, Progress.NONE);
            assertThat(take.header().frames()).as(maker).isEqualTo(48_000);
            assertThat(take.findings()).as(maker).isEmpty();
        }
    }
}
