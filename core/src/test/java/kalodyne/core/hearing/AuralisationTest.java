package kalodyne.core.hearing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.IntToDoubleFunction;
import java.util.regex.Pattern;
import kalodyne.core.files.Progress;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.hearing.players.Player;
import kalodyne.core.hearing.players.Round;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunJoints;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.sound.CopyFormat;
import kalodyne.core.sound.copies.Copy;
import kalodyne.core.sound.copies.CopyWriter;
import kalodyne.core.testing.Plugged;
import kalodyne.core.testing.Tool;
import kalodyne.core.units.Gain;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is heard is what the run says, by SoX on the written file and by hand. */
class AuralisationTest {
    private static final int RATE = 48_000;

    @TempDir
    Path folder;

    private static SetupLevels levels(String plugged, Settings settings) {
        var patch = Plugged.of(plugged);
        return SetupLevels.of(JointRules.check(patch), patch, settings);
    }

    /** All that comes out, after half a second. */
    private static float[] heard(
            Listening listening, int side, double seconds, IntToDoubleFunction left, IntToDoubleFunction right) {
        Auralisation rig = new Auralisation(listening, RATE);
        int blocks = (int) (seconds * RATE / Auralisation.BLOCK);
        int from = (int) (0.5 * RATE / Auralisation.BLOCK);
        float[] all = new float[(blocks - from) * Auralisation.BLOCK];
        float[][] played = new float[2][Auralisation.BLOCK];
        float[][] out = new float[listening.channels()][Auralisation.BLOCK];
        for (int b = 0; b < blocks; b++) {
            for (int i = 0; i < Auralisation.BLOCK; i++) {
                played[0][i] = (float) left.applyAsDouble(b * Auralisation.BLOCK + i);
                played[1][i] = (float) right.applyAsDouble(b * Auralisation.BLOCK + i);
            }
            rig.next(played, Auralisation.BLOCK, out);
            if (b >= from) {
                System.arraycopy(out[side], 0, all, (b - from) * Auralisation.BLOCK, Auralisation.BLOCK);
            }
        }
        return all;
    }

    private static IntToDoubleFunction sine(double hertz) {
        return i -> Math.sin(2 * Math.PI * hertz * i / RATE);
    }

    private static double rms(float[] samples) {
        double square = 0;
        for (float sample : samples) {
            square += (double) sample * sample;
        }
        return Math.sqrt(square / samples.length);
    }

    private static double db(double ratio) {
        return 20 * Math.log10(ratio);
    }

