package kalodyne.core.takes.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.Progress;
import kalodyne.core.findings.Finding;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.Wanted;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.sound.measure.Riaa;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.causes.Inquiry;
import kalodyne.core.testing.Runs;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import kalodyne.core.testing.corpus.Performances;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ContextRulesTest {
    private static final Set<String> CODES = Set.of("dull", "riaa.missing", "riaa.double", "channel.swapped");
    private static final LevelPlan RUN = Runs.plain().plan();

    @TempDir
    Path folder;

    /** IEC 60098, the table of the recording characteristic turned round, to a tenth of a decibel. */
    @ParameterizedTest
    @CsvSource({
        "20, 19.3",
        "50, 17.0",
        "100, 13.1",
        "500, 2.6",
        "1000, 0",
        "2122, -2.9",
        "5000, -8.2",
        "10000, -13.7",
        "20000, -19.6"
    })
    void the_curve_for_records_is_that_of_the_standard(double hertz, double db) {
        assertThat(Riaa.playback(hertz).db()).isCloseTo(db, within(0.06));
    }

    private TakeReport take(double[]... channels) {
        try {
            Path file = Files.createTempFile(folder, "take", ".wav");
            WavBytes.integers(24, channels).write(file);
            return TakeReader.read(file, Progress.NONE);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Set<String> found(TakeReport take, TakeReport reference) {
        TakeContext context = TakeContext.of(RUN, Wanted.USUAL, RUN.positions()).with(Optional.of(reference));
        return TakeVerdict.of(context, take).findings().stream()
                .map(Finding::mark)
                .filter(CODES::contains)
                .collect(Collectors.toSet());
    }

    private static final double BASS = 3180e-6;
    private static final double MIDDLE = 318e-6;
    private static final double TREBLE = 75e-6;
    private static final double BEYOND_HEARING = 3e-6;

    private static double[] cut(double[] samples, double hertz) {
        return Performances.filter(samples, 0, 1 / (2 * Math.PI * hertz));
    }

    /** What each fault does to a performance on its way to the recorder. */
    private static final Map<String, UnaryOperator<double[]>> DONE = new TreeMap<>(Map.of(
            "nothing", samples -> samples,
            "dull", samples -> cut(samples, 1500),
            "dull steeply", samples -> cut(cut(samples, 3000), 3000),
            "riaa.missing",
                    samples -> Performances.filter(Performances.filter(samples, BASS, MIDDLE), TREBLE, BEYOND_HEARING),
            "riaa.double", samples -> Performances.filter(Performances.filter(samples, MIDDLE, BASS), 0, TREBLE)));

    /** They have no treble that could be lost. */
    private static final Set<String> WITHOUT_TREBLE =
            Set.of("BASS_SYNTH", "PAD", "CLOSING_SQUARE", "LOW_ORGAN", "FM_BASS");

    private static final int ONE_IN = 7;

    private static List<String> somePlayers() {
        List<String> all = Performances.players();
        return IntStream.range(0, all.size())
                .filter(i -> i % ONE_IN == 0)
                .mapToObj(all::get)
                .toList();
    }

    /** The same part played again tells what was done to it on the way; what is merely played otherwise is nothing. */
    @Test
    void another_take_of_the_part_tells_what_the_way_did() {
        List<String> wrong = somePlayers().parallelStream()
                .flatMap(player -> {
                    TakeReport reference = take(Performances.play(player, 1));
                    return DONE.keySet().stream()
                            .filter(fault -> !fault.startsWith("dull") || !WITHOUT_TREBLE.contains(player))
                            .map(fault -> misjudged(player, fault, reference));
                })
                .flatMap(Optional::stream)
                .toList();
        assertThat(wrong).isEmpty();
    }

    private Optional<String> misjudged(String player, String fault, TakeReport reference) {
        boolean isNothing = fault.equals("nothing");
        double[] played = isNothing ? Performances.play(player, 2) : Performances.again(player, 1);
        Set<String> told = found(take(Performances.recorded(DONE.get(fault).apply(played), 3)), reference);
        Set<String> expected = isNothing ? Set.of() : Set.of(fault.replaceFirst(" .*", ""));
        return told.equals(expected) ? Optional.empty() : Optional.of(player + ", " + fault + ": " + told);
    }

    @Test
    void sides_that_changed_places_are_told_by_another_take() {
        List<String> players = somePlayers();
        List<String> wrong = IntStream.range(0, players.size())
                .parallel()
                .mapToObj(i -> misjudgedSides(players.get(i), players.get((i + 2) % players.size())))
                .flatMap(Optional::stream)
                .toList();
        assertThat(wrong).isEmpty();
    }

    private Optional<String> misjudgedSides(String left, String right) {
        TakeReport reference = take(Performances.play(left, 1), Performances.play(right, 1));
        double[] one = Performances.play(left, 2);
        double[] other = Performances.play(right, 2);
        Set<String> straight = found(take(one, other), reference);
        Set<String> crossed = found(take(other, one), reference);
        return straight.contains("channel.swapped") || !crossed.contains("channel.swapped")
                ? Optional.of(left + " and " + right + ": " + straight + ", crossed " + crossed)
                : Optional.empty();
    }

    /** What the demonstration's bass synth is plugged into rules causes in and out, and what was tried counts. */
    @Test
    void the_run_and_what_was_tried_rank_the_causes() {
        Studio studio = Boathouse.studio();
        Setup setup = studio.setups().get(0);
        Patch patch = studio.patch(setup);
        List<Checked> joints = JointRules.check(patch);
        Rig rig = Rig.of(joints, patch, setup.settings());
        SetupLevels levels = SetupLevels.of(rig, setup.settings().wanted());
        Trace bass = levels.trace("bass-synth.out>interface.adc-3").orElseThrow();
        TakeContext context = TakeContext.of(levels, bass, Map.of(), joints);
        TakeReport hum = take(Signals.sine(50, 0.01, 480_000, 48_000));

        Inquiry inquiry = TakeVerdict.of(context, hum).inquiry().orElseThrow();
        assertThat(inquiry.circumstances().answers())
                .containsEntry("computer", true)
                .containsEntry("bus-powered", true)
                .containsEntry("headphone-source", true)
                .containsEntry("turntable", false)
                .containsEntry("microphone", false)
                .containsEntry("balanced", false);
        assertThat(causes(inquiry)).doesNotContain("no-phono-ground").startsWith("induced");

        TakeContext tried = context.with(List.of(new Inquiry.Tried("turn-it", 2), new Inquiry.Tried("other-lead", 0)));
        assertThat(causes(TakeVerdict.of(tried, hum).inquiry().orElseThrow())).startsWith("broken-shield");
    }

    private static List<String> causes(Inquiry inquiry) {
        return inquiry.suspects().stream().map(suspect -> suspect.cause().id()).toList();
    }
}
