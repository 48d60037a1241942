package kalodyne.command;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import kalodyne.core.testing.Demo;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.Tool;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

/** What other programs read of recordings: exit status, the JSON after its published schema, complaints. */
class SoundCommandsTest extends CommandCase {
    @Test
    void analyse_prints_an_object_a_file() throws IOException {
        double[] loud = Signals.sine(1000, 1, 48_000, 48_000);
        Path good = WavBytes.floats(loud, new double[48_000]).write(folder.resolve("good.wav"));
        Path clipped =
                WavBytes.integers(16, Signals.sine(1000, 1.5, 48_000, 48_000)).write(folder.resolve("cut.wav"));
        assertThat(analyse(good.toString(), clipped.toString(), "--json")).isZero();
        JsonNode array = json("analyse.schema.json");
        assertThat(array).hasSize(2);
        JsonNode first = array.get(0);
        assertThat(first.get("file").asText()).isEqualTo(good.toString());
        assertThat(first.get("sampleRateHz").asInt()).isEqualTo(48_000);
        assertThat(first.get("frames").asInt()).isEqualTo(48_000);
        assertThat(first.get("durationSeconds").asDouble()).isEqualTo(1);
        assertThat(first.get("channels").get(0).get("rmsDbfs").asDouble()).isCloseTo(-3.0103, within(1e-4));
        assertThat(first.get("channels").get(1).get("samplePeakDbfs").isNull()).isTrue();
        assertThat(first.get("findings").findValuesAsText("code")).containsExactly("channel.dead", "level.hot");
        assertThat(first.get("findings").get(0).get("channel").asInt()).isEqualTo(1);
        assertThat(array.get(1).get("channels").get(0).get("clipRuns").asInt()).isEqualTo(2000);
        assertThat(array.get(1).get("verdict").asText()).startsWith("Cut off at");
        assertThat(complained.size()).isZero();
    }

