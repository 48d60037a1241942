package kalodyne.command;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.StreamSupport;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.exchange.StudioWriter;
import kalodyne.core.testing.Demo;
import org.junit.jupiter.api.Test;
import picocli.CommandLine;

/** What other programs read of joints, circuits, plans and levels: exit status, the JSON after its published schema, complaints. */
class RigCommandsTest extends CommandCase {
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
                .isEqualTo("Plug it into USB 2 of Laptop, with Lead 11");
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
        String row = " --from interface --speakers left-speaker --speakers right-speaker";
        assertThat(plan((studio + row + " --json").split(" ", -1))).isZero();
        JsonNode rows = json("plan.schema.json").get("ways");
        assertThat(rows.findValuesAsText("track"))
                .hasSizeGreaterThanOrEqualTo(2)
                .containsOnly("not recorded");
        assertThat(rows.findValuesAsText("words")).anyMatch(words -> words.contains("300 m"));
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
                "--from cello --to tablet --spend lots",
                "--from cello --to tablet --price ts-ts=-1",
                "--from cello --to tablet --price nothing-such=1",
                "--from cello --to tablet --tracks 0",
                "--obvious --from cello --to tablet",
                "--obvious --from cello.in",
                "--obvious --from cello.in --to tablet.port")) {
            complained.reset();
            assertThat(plan((studio + " " + wrong).split(" ", -1))).as(wrong).isEqualTo(2);
            assertThat(complained.toString(StandardCharsets.UTF_8))
                    .as(wrong)
                    .containsPattern("Write|Name one of|Name the other");
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
    void levels_prints_every_run() throws IOException {
        Path setup = Demo.in(folder);
        assertThat(levels(setup.toString(), "--json")).isZero();
        JsonNode run = StreamSupport.stream(
                        json("levels.schema.json").get("runs").spliterator(), false)
                .filter(each -> each.get("name").asText().equals("Bass synth → track 3"))
                .findFirst()
                .orElseThrow();
        // +6 dBu; one leg of the input shows 10 kΩ: 1 kΩ loses 0.828 dB; +12 dB, 0 dBFS at +20 dBu (+28 dBu at −8 dB).
        assertThat(run.get("track").get("peakDbfs").asDouble()).isCloseTo(6 - 0.828 + 12 - 20, within(5e-3));
        assertThat(run.get("stages")).hasSize(5);
        assertThat(run.get("stages").get(1).get("ceilingDbu").isNull()).isTrue();
        assertThat(run.get("controls").get(1).get("advisedClock").asText()).isEqualTo("10:30");
        assertThat(run.get("findings").findValuesAsText("code")).contains("level.hot", "caution.plugging");
        assertThat(run.get("nextStep").asText()).startsWith("Turn gain 3 on Interface from 12:00 to 10:30");
        printed.reset();
        assertThat(levels(setup.toString())).isZero();
        assertThat(printed.toString(StandardCharsets.UTF_8))
                .contains("Bass synth → track 3: Loudest peaks reach −2.8 dBFS: 3.2 dB too hot")
                .contains("gain 3 on Interface: +12.0 dB · 12:00 → +6.0 dB · 10:30");
    }

    @Test
    void levels_advises_every_knob() throws IOException {
        Path setup = Demo.in(folder);
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
}