    /** The loudest peak as a sine of 1 kHz: SoX measures its top and its RMS, 3.01 dB below, in the written file. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mic-dynamic-voice.out xlr-xlr interface-2.mic-1
            synth-analogue.out trs-trs interface-4.line-3
            guitar-humbucker.out ts-ts interface-2.inst-1
            mic-dynamic-low.out xlr-xlr preamp-strip.mic; preamp-strip.out-trs trs-trs mixer-small.line-1; mixer-small.main-left trs-trs interface-2.line-1
            drum-machine.out-left ts-ts interface-4.line-3; drum-machine.out-right ts-ts interface-4.line-4
            piano-digital.out-left ts-ts interface-4.line-3; piano-digital.out-right ts-ts interface-4.line-4
            """)
    void is_as_loud_as_the_run_says(String plugged) throws IOException, InterruptedException {
        SetupLevels levels = levels(plugged, Settings.NONE);
        Path take = folder.resolve("take.wav");
        Tool.run(
                "sox",
                "-R",
                "-n",
                "-r",
                "48000",
                "-b",
                "24",
                take.toString(),
                "synth",
                "4",
                "sine",
                "1000",
                "gain",
                "-6");
        for (Trace trace : levels.traces()) {
            LevelPlan plan = LevelPlan.of(trace, levels.onceAdvised());
            if (!plan.isRecorded()) {
                continue;
            }
            Listening listening = Listening.to(levels.rig(), plan);
            Path out = folder.resolve("out.wav");
            try (HeardStream heard = new HeardStream(Material.of(take), listening)) {
                CopyWriter.write(
                        heard, out, Copy.as(CopyFormat.WAV_24).undithered().replacing(true), Progress.NONE);
            }
            String stats = Tool.run("sox", out.toString(), "-n", "trim", "0.5", "stats");
            double end = plan.endPeak();
            assertThat(Tool.column(stats, "Pk lev dB", 0)).as(plan.name()).isCloseTo(end, within(0.1));
            assertThat(Tool.column(stats, "RMS lev dB", 0)).as(plan.name()).isCloseTo(end - 3.01, within(0.1));
        }
    }

    /** What comes out of a joint against what went into it is what the joint does, whatever the knob behind it. */
    @ParameterizedTest
    @CsvSource({"80, 0.2", "1000, 0.2", "1000, 0.9", "6000, 0.2", "12000, 0.5"})
    void a_joint_is_heard_by_itself(double hertz, double position) {
        SetupLevels levels = levels("guitar-single-coil.out ts-ts interface-2.line-1", Settings.NONE);
        LevelPlan plan = levels.plan(levels.traces().get(0));
        plan = plan.turned(Map.of(plan.knobs().get(plan.knobs().size() - 1).id(), position));
        Transfer way = new RunJoints(plan).ways(levels.rig().joints()).get(0);
        var around = Listening.around(levels.rig(), plan, 1);
        double into = rms(heard(around.get(0), 0, 2, sine(hertz), sine(hertz)));
        double out = rms(heard(around.get(1), 0, 2, sine(hertz), sine(hertz)));
        assertThat(db(into)).as("6 dB of room").isCloseTo(-6 - 3.01, within(0.05));
        assertThat(db(out / into)).isCloseTo(db(way.at(hertz).magnitude()), within(0.2));
    }

