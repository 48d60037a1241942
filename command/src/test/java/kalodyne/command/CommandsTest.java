package kalodyne.command;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.exchange.ParcelWriter;
import kalodyne.core.studio.exchange.StudioReader;
import kalodyne.core.studio.exchange.StudioWriter;
import kalodyne.core.testing.Signals;
import kalodyne.core.testing.WavBytes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;

/** What other programs read: exit status, the JSON after its published schema, complaints. */
class CommandsTest {
    private static final Path FORMATS = Path.of("../docs/formats");

    @TempDir
    Path folder;

    private final ByteArrayOutputStream printed = new ByteArrayOutputStream();
    private final ByteArrayOutputStream complained = new ByteArrayOutputStream();
    private final Output output = new Output(
            new PrintStream(printed, true, StandardCharsets.UTF_8),
            new PrintStream(complained, true, StandardCharsets.UTF_8));

    private int analyse(String... arguments) {
        return new CommandLine(new AnalyseCommand(output)).execute(arguments);
    }

    private int levels(String... arguments) {
        return new CommandLine(new LevelsCommand(output)).execute(arguments);
    }

    private JsonNode json(String schema) throws IOException {
        String text = printed.toString(StandardCharsets.UTF_8);
        JsonNode node = new JsonMapper().readTree(text);
        try (var in = Files.newInputStream(FORMATS.resolve(schema))) {
            assertThat(SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                            .getSchema(in)
                            .validate(node))
                    .as(text)
                    .isEmpty();
        }
        return node;
    }

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
        Path studio = Boathouse.build(folder);
        String take = folder.resolve("takes/bass-take-2.wav").toString();
        assertThat(analyse(take, "--setup", studio.toString(), "--json")).isZero();
        JsonNode only = json("analyse.schema.json").get(0);
        assertThat(only.get("instruction").asText())
                .isEqualTo("Turn gain 3 on Interface from 12:00 to 9:30, then record again");
        assertThat(only.get("comparisons").get(0).get("predicted").asText()).isEqualTo("−2.9");
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

    private int joint(String... arguments) {
        return new CommandLine(new JointCommand(output)).execute(arguments);
    }

    /** The demonstration studio: what is plugged in it, with two leads that are wrong for their job. */
    @Test
    void joint_prints_an_object_a_joint() throws IOException {
        Path studio = Files.writeString(
                folder.resolve("boathouse.json"),
                StudioWriter.write(Boathouse.studio().withoutSetup("setup-2")));
        assertThat(joint("--json", "--remedies", studio.toString())).isZero();
        JsonNode array = json("joint.schema.json");
        assertThat(array).hasSize(10);
        JsonNode bass = array.get(0);
        assertThat(bass.get("title").asText()).isEqualTo("Bass synth → Interface");
        assertThat(bass.get("signals").get(0).get("toChannel").asText()).isEqualTo("hot");
        assertThat(bass.get("signals").get(0).get("lossAt1kDb").asDouble()).isCloseTo(0.9, within(0.1));
        assertThat(array.get(2).get("atRest").findValuesAsText("contact")).contains("1", "2", "3");
        assertThat(array.findValuesAsText("code"))
                .containsExactly(
                        "joint.loading",
                        "response.thin",
                        "lead.long",
                        "caution.phantom",
                        "stereo.cancels",
                        "usb.charge-only");
        assertThat(array.findValuesAsText("kind")).contains("lead", "get", "socket");
        assertThat(array.get(4).get("remedies").get(0).get("text").asText())
                .isEqualTo("Come from USB 2 of Laptop, with Lead 11");
        assertThat(complained.size()).isZero();
    }

    /** A netlist that is printed is one that can be read, and gives the same level. */
    @Test
    void joint_writes_netlists_that_circuit_reads() throws IOException {
        Path studio = Files.writeString(folder.resolve("boathouse.json"), StudioWriter.write(Boathouse.studio()));
        assertThat(joint("--out", folder.resolve("circuits").toString(), studio.toString()))
                .isZero();
        String first =
                printed.toString(StandardCharsets.UTF_8).lines().findFirst().orElseThrow();
        printed.reset();
        assertThat(circuit("--json", first)).isZero();
        JsonNode levels = json("circuit.schema.json").get(0).get("printed");
        assertThat(levels.properties().iterator().next().getValue().get(10).asDouble())
                .isCloseTo(-0.9, within(0.1));
    }

