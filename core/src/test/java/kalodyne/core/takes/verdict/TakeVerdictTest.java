package kalodyne.core.takes.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.Progress;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.testing.Demo;
import kalodyne.core.testing.Runs;
import kalodyne.core.testing.Runs.Run;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TakeVerdictTest {
    @TempDir
    Path folder;

    /** 440 Hz with its peak at a level; below 0 dBFS it is whole. */
    private TakeReport peakAt(double dbfs) throws IOException {
        double[] sine = Signals.sine(1000, new Gain(dbfs).ratio(), 48_000, 48_000);
        return TakeReader.read(WavBytes.integers(24, sine).write(folder.resolve("take.wav")), Progress.NONE);
    }

    private static TakeVerdict of(Run run, TakeReport take) {
        return TakeVerdict.of(
                TakeContext.of(run.plan(), Wanted.USUAL, run.plan().positions()), take);
    }

    /**
     * By hand: the gain stands at +12 dB, 12:00, a decibel a quarter hour. A take that peaks at −3.1 must come down 5.9 dB
     * to the middle of the aim: 6 quarters, to 10:30.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            -3.1  | Peaks at −3.1 dBFS: 2.9 dB too hot    | Turn the gain on Interface from 12:00 to 10:30, then record again
            -9    | Peaks at −9.0 dBFS: right in the aim  | Leave every knob where it is: record the real take
            -21   | Peaks at −21.0 dBFS: 9.0 dB too quiet | Turn the gain on Interface from 12:00 to 3:00, then record again
            -100  | Nothing was recorded                  | Check that the lead is plugged at both ends and that the track listens to socket 3
            """)
    void says_the_case_and_what_to_turn(double dbfs, String sentence, String instruction) throws IOException {
        TakeVerdict verdict = of(Runs.plain(), peakAt(dbfs));
        assertThat(verdict.sentence()).isEqualTo(sentence);
        assertThat(verdict.instruction()).isEqualTo(instruction);
    }

    @Test
    void a_cut_take_is_turned_down_by_what_it_wanted_to_reach() throws IOException {
        TakeVerdict verdict = of(Runs.plain(), peakAt(4));
        assertThat(verdict.sentence()).isEqualTo("Cut off at one place: it would have reached about +4 dBFS");
        assertThat(verdict.findings()).first().satisfies(finding -> {
            assertThat(finding.severity()).isEqualTo(Severity.WRONG);
            assertThat(finding.remedy().orElseThrow().turns().get(Runs.GAIN.write()))
                    .isCloseTo(0.175, within(0.03));
        });
    }

    /** The knobs may have moved since: what is advised goes from where they stand now by what was measured then. */
    @Test
    void judges_by_where_the_knobs_stood() throws IOException {
        Run now = Runs.plain().turned(Map.of(Runs.GAIN, 0.35));
        TakeVerdict verdict =
                TakeVerdict.of(TakeContext.of(now.plan(), Wanted.USUAL, Map.of(Runs.GAIN, 0.5)), peakAt(-3));
        assertThat(verdict.comparisons().get(0).predicted()).isEqualTo("−2.0");
        assertThat(verdict.instruction()).isEqualTo("The knobs stand as this take advises: record the next one");
    }

    @Test
    void notices_a_source_that_differs_from_its_description() throws IOException {
        assertThat(of(Runs.plain(), peakAt(-6.5)).findings())
                .extracting(Finding::mark)
                .contains("take.source-differs");
        assertThat(of(Runs.plain(), peakAt(-4.5)).findings())
                .extracting(Finding::mark)
                .doesNotContain("take.source-differs");
    }

    @Test
    void notices_a_take_of_another_sample_rate() throws IOException {
        WavBytes wav = WavBytes.integers(24, Signals.sine(1000, 0.35, 44_100, 44_100));
        wav.rate = 44_100;
        TakeReport take = TakeReader.read(wav.write(folder.resolve("take.wav")), Progress.NONE);
        assertThat(of(Runs.plain(), take).findings())
                .filteredOn(finding -> finding.mark().equals("take.other-rate"))
                .extracting(Finding::text)
                .containsExactly("The take has 44.1 kHz, the run 48 kHz. Is it a take of this run?");
    }

    /** The advice, followed, brings the same performance into the aim: judged by the model that it was not made with. */
    @Test
    void following_the_advice_brings_the_next_take_into_the_aim() throws IOException {
        for (double measured = -50; measured < 0; measured += 1.7) {
            Run run = Runs.plain();
            TakeVerdict verdict = of(run, peakAt(measured));
            double change = verdict.advice()
                            .of(Runs.GAIN)
                            .orElseThrow()
                            .advised()
                            .gain()
                            .db()
                    - run.input().gain().gain().db();
            if (verdict.advice().obstacle().isEmpty()) {
                // Where the gain is at its end, up to 3 dB too quiet does.
                boolean isAtEnd = change > 19.9;
                assertThat(measured + change).isBetween(isAtEnd ? -15.0 : -12.0, -6.0);
            } else {
                assertThat(measured).isLessThan(-30);
            }
        }
    }

    /** The demonstration: one take that is right, one that is too hot although the run predicts less. */
    @Test
    void the_demonstration_has_something_to_find() throws IOException {
        Studio studio = StudioFile.read(Demo.in(folder));
        List<Take> takes = studio.setups().get(0).takes();
        LevelPlan run = Boathouse.bassSynth(studio);
        assertThat(run.miss().db()).isBetween(2.0, 6.0);
        assertThat(verdict(run, takes.get(0)).sentence()).contains("right in the aim");
        TakeVerdict hot = verdict(run, takes.get(1));
        assertThat(hot.sentence()).startsWith("Cut off at 7 places");
        assertThat(hot.instruction()).startsWith("Turn gain 3 on Interface from 12:00 to 9:30");
        assertThat(hot.findings()).extracting(Finding::mark).containsExactly("clip.digital", "take.source-differs");
    }

    private TakeVerdict verdict(LevelPlan run, Take take) throws IOException {
        return TakeVerdict.of(
                TakeContext.of(run, Wanted.USUAL, take.positions()),
                TakeReader.read(folder.resolve(take.file()), Progress.NONE));
    }
}