    /** The same differently loud and differently bright: turned down as ffmpeg's meter finds them apart. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            synth-analogue.out ts-ts interface-2.line-1     | synth-analogue.out ts-ts interface-2.inst-1
            guitar-single-coil.out ts-ts interface-2.inst-1 | guitar-single-coil.out ts-ts interface-2.line-1
            guitar-single-coil.out ts-ts interface-2.line-1 | guitar-single-coil.out ts-ts interface-2.inst-1
            """)
    void what_is_compared_is_made_equally_loud(String one, String other) throws IOException, InterruptedException {
        List<Listening> heard = new ArrayList<>();
        List<Double> lufs = new ArrayList<>();
        Material.Source source =
                () -> Material.played(Round.of(Player.of(DeviceKind.SYNTH), RATE, new Gain(12))::at, RATE, 12);
        for (String plugged : List.of(one, other)) {
            SetupLevels levels = levels(plugged, Settings.NONE);
            Listening listening =
                    Listening.to(levels.rig(), levels.plan(levels.traces().get(0)));
            heard.add(listening);
            Path out = folder.resolve(heard.size() + ".wav");
            try (HeardStream stream = new HeardStream(source.open(), listening)) {
                CopyWriter.write(stream, out, Copy.as(CopyFormat.WAV_24).undithered(), Progress.NONE);
            }
            lufs.add(integrated(Tool.run(
                    "ffmpeg", "-hide_banner", "-nostats", "-i", out.toString(), "-af", "ebur128", "-f", "null", "-")));
        }
        List<Gain> down = Matching.turnedDown(source, heard);
        double softest = Math.min(lufs.get(0), lufs.get(1));
        assertThat(Math.abs(lufs.get(0) - lufs.get(1))).isGreaterThan(1);
        for (int i = 0; i < 2; i++) {
            assertThat(down.get(i).db()).isCloseTo(softest - lufs.get(i), within(0.15));
        }
    }

    private static double integrated(String printed) {
        String found = "";
        for (var match = Pattern.compile("I: +(-?[0-9.]+) LUFS").matcher(printed); match.find(); ) {
            found = match.group(1);
        }
        return Double.parseDouble(found);
    }

    /** Thirds of an octave: a joint colours as its circuit says, which agrees with ngspice. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            guitar-single-coil.out ts-ts interface-2.inst-1
            guitar-single-coil.out ts-ts interface-2.line-1
            piezo-bridge.out ts-ts interface-2.inst-1
            """)
    void sounds_as_the_joint_says(String plugged) {
        SetupLevels levels = levels(plugged, Settings.NONE);
        Trace trace = levels.traces().get(0);
        LevelPlan plan = LevelPlan.of(trace, levels.onceAdvised());
        Listening listening = Listening.to(levels.rig(), plan);
        Transfer way = new RunJoints(plan).ways(levels.rig().joints()).get(0);
        double middle = db(rms(heard(listening, 0, 2, sine(1000), sine(1000))));
        for (int band = -17; band <= 13; band++) {
            double hertz = 1000 * Math.pow(10, band / 10.0);
            double sounds = db(rms(heard(listening, 0, 2, sine(hertz), sine(hertz)))) - middle;
            double says = way.gain(hertz).db() - way.atMiddle().db();
            assertThat(sounds).as(hertz + " Hz").isCloseTo(says, within(0.2));
        }
    }

    /** Nobody plays: the noise at the end as the run says, and the hum of its joints. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            mic-dynamic-low.out xlr-xlr preamp-strip.mic; preamp-strip.out-trs trs-trs mixer-small.line-1; mixer-small.main-left trs-trs interface-2.line-1
            mic-ribbon-passive.out xlr-xlr interface-2.mic-1
            synth-analogue.out trs-trs interface-4.line-3
            groovebox.out mini-mini phone-ctia.headset
            """)
    void hisses_and_hums_as_the_run_says(String plugged) {
        SetupLevels levels = levels(plugged, Settings.NONE);
        for (Trace trace : levels.traces()) {
            LevelPlan plan = LevelPlan.of(trace, levels.onceAdvised());
            if (plan.isRecorded()) {
                double hum =
                        plan.end().onScale(new RunJoints(plan).hum(levels.rig().joints()));
                double both = 10 * Math.log10(Math.pow(10, plan.endFloor() / 10) + Math.pow(10, hum / 10));
                Listening listening = Listening.to(levels.rig(), plan);
                double heard = db(rms(heard(listening, 0, 4, i -> 0, i -> 0)) * Math.sqrt(2));
                assertThat(heard).as(plan.name()).isCloseTo(both, within(0.5));
            }
        }
    }

    /**
     * A synth at full level into a channel that is 6 dB too hot for its stage: the tops of a sine are cut at half their height, for
     * 1 − 2/π · asin ½ = two thirds of the time.
     */
    @Test
    void cuts_off_what_a_stage_cannot_take() {
        String plugged = "synth-analogue.out ts-ts interface-2.line-1";
        SetupLevels levels = levels(plugged, Settings.NONE);
        Trace trace = levels.traces().get(0);
        LevelPlan plan = LevelPlan.of(trace, levels.onceAdvised());
        double roomDb = plan.stages().stream()
                .flatMap(stage -> stage.headroom().stream())
                .mapToDouble(Gain::db)
                .min()
                .orElseThrow();
        Listening listening = Listening.to(levels.rig(), plan);
        IntToDoubleFunction twice = i -> 2 * Math.pow(10, roomDb / 20) * Math.sin(2 * Math.PI * 997 * i / RATE);
        float[] cut = heard(listening, 0, 3, twice, twice);
        double top = Math.pow(10, (plan.endPeak() + roomDb) / 20);
        assertThat((double) count(cut, 0.999 * top) / cut.length).isCloseTo(2 / 3.0, within(0.005));
        assertThat(largest(cut)).isCloseTo(top, within(1e-3));
    }