    private int plan(String... arguments) {
        return new CommandLine(new PlanCommand(output)).execute(arguments);
    }

    @Test
    void plan_prints_the_ways() throws IOException {
        Path studio = Files.writeString(folder.resolve("boathouse.json"), StudioWriter.write(Boathouse.studio()));
        assertThat(plan(
                        "--json",
                        studio.toString(),
                        "--from",
                        "bass synth",
                        "--to",
                        "tablet",
                        "--headphones",
                        "headphones"))
                .isZero();
        JsonNode best = json("plan.schema.json").get("ways").get(0);
        assertThat(best.get("knobs"))
                .isNotEmpty()
                .allSatisfy(knob -> assertThat(knob.get("clock").asText()).contains(":"));
        assertThat(best.get("title").asText()).isEqualTo("By Interface");
        assertThat(best.get("missing")).isEmpty();
        assertThat(best.get("strands").get(0).get("peakDbfs").asDouble()).isBetween(-16.0, -8.0);
        assertThat(best.get("strands").get(0).get("noiseDbfs").asDouble()).isBetween(-100.0, -85.0);
        assertThat(plan(studio.toString(), "--from", "celo", "--to", "tablet")).isEqualTo(2);
        assertThat(complained.toString(StandardCharsets.UTF_8)).contains("There is no device “celo” in it.");
    }

