package kalodyne.core.takes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import kalodyne.core.files.Progress;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Place;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import kalodyne.core.units.DigitalLevel;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class TakeReaderTest {
    @TempDir
    Path folder;

    private TakeReport read(WavBytes wav) throws IOException {
        return TakeReader.read(wav.write(folder.resolve("take.wav")), Progress.NONE);
    }

    /** AES17 and arithmetic: a sine's RMS lies 3.01 dB under its peak, in files as general tools print it. */
    @ParameterizedTest
    @CsvSource({"1, 0, -3.0103", "0.5, -6.0206, -9.0309", "0.001, -60, -63.0103"})
    void measures_a_sine(double amplitude, double peak, double rms) throws IOException {
        TakeReport take = read(WavBytes.floats(Signals.sine(1000, amplitude, 48_000, 48_000)));
        ChannelReport channel = take.channels().get(0);
        assertThat(channel.peakLevel().dbfs()).isCloseTo(peak, within(1e-4));
        assertThat(DigitalLevel.plainRmsDbfs(channel.rms())).isCloseTo(rms, within(1e-4));
        assertThat(channel.averageLevel().dbfs()).isCloseTo(peak, within(1e-4));
        assertThat(channel.dcOffset()).isCloseTo(0, within(1e-6));
    }

    @Test
    void measures_an_offset_and_places_it() throws IOException {
        TakeReport take = read(WavBytes.floats(
                Signals.sine(700, 0.25, 48_000, 48_000), Signals.plus(Signals.sine(1000, 0.25, 48_000, 48_000), 0.02)));
        assertThat(take.channels().get(1).dcOffset()).isCloseTo(0.02, within(1e-6));
        assertThat(take.findings()).singleElement().satisfies(finding -> {
            assertThat(finding.mark()).isEqualTo("dc");
            assertThat(((Place.Stretch) finding.place()).channel()).hasValue(1);
            assertThat(finding.text()).isEqualTo("The whole take lies +2.0 % off centre. Edits will click.");
        });
    }

    /**
     * A second way: of a sine that is cut off, every sample at full scale in a row of three or more, counted plainly. Some
     * tops are so narrow that only one or two samples reach it; those are no run.
     */
    @Test
    void counts_every_sample_that_is_cut_off() throws IOException {
        Random random = new Random(23);
        for (int i = 0; i < 60; i++) {
            int bits = List.of(8, 16, 24).get(random.nextInt(3));
            double hertz = 30 + 3000 * random.nextDouble() * random.nextDouble();
            // With 8 bits a top that is cut by less than about half a decibel looks like a round one.
            double least = bits == 8 ? 1.06 : 1.02;
            double[] sine = Signals.sine(hertz, least + 2 * random.nextDouble(), 20_000, 48_000);
            long[] expected = plainCount(sine);
            ChannelReport channel =
                    read(WavBytes.integers(bits, sine)).channels().get(0);
            String what = bits + " bits, " + hertz + " Hz";
            if (expected[1] > 0) {
                assertThat(channel.isClipped()).as(what).isTrue();
            }
            if (bits > 8 && expected[1] > 0) {
                // Of 8 bits the highest step reaches 0.07 dB further down.
                assertThat(channel.clippedSamples()).as(what).isCloseTo(expected[0], within(expected[0] / 50 + 3));
                assertThat((long) channel.clipRuns()).as(what).isCloseTo(expected[1], within(expected[1] / 50 + 1));
            }
        }
    }

    private static long[] plainCount(double[] signal) {
        long samples = 0;
        long runs = 0;
        for (int i = 0; i < signal.length; ) {
            int end = i;
            while (end < signal.length && Math.abs(signal[end]) >= 1 && signal[end] * signal[i] > 0) {
                end++;
            }
            if (end - i >= 3) {
                samples += end - i;
                runs++;
            }
            i = Math.max(end, i + 1);
        }
        return new long[] {samples, runs};
    }

    /** Round tops that just reach full scale are not cut off, however slow the tone and coarse the steps. */
    @Test
    void does_not_take_round_tops_for_cut_ones() throws IOException {
        Random random = new Random(29);
        for (int i = 0; i < 120; i++) {
            int bits = List.of(8, 16, 24).get(random.nextInt(3));
            double hertz = Math.exp(Math.log(12) + random.nextDouble() * Math.log(80));
            double[] sine = Signals.sine(hertz, 1 - random.nextDouble() * Math.pow(2, 1 - bits), 30_000, 48_000);
            if (random.nextBoolean()) {
                // TPDF dither of one step, as editors add when they lower the number of bits.
                for (int n = 0; n < sine.length; n++) {
                    sine[n] += (random.nextDouble() + random.nextDouble() - 1) * Math.pow(2, 1 - bits);
                }
            }
            assertThat(read(WavBytes.integers(bits, sine)).isClipped())
                    .as(bits + " bits, " + hertz + " Hz")
                    .isFalse();
        }
    }

    @ParameterizedTest
    @CsvSource({"1.1, 0.83", "1.5, 3.52", "2.0, 6.02"})
    void estimates_how_high_cut_tops_went(double amplitude, double trueDb) throws IOException {
        TakeReport take = read(WavBytes.integers(24, Signals.sine(110, amplitude, 48_000, 48_000)));
        assertThat(take.loudest().likelyPeak().dbfs()).isCloseTo(trueDb, within(0.5));
    }

    @Test
    void joins_places_and_keeps_the_list_short() throws IOException {
        double[] bursts = new double[48_000];
        for (int at : new int[] {4_800, 4_900, 24_000}) {
            for (int i = 0; i < 10; i++) {
                bursts[at + i] = 1;
            }
        }
        TakeReport take = read(WavBytes.integers(16, bursts));
        assertThat(take.channels().get(0).clipRuns()).isEqualTo(3);
        assertThat(take.channels().get(0).clipPlaces())
                .containsExactly(new Stretch(4_800, 4_910), new Stretch(24_000, 24_010));
        StretchList list = new StretchList(1);
        for (int i = 0; i < 100_000; i++) {
            list.add(new Stretch(10L * i, 10L * i + 3));
        }
        assertThat(list.toList()).hasSizeBetween(100, 400).last().returns(999_993L, Stretch::toFrame);
        assertThat(list.count()).isEqualTo(100_000);
    }

    static Stream<Arguments> faults() {
        int rate = 48_000;
        double[] good = Signals.sine(440, 0.4, rate, rate);
        double[] silent = new double[rate];
        double[] broken = good.clone();
        broken[100] = Double.NaN;
        broken[101] = Double.POSITIVE_INFINITY;
        WavBytes cut = WavBytes.integers(16, good);
        cut.statedDataSize = 4L * rate;
        WavBytes shortHead = WavBytes.integers(16, good);
        shortHead.statedRiffSize = 1000;
        return Stream.of(
                Arguments.of(shortHead, List.of("file.size-wrong"), "Peaks at −8.0 dBFS: the file's length is wrong."),
                Arguments.of(WavBytes.integers(16, good), List.of(), "Peaks at −8.0 dBFS: nothing wrong was found."),
                Arguments.of(
                        WavBytes.integers(16, Signals.sine(440, 1.4, rate, rate)),
                        List.of("clip.digital"),
                        "Cut off at one place: turn down and record again."),
                Arguments.of(WavBytes.integers(16, silent), List.of("level.silent"), "Nothing was recorded."),
                Arguments.of(
                        WavBytes.integers(16, Signals.sine(440, 2e-5, rate, rate)),
                        List.of("level.silent"),
                        "Nothing was recorded."),
                Arguments.of(
                        WavBytes.integers(16, good, silent),
                        List.of("channel.dead"),
                        "Peaks at −8.0 dBFS: nothing in channel 2."),
                Arguments.of(
                        WavBytes.integers(16, Signals.sine(440, 0.01, rate, rate)),
                        List.of("level.low"),
                        "Peaks at −40.0 dBFS: very quiet."),
                Arguments.of(
                        WavBytes.integers(16, Signals.sine(440, 0.8, rate, rate)),
                        List.of("level.hot"),
                        "Peaks at −1.9 dBFS: little room above the peaks."),
                Arguments.of(
                        WavBytes.floats(Signals.sine(440, 1.5, rate, rate)),
                        List.of("level.over"),
                        "Peaks at 3.5 dBFS: above full scale."),
                Arguments.of(
                        WavBytes.floats(broken),
                        List.of("samples.unusable"),
                        "Peaks at −8.0 dBFS: samples that are not numbers."),
                Arguments.of(cut, List.of("file.cut-short"), "Peaks at −8.0 dBFS: the file is not whole."));
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("faults")
    void finds_each_fault_and_no_other(WavBytes wav, List<String> codes, String sentence) throws IOException {
        TakeReport take = read(wav);
        assertThat(take.findings()).extracting(Finding::mark).isEqualTo(codes);
        assertThat(TakeSentence.of(take)).isEqualTo(sentence);
        assertThat(take.channels())
                .allSatisfy(channel -> assertThat(channel.rms()).isFinite());
    }

    @Test
    void reads_a_file_without_samples() throws IOException {
        TakeReport take = read(WavBytes.integers(16, new double[0]));
        assertThat(take.loudest().peakLevel().isSilence()).isTrue();
        assertThat(TakeSentence.of(take)).isEqualTo("Nothing was recorded.");
    }

    @Test
    void tells_how_far_it_is_and_stops_when_asked() throws IOException {
        Path file =
                WavBytes.integers(16, Signals.sine(440, 0.4, 600_000, 48_000)).write(folder.resolve("long.wav"));
        List<Double> told = new ArrayList<>();
        TakeReader.read(file, told::add);
        assertThat(told).hasSizeGreaterThan(2).isSorted().last().isEqualTo(1.0);
        assertThatThrownBy(() -> TakeReader.read(file, done -> done < 0.3)).isInstanceOf(CancellationException.class);
    }

    /** The parts of the overview cover every sample, whatever the length. */
    @ParameterizedTest
    @CsvSource({"1", "4095", "4096", "4097", "100000"})
    void overview_shows_every_peak(int frames) throws IOException {
        double[] spike = new double[frames];
        spike[frames / 2] = 0.5;
        spike[frames - 1] = -0.25;
        Overview overview = read(WavBytes.floats(spike)).channels().get(0).overview();
        float high = 0;
        float low = 0;
        for (int part = 0; part < overview.parts(); part++) {
            high = Math.max(high, overview.highest(part));
            low = Math.min(low, overview.lowest(part));
        }
        assertThat(high).isEqualTo(frames > 1 ? 0.5f : 0f);
        assertThat(low).isEqualTo(-0.25f);
        assertThat(overview.parts()).isLessThanOrEqualTo(Overview.MOST_PARTS);
    }

    /** A recorder goes on writing, or somebody takes the file away, while it is read. */
    @ParameterizedTest
    @CsvSource({"true", "false"})
    void a_file_that_grows_or_vanishes_is_read_as_it_was(boolean isGrowing) throws IOException {
        Path file =
                WavBytes.integers(24, Signals.sine(440, 0.3, 240_000, 48_000)).write(folder.resolve("live.wav"));
        boolean[] isDone = new boolean[1];
        TakeReport take = TakeReader.read(file, done -> {
            if (!isDone[0]) {
                isDone[0] = true;
                change(file, isGrowing);
            }
            return true;
        });
        assertThat(take.header().seconds()).isEqualTo(5);
        assertThat(take.findings().stream().map(Finding::mark).toList().contains("file.growing"))
                .isEqualTo(isGrowing);
    }

    private static void change(Path file, boolean isGrowing) {
        try {
            if (isGrowing) {
                Files.write(file, new byte[4_800], StandardOpenOption.APPEND);
            } else {
                Files.delete(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