    /** Two outputs to two tracks are two sides; what is played on the left alone is on the right but hiss. */
    @Test
    void sides_stay_sides() {
        SetupLevels levels = levels(
                "drum-machine.out-left ts-ts interface-4.line-3; drum-machine.out-right ts-ts interface-4.line-4",
                Settings.NONE);
        for (Trace trace : levels.traces()) {
            Listening listening = Listening.to(levels.rig(), levels.plan(trace));
            assertThat(listening.channels()).isEqualTo(2);
            double left = rms(heard(listening, 0, 1.5, sine(1000), i -> 0));
            double right = rms(heard(listening, 1, 1.5, sine(1000), i -> 0));
            assertThat(db(right / left)).isLessThan(-60);
        }
    }

    /** Left and right on the two legs of one balanced input: what both have is gone, what differs is there. */
    @Test
    void the_centre_cancels_where_two_sides_meet_as_opposites() {
        SetupLevels levels = levels("groovebox.out mini-trs interface-2.line-1", Settings.NONE);
        Listening listening =
                Listening.to(levels.rig(), levels.plan(levels.traces().get(0)));
        double centre = rms(heard(listening, 0, 1.5, sine(1000), sine(1000)));
        double apart = rms(heard(listening, 0, 1.5, sine(1000), i -> -sine(1000).applyAsDouble(i)));
        assertThat(db(centre / apart)).isLessThan(-40);
    }

    /** A knob that jumps by 20 dB is heard at once, from one block to the next, and no sample jumps. */
    @Test
    void a_knob_is_turned_without_a_click() {
        SetupLevels levels = levels("synth-analogue.out ts-ts interface-2.line-1", Settings.NONE);
        Trace trace = levels.traces().get(0);
        LevelPlan plan = LevelPlan.of(trace, levels.onceAdvised());
        LevelPlan turned = plan.turned(Map.of(Spot.read("synth-analogue.volume"), 0.3));
        Auralisation rig = new Auralisation(Listening.to(levels.rig(), plan), RATE);
        int blocks = 40;
        float[] all = new float[blocks * Auralisation.BLOCK];
        float[][] played = new float[1][Auralisation.BLOCK];
        float[][] out = new float[1][Auralisation.BLOCK];
        for (int b = 0; b < blocks; b++) {
            if (b == blocks / 2) {
                rig.turn(Listening.to(levels.rig(), turned));
            }
            for (int i = 0; i < Auralisation.BLOCK; i++) {
                played[0][i] = (float) sine(100).applyAsDouble(b * Auralisation.BLOCK + i);
            }
            rig.next(played, Auralisation.BLOCK, out);
            System.arraycopy(out[0], 0, all, b * Auralisation.BLOCK, Auralisation.BLOCK);
        }
        double top = Math.pow(10, plan.endPeak() / 20);
        double steepest = 2 * Math.PI * 100 / RATE * top;
        for (int i = 1; i < all.length; i++) {
            assertThat((double) Math.abs(all[i] - all[i - 1])).isLessThan(1.05 * steepest);
        }
        int oneBlockLater = (blocks / 2 + 1) * Auralisation.BLOCK;
        float[] after = Arrays.copyOfRange(all, oneBlockLater, all.length);
        assertThat(db(largest(after))).isCloseTo(turned.endPeak(), within(0.1));
        assertThat(Auralisation.BLOCK * 1000 / RATE).as("ms").isLessThan(50);
    }

    private static long count(float[] samples, double from) {
        long count = 0;
        for (float sample : samples) {
            count += Math.abs(sample) >= from ? 1 : 0;
        }
        return count;
    }

    private static double largest(float[] samples) {
        double largest = 0;
        for (float sample : samples) {
            largest = Math.max(largest, Math.abs(sample));
        }
        return largest;
    }
}