    /** The demonstration's second take by its run: what to turn, and what most likely does it in this rig. */
    @Test
    void analyse_judges_by_the_run() throws IOException {
        Path studio = Demo.in(folder);
        String take = folder.resolve("takes/bass-take-2.wav").toString();
        assertThat(analyse(take, "--setup", studio.toString(), "--json")).isZero();
        JsonNode only = json("analyse.schema.json").get(0);
        assertThat(only.get("instruction").asText())
                .isEqualTo("Turn gain 3 on Interface from 12:00 to 9:30, then record again");
        assertThat(only.get("comparisons").get(0).get("predicted").asText()).isEqualTo("−2.8");
        assertThat(only.get("causes").get(0).get("id").asText()).isEqualTo("gain-high");

        printed.reset();
        Path other =
                WavBytes.integers(24, Signals.sine(440, 0.3, 48_000, 48_000)).write(folder.resolve("other.wav"));
        assertThat(analyse(other.toString(), "--setup", studio.toString(), "--json"))
                .isEqualTo(2);
        assertThat(json("analyse.schema.json").get(0).get("error").get("remedy").asText())
                .startsWith("Name one with --run: Bass synth → track 3, ");
        printed.reset();
        String run = "Cello → track 1";
        assertThat(analyse(other.toString(), "--setup", studio.toString(), "--run", run, "--reference", take))
                .isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8)).contains("predicted −6.5, measured −10.5");
    }

    @Test
    void analyse_goes_on_after_a_file_that_cannot_be_read() throws IOException {
        Path text = Files.writeString(folder.resolve("notes.wav"), "these are no samples at all");
        byte[] whole =
                WavBytes.integers(16, Signals.sine(1000, 0.4, 48_000, 48_000)).bytes();
        Path half = Files.write(folder.resolve("half.wav"), Arrays.copyOf(whole, whole.length / 2));
        String gone = folder.resolve("gone.wav").toString();
        assertThat(analyse("--json", text.toString(), half.toString(), gone)).isEqualTo(2);
        JsonNode array = json("analyse.schema.json");
        assertThat(array.get(0).get("error").get("problem").asText())
                .isEqualTo("This is not a sound file that can be read.");
        assertThat(array.get(1).get("frames").asInt()).isEqualTo(23_989);
        assertThat(array.get(2).get("error").get("problem").asText()).isEqualTo("There is no such file.");
        assertThat(complained.toString(StandardCharsets.UTF_8).lines())
                .hasSize(3)
                .allMatch(line -> line.startsWith(folder.toString()));
    }

    /** A voice of noise, and the same a quarter of a second later, softer and upside down. */
    @Test
    void lineup_prints_the_clock_and_writes_the_copy_once() throws IOException {
        double[] noise = new Random(3).doubles(4 * 48_000, -0.3, 0.3).toArray();
        double[] later = new double[noise.length];
        for (int i = 12_000; i < later.length; i++) {
            later[i] = -0.5 * noise[i - 12_000];
        }
        String reference =
                WavBytes.integers(24, noise).write(folder.resolve("film.wav")).toString();
        String other = WavBytes.integers(24, later)
                .write(folder.resolve("interface.wav"))
                .toString();
        Path copy = folder.resolve("copy.wav");
        int status = new CommandLine(new LineupCommand(output))
                .execute(reference, other, "--json", "--write", copy.toString());
        assertThat(status).isZero();
        JsonNode node = json("lineup.schema.json");
        assertThat(node.get("offsetSeconds").asDouble()).isCloseTo(0.25, within(1e-6));
        assertThat(node.get("polarity").asInt()).isEqualTo(-1);
        assertThat(node.get("levelDifferenceDb").asDouble()).isCloseTo(-6.02, within(0.02));
        assertThat(node.get("written").get("frames").asInt()).isEqualTo(4 * 48_000);
        printed.reset();
        assertThat(new CommandLine(new LineupCommand(output)).execute(reference, other, "--write", copy.toString()))
                .isEqualTo(2);
        assertThat(printed.toString(StandardCharsets.UTF_8))
                .startsWith("The other recording begins 0.250 s before the reference.");
        assertThat(complained.toString(StandardCharsets.UTF_8)).contains("There is a file of this name already.");
        printed.reset();
        double[] stranger = new Random(4).doubles(4 * 48_000, -0.3, 0.3).toArray();
        String another = WavBytes.integers(24, stranger)
                .write(folder.resolve("another.wav"))
                .toString();
        assertThat(new CommandLine(new LineupCommand(output)).execute(reference, another, "--json"))
                .isEqualTo(1);
        assertThat(json("lineup.schema.json").get("reason").asText()).contains("nothing in common");
        assertThat(new CommandLine(new LineupCommand(output)).execute(reference, other, "--format", "mp3"))
                .isEqualTo(2);
    }

    @Test
    void tidy_tells_and_writes() throws IOException {
        String take = WavBytes.integers(16, Signals.sine(1000, 0.25, 48_000, 48_000))
                .write(folder.resolve("take.wav"))
                .toString();
        Path plan = Files.writeString(
                folder.resolve("plan.json"),
                "{\"format\": \"kalodyne-tidy\", \"version\": 1, \"level\": {\"peakDbfs\": -6}, \"as\": \"wav24\"}");
        assertThat(new CommandLine(new TidyCommand(output)).execute(take, "--plan", plan.toString(), "--dry-run"))
                .isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8))
                .startsWith("would write ")
                .contains("gain +6.0 dB");
        Path copy = folder.resolve("take tidy.wav");
        assertThat(copy).doesNotExist();
        printed.reset();
        assertThat(new CommandLine(new TidyCommand(output))
                        .execute(take, folder.resolve("gone.wav").toString(), "--plan", plan.toString(), "--json"))
                .isEqualTo(2);
        JsonNode only = new JsonMapper()
                .readTree(printed.toString(StandardCharsets.UTF_8))
                .get(0);
        assertThat(only.get("written").asBoolean()).isTrue();
        assertThat(only.get("peakAfterDbfs").asDouble()).isCloseTo(-6, within(1e-3));
        assertThat(copy).exists();
        assertThat(complained.toString(StandardCharsets.UTF_8)).contains("gone.wav: There is no such file.");
    }

    /** The bass synth is 3.2 dB too hot, and in its aim once set as advised; by SoX on what is written. */
    @ParameterizedTest
    @CsvSource({"--seconds=12, -2.8", "--advised, -8.8"})
    void hear_writes_what_the_run_says(String option, double peakDbfs) throws IOException, InterruptedException {
        Path studio = Demo.in(folder);
        Path heard = folder.resolve("heard.wav");
        assertThat(hear(studio, "--run", "Bass synth → track 3", option, "--write", heard))
                .isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8)).contains("1 channel");
        String stats = Tool.run("sox", heard.toString(), "-n", "stats");
        assertThat(Tool.column(stats, "Pk lev dB", 0)).isCloseTo(peakDbfs, within(0.1));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Nobody               | new.wav   | --seconds=1 | taken.wav          | There is no run “Nobody” in it. Choose one of: Bass synth → track 3
            Bass synth → track 3 | silent.wav | --seconds=1 | taken.wav         | silent.wav: There is a file of this name already.
            Bass synth → track 3 | taken.wav | --replace   | taken.wav          | taken.wav: That is the take that is played.
            Bass synth → track 3 | new.wav   | --replace   | silent.wav         | silent.wav, the whole of it: It is silent.
            Bass synth → track 3 | new.wav   | --replace   | gone.wav           | gone.wav
            Bass synth → track 3 | new.wav   | --replace   | boathouse.kalodyne | This is not a sound file
            Bass synth → track 3 | new.wav   | --seconds=0 | taken.wav          | --seconds: more than 0
            """)
    void hear_says_what_is_wrong(String run, String target, String option, String take, String complaint)
            throws IOException {
        Path studio = Demo.in(folder);
        WavBytes.integers(16, Signals.sine(1000, 0, 48_000, 48_000)).write(folder.resolve("silent.wav"));
        Path taken =
                WavBytes.integers(16, Signals.sine(1000, 0.5, 48_000, 48_000)).write(folder.resolve("taken.wav"));
        byte[] before = Files.readAllBytes(taken);
        assertThat(hear(
                        studio,
                        "--run",
                        run,
                        "--write",
                        folder.resolve(target),
                        option,
                        "--with",
                        folder.resolve(take)))
                .isEqualTo(2);
        assertThat(complained.toString(StandardCharsets.UTF_8)).contains(complaint);
        assertThat(folder.resolve("new.wav")).doesNotExist();
        assertThat(Files.readAllBytes(taken)).isEqualTo(before);
    }

    private int hear(Object... arguments) {
        return new CommandLine(new HearCommand(output))
                .execute(Arrays.stream(arguments).map(Object::toString).toArray(String[]::new));
    }

    @Test
    void analyse_tells_people_the_same() throws IOException {
        Path hot =
                WavBytes.integers(16, Signals.sine(1000, 0.9, 48_000, 48_000)).write(folder.resolve("hot.wav"));
        assertThat(analyse(hot.toString())).isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8))
                .contains("hot.wav: Peaks at −0.9 dBFS: little room above the peaks.")
                .contains("0:01.0 · 48 kHz · 1 channel")
                .contains("peak −0.9 dBFS, average −0.9 dBFS (re a full-scale sine)")
                .contains("weak: Little room above the peaks.");
    }
}
