package kalodyne.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.Progress;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.sound.copies.CopyWriter;
import kalodyne.core.studio.Studio;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Tool;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ExercisesTest {
    @TempDir
    Path folder;

    private static SetupLevels levels(String plugged) {
        Patch patch = Plugged.of(plugged);
        return SetupLevels.of(JointRules.check(patch), patch, Settings.NONE);
    }

    private static SetupLevels shipped() {
        Studio studio = Boathouse.studio();
        Patch patch = studio.patch(studio.setups().get(0));
        return SetupLevels.of(
                JointRules.check(patch), patch, studio.setups().get(0).settings());
    }

    private static Set<FindingCode> told(Exercise exercise) {
        return exercise.report().orElseThrow().findings().stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(Finding::code)
                .collect(Collectors.toSet());
    }

    /** What counts as right is what the take reader finds; a clean take is clean; no wrong answer is true as well. */
    @ParameterizedTest
    @CsvSource({
        "synth-analogue.out ts-ts interface-2.line-1, 1",
        "synth-analogue.out ts-ts interface-2.line-1, 5",
        "mic-dynamic-voice.out xlr-xlr interface-2.mic-1, 3",
        // Nothing is plugged: what ships is practised with.
        "synth-analogue.out ts-ts mixer-small.line-1, 2",
    })
    void what_is_asked_is_true(String plugged, int strength) {
        Exercises exercises = Exercises.in(levels(plugged), shipped());
        List<String> wrong = new ArrayList<>();
        for (Fault fault : Fault.all()) {
            Exercise exercise = exercises.make(fault.topic(), strength, 41 + strength);
            Set<FindingCode> told = told(exercise);
            boolean isTrue = fault.code().map(told::contains).orElse(told.isEmpty());
            boolean isOnlyOne = Fault.all().stream()
                    .filter(other -> other != fault && exercise.choices().contains(other.words()))
                    .noneMatch(other -> other.code().map(told::contains).orElse(told.isEmpty()));
            if (!isTrue
                    || !isOnlyOne
                    || exercise.choices().size() != 4
                    || !exercise.choices().get(exercise.right()).equals(fault.words())) {
                wrong.add(fault + ": " + exercise.choices() + " told " + told);
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** By SoX on the written takes: as far off zero as was asked for, a dead side, flat tops at full scale, 6 dB. */
    @Test
    void is_there_for_others_too() throws Exception {
        SetupLevels levels = levels("synth-analogue.out ts-ts interface-2.line-1");
        FaultMaker maker =
                new FaultMaker(levels.rig(), LevelPlan.of(levels.traces().get(0), levels.onceAdvised()));
        assertThat(stats(maker.make(Fault.DC, 1, 3), "DC offset", 1)).isCloseTo(0.2, within(0.02));
        Clip dead = maker.make(Fault.ONE_SIDE, 1, 3);
        int side = dead.at(0, dead.frames() / 4) == 0 && dead.at(0, dead.frames() / 4 + 7) == 0 ? 1 : 2;
        assertThat(stats(dead, "Pk lev dB", side)).isEqualTo(Double.NEGATIVE_INFINITY);
        assertThat(stats(dead, "Pk lev dB", 3 - side)).isBetween(-14.0, -6.0);
        Clip clipped = maker.make(Fault.CLIPPED, 1, 3);
        assertThat(stats(clipped, "Pk lev dB", 0)).isCloseTo(0, within(0.01));
        assertThat(stats(clipped, "Flat factor", 0)).isGreaterThan(10);
        for (int number = 1; number <= 4; number++) {
            Exercise twice = new HowManyDecibels(maker).make(2, number);
            Clip clip = twice.sound().orElseThrow();
            Path file = written(clip);
            double first = rms(file, "0", "2.5");
            double second = rms(file, "3", "2.5");
            assertThat(twice.choices().get(twice.right())).isEqualTo(words(second - first));
        }
    }

    private static String words(double db) {
        long whole = Math.round(db);
        return whole == 0 ? "as loud" : Math.abs(whole) + " dB " + (whole > 0 ? "louder" : "softer");
    }

    private Path written(Clip clip) throws IOException {
        Path file = folder.resolve("clip.wav");
        CopyWriter.write(
                clip.stream(), file, Copy.as(CopyFormat.WAV_24).undithered().replacing(true), Progress.NONE);
        return file;
    }

    /** Column 0 is both sides, 1 the left, 2 the right. */
    private double stats(Clip clip, String line, int column) throws Exception {
        return Tool.column(Tool.run("sox", written(clip).toString(), "-n", "stats"), line, column);
    }

    private static double rms(Path file, String from, String seconds) throws Exception {
        return Tool.column(Tool.run("sox", file.toString(), "-n", "trim", from, seconds, "stats"), "RMS lev dB", 0);
    }

    /**
     * By common practice, with an aim of −12…−6 dBFS: what lies in it is left; what is off is brought to its middle; a meter at full
     * scale says nothing of how far.
     */
    @Test
    void a_meter_is_read_as_practice_says() {
        Exercises exercises = Exercises.in(levels("synth-analogue.out ts-ts interface-2.line-1"), shipped());
        int full = 0;
        for (int number = 0; number < 60; number++) {
            Exercise exercise = exercises.make("meter", 1 + number % 5, number);
            String ask = exercise.ask();
            String right = exercise.choices().get(exercise.right());
            assertThat(ask).contains("−12…−6 dBFS");
            double peak = Double.parseDouble(
                    ask.replaceAll(".*stands at ([−0-9.]+) dBFS.*", "$1").replace('−', '-'));
            if (peak == 0) {
                full++;
                assertThat(right).startsWith("Turn it down by 10 dB or more");
            } else if (peak >= -12 && peak <= -6) {
                assertThat(right).isEqualTo("Leave it as it is");
            } else {
                assertThat(right)
                        .isEqualTo("Turn it " + (peak > -6 ? "down" : "up") + " by " + Math.round(Math.abs(-9 - peak))
                                + " dB");
            }
            assertThat(exercise.choices()).doesNotHaveDuplicates().hasSize(4);
        }
        assertThat(full).isBetween(5, 30);
    }
}