    /** All that can be wished, for people and for programs; what is misspelt is told with what could stand there. */
    @Test
    void plan_knows_speakers_tempo_charging_and_the_obvious() throws IOException {
        Path studio = Files.writeString(folder.resolve("boathouse.json"), StudioWriter.write(Boathouse.studio()));
        String wish = " --from drum-box --from cello --to tablet --speakers subwoofer --speakers left-speaker"
                + " --speakers right-speaker --tempo --charging --also safety-copy --budget nothing --matters few-breaks";
        assertThat(plan((studio + wish + " --json").split(" ", -1))).isZero();
        JsonNode best = json("plan.schema.json").get("ways").get(0);
        assertThat(best.get("strands")).hasSize(2);
        assertThat(best.get("missing")).isEmpty();
        assertThat(best.get("asides").findValuesAsText("of"))
                .contains("Speakers", "Tempo", "Charging", "Also captured");
        assertThat(best.get("software").get(0).asText()).startsWith("System input: “Interface”");
        assertThat(plan((studio + wish).split(" ", -1))).isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8)).contains("on the recorder: System input");
        printed.reset();
        String obvious = " --obvious --from drum-box.phones --to old-phone.headset";
        assertThat(plan((studio + obvious + " --json").split(" ", -1))).isZero();
        assertThat(json("plan.schema.json").get("obvious").get(0).get("findings"))
                .isNotEmpty();
        printed.reset();
        assertThat(plan((studio + obvious).split(" ", -1))).isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8)).startsWith("With ");
        for (String wrong : List.of(
                "--from cello --to tablet --budget much",
                "--from cello --to tablet --stereo both",
                "--from cello --to tablet --tracks 0",
                "--obvious --from cello --to tablet",
                "--obvious --from cello.in --to tablet.port")) {
            complained.reset();
            assertThat(plan((studio + " " + wrong).split(" ", -1))).as(wrong).isEqualTo(2);
            assertThat(complained.toString(StandardCharsets.UTF_8)).as(wrong).containsPattern("Write|Name one of");
        }
    }

    @Test
    void joint_says_where_nothing_is_plugged() throws IOException {
        Path studio = Files.writeString(folder.resolve("empty.json"), StudioWriter.write(Studio.empty()));
        assertThat(joint(studio.toString())).isEqualTo(2);
        assertThat(complained.toString(StandardCharsets.UTF_8)).contains("Nothing is plugged in it.");
    }

    private int circuit(String... arguments) {
        return new CommandLine(new CircuitCommand(output)).execute(arguments);
    }

    @Test
    void circuit_prints_an_object_a_file_and_goes_on_after_bad_ones() throws IOException {
        Path good = Files.writeString(
                folder.resolve("good.cir"),
                "divider\nV1 in 0 DC 3 AC 1\nR1 in Out 1k\nR2 out 0 1k\nR3 x y 1\n.ac lin 2 100 200\n.op\n.print ac vdb(out) i(v1)\n");
        Path circle = Files.writeString(folder.resolve("circle.cir"), "circle\nV1 a 0 1\nL1 a 0 1\nR1 a 0 1\n.op\n");
        Path bad = Files.writeString(folder.resolve("bad.cir"), "bad\nR1 a 0 lots\n");
        assertThat(circuit("--json", good.toString(), circle.toString(), bad.toString()))
                .isEqualTo(2);
        JsonNode array = json("circuit.schema.json");
        JsonNode first = array.get(0);
        assertThat(first.get("frequenciesHz")).hasSize(2);
        assertThat(first.get("nodes").get("out").get("re").get(1).asDouble()).isCloseTo(0.5, within(1e-9));
        assertThat(first.get("currents").get("v1").get("re").get(0).asDouble()).isCloseTo(-5e-4, within(1e-12));
        assertThat(first.get("printed").get("vdb(out)").get(0).asDouble()).isCloseTo(-6.0206, within(1e-4));
        assertThat(first.get("op").get("out").asDouble()).isCloseTo(1.5, within(1e-9));
        assertThat(first.get("op").get("i(v1)").asDouble()).isCloseTo(-1.5e-3, within(1e-12));
        assertThat(first.get("adrift").get(0).asText()).isEqualTo("x");
        assertThat(array.get(1).get("error").get("problem").asText()).contains("closes a circle of voltages");
        assertThat(array.get(2).get("error").get("place").asText()).isEqualTo("line 2");
        assertThat(complained.toString(StandardCharsets.UTF_8).lines())
                .hasSize(2)
                .allMatch(line -> line.startsWith(folder.toString()));
    }

    @Test
    void circuit_tells_people_the_same() throws IOException {
        Path file = Files.writeString(
                folder.resolve("good.cir"), "divider\nV1 in 0 AC 1\nR1 in out 1k\nR2 out 0 1k\n.ac lin 1 100 100\n");
        assertThat(circuit(file.toString())).isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8)).contains("vdb(out)", "100 Hz: -6.0206");
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

    @Test
    void levels_prints_every_run() throws IOException {
        Path setup = Boathouse.build(folder);
        assertThat(levels(setup.toString(), "--json")).isZero();
        JsonNode run = StreamSupport.stream(
                        json("levels.schema.json").get("runs").spliterator(), false)
                .filter(each -> each.get("name").asText().equals("Bass synth → track 3"))
                .findFirst()
                .orElseThrow();
        // +6 dBu; a two-pole plug leaves 9.09 kΩ of the balanced 10 kΩ: 1 kΩ loses 0.906 dB; +12 dB, 0 dBFS at +20 dBu.
        assertThat(run.get("track").get("peakDbfs").asDouble()).isCloseTo(6 - 0.906 + 12 - 20, within(5e-3));
        assertThat(run.get("stages")).hasSize(5);
        assertThat(run.get("stages").get(1).get("ceilingDbu").isNull()).isTrue();
        assertThat(run.get("controls").get(1).get("advisedClock").asText()).isEqualTo("10:30");
        assertThat(run.get("findings").findValuesAsText("code")).contains("level.hot", "caution.plugging");
        assertThat(run.get("nextStep").asText()).startsWith("Turn gain 3 on Interface from 12:00 to 10:30");
        printed.reset();
        assertThat(levels(setup.toString())).isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8))
                .contains("Bass synth → track 3: Loudest peaks reach −2.9 dBFS: 3.1 dB too hot")
                .contains("gain 3 on Interface: +12.0 dB · 12:00 → +6.0 dB · 10:30");
    }

    @Test
    void levels_advises_every_knob() throws IOException {
        Path setup = Boathouse.build(folder);
        assertThat(levels(setup.toString(), "--advise", "--json")).isZero();
        JsonNode advice = json("levels.schema.json").get("advice");
        assertThat(advice.get("proven").asBoolean()).isTrue();
        assertThat(advice.get("knobs").findValuesAsText("control"))
                .contains("interface.gain-1", "interface.gain-3", "interface.phones-level", "left-speaker.level");
        assertThat(advice.get("schools").findValuesAsText("school"))
                .containsExactly("strong-source", "work-up", "unity", "drive");
        assertThat(levels(setup.toString(), "--advise")).isZero();
        assertThat(printed()).contains("gain 3 on Interface from 12:00 to 10:30. A quarter hour is 1.0 dB");
    }

    @Test
    void levels_tells_what_is_wrong_with_a_setup() throws IOException {
        Path bad = Files.writeString(
                folder.resolve("bad.json"),
                StudioWriter.write(Boathouse.studio()).replace("\"10000 Ω\"", "\"-10 kΩ\""));
        assertThat(levels(bad.toString(), "--json")).isEqualTo(2);
        assertThat(json("levels.schema.json")
                        .get("problems")
                        .get(0)
                        .get("place")
                        .asText())
                .contains("loadImpedance › is, line");
        assertThat(complained.toString(StandardCharsets.UTF_8)).contains(bad + ", devices › ");
        assertThat(levels(folder.resolve("gone.json").toString())).isEqualTo(2);
        assertThat(levels()).isEqualTo(2);
    }

    private int run(Object command, Object... arguments) {
        printed.reset();
        complained.reset();
        return new CommandLine(command)
                .execute(Stream.of(arguments).map(Object::toString).toArray(String[]::new));
    }

    private String printed() {
        return printed.toString(StandardCharsets.UTF_8);
    }

    private String complained() {
        return complained.toString(StandardCharsets.UTF_8);
    }

    @Test
    void the_catalogue_prints_every_profile() throws IOException {
        assertThat(run(new CatalogueCommand(output))).isZero();
        assertThat(printed()).contains("guitar-single-coil").contains("Headset splitter, CTIA");
        assertThat(run(new CatalogueCommand(output), "--json")).isZero();
        Path whole = Files.writeString(folder.resolve("all.json"), printed());
        assertThat(JsonFormat.CATALOGUE.read(whole).get("devices").items())
                .hasSameSizeAs(Catalogue.shipped().devices());
    }

    /** Out of one studio as JSON and as tables, into others: nothing is lost on the way. */
    @Test
    void a_studio_goes_out_and_comes_in() throws IOException {
        Path file = Boathouse.build(folder);
        Studio studio = StudioFile.read(file);
        Path json = folder.resolve("out.json");
        assertThat(run(new ExportCommand(output), file, "--json", "--out", json))
                .isZero();
        Path second = folder.resolve("second.kalodyne");
        assertThat(run(new ImportCommand(output), json, "--into", second)).isZero();
        assertThat(printed()).endsWith("32 new, 0 changed, 0 the same\n");
        assertThat(StudioFile.read(second)).isEqualTo(studio);
        assertThat(run(new ExportCommand(output), file, "--csv", "--out", folder))
                .isZero();
        Path third = folder.resolve("third.kalodyne");
        assertThat(run(new ImportCommand(output), folder.resolve("boathouse-devices.csv"), "--into", third))
                .isZero();
        assertThat(run(new ImportCommand(output), folder.resolve("boathouse-leads.csv"), "--into", third))
                .isZero();
        assertThat(StudioFile.read(third).devices()).isEqualTo(studio.devices());
        assertThat(StudioFile.read(third).leads()).isEqualTo(studio.leads());
    }

    @Test
    void an_import_can_be_tried_and_tells_what_changes() throws IOException {
        Path file = Boathouse.build(folder);
        Studio before = StudioFile.read(file);
        Path table = Files.writeString(
                folder.resolve("mine.csv"), "lead;profile;colour;length\nLead 7;ts-ts;pink;2,5 m\nNew;xlr-xlr;;4 m\n");
        assertThat(run(new ImportCommand(output), table, "--into", file, "--dry-run"))
                .isZero();
        assertThat(printed())
                .contains(
                        "lead Lead 7: changed (colour blue → pink; note Bass synth to interface → none; Length 3 m → 2.5 m)")
                .contains("lead New: new")
                .endsWith("would be: 1 new, 1 changed, 0 the same\n");
        assertThat(StudioFile.read(file)).isEqualTo(before);
        assertThat(run(new ImportCommand(output), table, "--into", file, "--json"))
                .isZero();
        assertThat(new JsonMapper()
                        .readTree(printed())
                        .get("changes")
                        .get(0)
                        .get("effect")
                        .asText())
                .isEqualTo("changed");
        assertThat(StudioFile.read(file).lead("lead-7").orElseThrow().colour()).isEqualTo("pink");
        assertThat(folder.resolve("backups")).isDirectoryContaining("glob:**.kalodyne");
    }

    /** A setup that somebody handed on comes in with its recordings. */
    @Test
    void a_parcel_comes_in_with_its_recordings() throws IOException {
        Studio studio = StudioFile.read(Boathouse.build(folder));
        Path parcel = folder.resolve("trio.zip");
        ParcelWriter.write(parcel, studio, studio.setups().get(0), folder, Progress.NONE);
        Path theirs = Files.createDirectories(folder.resolve("theirs")).resolve("own.kalodyne");
        assertThat(run(new ImportCommand(output), parcel, "--into", theirs)).isZero();
        assertThat(StudioFile.read(theirs).setups().get(0).takes())
                .hasSize(2)
                .allSatisfy(take -> assertThat(theirs.resolveSibling(take.file()))
                        .hasSameBinaryContentAs(folder.resolve("takes")
                                .resolve(Path.of(take.file()).getFileName())));
    }

    @Test
    void what_cannot_come_in_changes_nothing() throws IOException {
        Path file = Boathouse.build(folder);
        Studio before = StudioFile.read(file);
        Path bad = Files.writeString(folder.resolve("bad.csv"), "lead,profile,length\nA,ts-ts,10 dB\n");
        assertThat(run(new ImportCommand(output), bad, "--into", file)).isEqualTo(2);
        assertThat(complained()).contains("bad.csv, line 2").contains("“dB” is not a unit of length.");
        try (OpenStudio elsewhere = StudioFile.open(file, Studio.empty(), Clock.systemUTC())) {
            Path good = Files.writeString(folder.resolve("good.csv"), "lead,profile\nA,ts-ts\n");
            assertThat(run(new ImportCommand(output), good, "--into", file)).isEqualTo(2);
            assertThat(complained()).contains("It is already open: process ");
            assertThat(elsewhere.studio()).isEqualTo(before);
        }
        assertThat(run(new ExportCommand(output), file, "--json", "--only", "Nothing such"))
                .isEqualTo(2);
        assertThat(run(new ExportCommand(output), folder.resolve("gone.kalodyne"), "--json"))
                .isEqualTo(2);
        assertThat(run(new ExportCommand(output), file)).isEqualTo(2);
        assertThat(run(new ExportCommand(output), file, "--csv", "--out", bad.resolve("in")))
                .isEqualTo(2);
        assertThat(complained()).contains("it cannot be written there");
        assertThat(StudioFile.read(file)).isEqualTo(before);
    }

    @Test
    void a_part_goes_out_alone() throws IOException {
        Path file = Boathouse.build(folder);
        assertThat(run(new ExportCommand(output), file, "--json", "--only", "setups", "--only", "Lead 7"))
                .isZero();
        Studio part = StudioReader.read(printed(), file);
        assertThat(part.devices()).isEmpty();
        assertThat(part.leads())
                .singleElement()
                .satisfies(lead -> assertThat(lead.id()).isEqualTo("lead-7"));
        assertThat(part.setups()).hasSize(2);
    }
}
