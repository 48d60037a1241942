package kalodyne.core.recording;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.TimeUnit;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.Progress;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.MadeUpPlayer;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.gain.Point;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.sound.WavRecorder;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.testing.Signals;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

@Timeout(value = 60, unit = TimeUnit.SECONDS)
class RecordingTest {
    private static final double QUICKLY = 200;
    private static final Rig RIG = rig();
    private static final LevelPlan BASS = Boathouse.bassSynth(Boathouse.studio());
    private static final int RATE = 48_000;

    @TempDir
    Path folder;

    private static Rig rig() {
        Studio studio = Boathouse.studio();
        Setup setup = studio.setups().get(0);
        Patch patch = studio.patch(setup);
        return Rig.of(JointRules.check(patch), patch, setup.settings());
    }

    private static SimulatedInput input(LevelPlan plan, double humDbfs, DeviceKind kind, OptionalDouble lostAfter) {
        Listening joints = Listening.to(RIG, plan);
        Point end = plan.flow().points().get(plan.end().point());
        // Caught by the last stage; the joints of this rig catch nothing.
        Listening humming = new Listening(
                joints.flow(),
                joints.player(),
                joints.ends(),
                joints.ways(),
                Map.of(end.id(), plan.end().zero().plus(new Gain(humDbfs))),
                joints.right(),
                joints.left());
        return new SimulatedInput(
                () -> new SimulatedInput.Playing(plan, humming, MadeUpPlayer.on(kind, plan)), QUICKLY, lostAfter);
    }

    /** Records until the input ends, which it does after some seconds of its own time. */
    private TakeReport record(LevelPlan plan, double humDbfs, DeviceKind kind, double seconds) throws Exception {
        Path file = folder.resolve("take.wav");
        Files.deleteIfExists(file);
        Recording recording = new Recording(file, OptionalInt.empty());
        recording.keep();
        recording.run(input(plan, humDbfs, kind, OptionalDouble.of(seconds)), RATE, () -> {});
        return TakeReader.read(file, Progress.NONE);
    }

    private static List<String> codes(TakeReport take) {
        return take.findings().stream().map(Finding::mark).toList();
    }

    /** The stand-in gives what the run is computed to give, whoever plays. */
    @ParameterizedTest
    @EnumSource(names = {"SYNTH", "DRUM_MACHINE", "INSTRUMENT", "MICROPHONE", "TURNTABLE"})
    void the_simulated_interface_gives_what_the_run_predicts(DeviceKind kind) throws Exception {
        LevelPlan clean = BASS.turned(Map.of(Spot.read("interface.gain-3"), 0.35));
        TakeReport take = record(clean, Double.NEGATIVE_INFINITY, kind, 20);
        assertThat(take.loudest().peakLevel().dbfs()).isCloseTo(clean.endPeak(), within(0.3));
        double floor = Math.sqrt(take.loudest().heard().noisePower().orElseThrow());
        assertThat(DigitalLevel.ofRms(floor).dbfs()).isCloseTo(clean.endFloor(), within(1.0));
        assertThat(take.findings())
                .filteredOn(finding -> finding.severity().word().equals("wrong"))
                .isEmpty();
    }

    @Test
    void too_much_gain_is_cut_off_and_less_is_not() throws Exception {
        assertThat(codes(record(BASS.turned(Map.of(Spot.read("interface.gain-3"), 0.8)), -120, DeviceKind.SYNTH, 12)))
                .contains("clip.digital");
        assertThat(codes(record(BASS.turned(Map.of(Spot.read("interface.gain-3"), 0.35)), -120, DeviceKind.SYNTH, 12)))
                .doesNotContain("clip.digital", "clip.analogue");
    }

    @Test
    void the_hum_of_a_joint_is_heard_as_loud_as_it_is_computed() throws Exception {
        TakeReport take = record(BASS, -50, DeviceKind.SYNTH, 12);
        assertThat(codes(take)).contains("hum.mains");
        assertThat(DigitalLevel.ofRms(Math.sqrt(take.hum().orElseThrow().power()))
                        .dbfs())
                .isCloseTo(-50, within(0.5));
    }

    @Test
    void a_device_that_is_lost_leaves_what_was_recorded() throws Exception {
        Path file = folder.resolve("lost.wav");
        Recording recording = new Recording(file, OptionalInt.empty());
        recording.keep();
        Recording.Ended ended =
                recording.run(input(BASS, -120, DeviceKind.SYNTH, OptionalDouble.of(4)), RATE, () -> {});
        assertThat(ended.trouble().orElseThrow())
                .isEqualTo("The simulated interface stopped giving sound. Check its plug and its power.");
        assertThat(TakeReader.read(file, Progress.NONE).header().frames())
                .isEqualTo(ended.frames())
                .isBetween(4L * RATE, 4L * RATE + 2048);
    }

    @Test
    void nothing_is_kept_before_it_is_told_to_and_it_stops_when_told_to() throws Exception {
        Path file = folder.resolve("kept.wav");
        Recording recording = new Recording(file, OptionalInt.empty());
        Thread thread = new Thread(() -> {
            try {
                recording.run(input(BASS, -120, DeviceKind.SYNTH, OptionalDouble.empty()), RATE, () -> {});
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        thread.start();
        while (recording.meter().map(LiveMeter.Reading::frames).orElse(0L) < RATE) {
            Thread.sleep(5);
        }
        assertThat(file).doesNotExist();
        recording.keep();
        while (recording.meter().orElseThrow().loudest() < 0.1) {
            Thread.sleep(5);
        }
        recording.stop();
        thread.join();
        assertThat(TakeReader.read(file, Progress.NONE).loudest().samplePeak()).isGreaterThan(0.1);
    }

    @Test
    void a_file_of_that_name_is_never_written_over() throws Exception {
        Path file = Files.writeString(folder.resolve("there.wav"), "mine");
        Recording recording = new Recording(file, OptionalInt.empty());
        recording.keep();
        Recording.Ended ended =
                recording.run(input(BASS, -120, DeviceKind.SYNTH, OptionalDouble.of(1)), RATE, () -> {});
        assertThat(ended.trouble().orElseThrow()).contains("there.wav cannot be written");
        assertThat(file).hasContent("mine");
    }

    /** As it lies on the disk when the program is killed: nothing was closed. */
    @ParameterizedTest
    @ValueSource(ints = {16, 24})
    void every_block_is_there_without_being_closed(int bits) throws IOException {
        Path file = folder.resolve("grows.wav");
        float[][] sine = {new float[RATE], new float[RATE]};
        double[] made = Signals.sine(440, 0.5, RATE, RATE);
        for (int i = 0; i < RATE; i++) {
            sine[0][i] = (float) made[i];
        }
        try (WavRecorder recorder = new WavRecorder(file, 2, RATE, bits)) {
            for (int second = 1; second <= 3; second++) {
                recorder.write(sine, RATE);
                Path copy = Files.copy(file, folder.resolve(second + ".wav"));
                TakeReport take = TakeReader.read(copy, Progress.NONE);
                assertThat(take.header().frames()).isEqualTo((long) second * RATE);
                assertThat(take.header().fault()).isEmpty();
                assertThat(take.channels().get(0).samplePeak()).isCloseTo(0.5, within(1e-4));
                assertThat(take.channels().get(1).samplePeak()).isZero();
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "0, Do not play yet: the noise is measured, 3",
        "3.5, Play your loudest now, 8.5",
        "99, That is enough. Stop when you like, 0"
    })
    void the_guide_says_what_to_do(double seconds, String words, double left) {
        assertThat(TestTake.at(seconds)).isEqualTo(new TestTake.Part(left, words));
    }
}
