package kalodyne.core.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.rig.AimSchool;
import kalodyne.core.studio.exchange.StudioReader;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.testing.Runs;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What older programs kept as runs without gear is gear that is plugged, with its takes, its log and its past. */
class DescribedRunsTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-11-30T12:00:00Z"), ZoneOffset.UTC);
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final String BASS = "bass-synth.out-1>interface.adc-1";
    private static final String GUITAR = "guitar.out-1>interface.adc-2";

    @TempDir
    Path folder;

    private static String json() throws IOException {
        try (var in = Runs.class.getResourceAsStream("described-run.json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static SetupLevels levels(Studio studio, Setup setup) {
        return SetupLevels.of(JointRules.check(studio.patch(setup)), studio.patch(setup), setup.settings());
    }

    /**
     * By hand: +6 dBu from 1 kΩ and 0.3 Ω into 10 kΩ loses 0.83 dB; gain −8…+32 dB at 12:00 is +12 dB; 0 dBFS is +20 dBu:
     * −2.83 dBFS. Noise −80 dBu there is 279.9 µV, EIN −106 dBu 15.46 µV, −94 dBu 15.46 µV, the converter 24.50 µV:
     * 281.9 µV, −88.8 dBFS.
     */
    @Test
    void its_numbers_stay() throws IOException {
        Studio studio = StudioReader.read(json(), Path.of("old.json"));
        Setup setup = studio.setups().get(0);
        assertThat(studio.devices()).extracting(Device::name).containsExactly("Bass synth", "Interface");
        assertThat(studio.leads()).extracting(Lead::name).containsExactly("Lead 7");
        assertThat(setup.settings().aim()).isEqualTo(AimSchool.EVEN);
        SetupLevels levels = levels(studio, setup);
        assertThat(levels.traces()).hasSize(1);
        LevelPlan plan = levels.plan(levels.traces().get(0));
        assertThat(plan.endPeak()).isCloseTo(-2.83, within(0.02));
        assertThat(plan.endFloor()).isCloseTo(-88.8, within(0.05));
        assertThat(plan.knobs())
                .extracting(knob -> knob.id())
                .containsExactly(Spot.read("bass-synth.volume"), Spot.read("interface.gain-1"));
        assertThat(JointRules.check(studio.patch(setup)))
                .flatMap(joint -> joint.findings())
                .noneMatch(finding -> finding.severity().compareTo(Severity.WRONG) <= 0);
    }

    /**
     * A microphone of −34 dBu from 200 Ω into 3 kΩ: 0.56 dB less; its gain of
     * +4…+58 dB at half is 31 dB; 0 dBFS is +18 dBu: −21.6 dBFS.
     */
    @Test
    void a_microphone_goes_into_its_lead() throws IOException {
        String mic = json().replace("\"kind\": \"line\"", "\"kind\": \"mic\"")
                .replace("+6 dBu", "-34 dBu")
                .replace("\"average\": \"-6 dBu\"", "\"average\": \"-50 dBu\"")
                .replace("\"floor\": \"-80 dBu\"", "\"floor\": \"-129 dBu\"")
                .replace("\"impedance\": \"1 kΩ\"", "\"impedance\": \"200 Ω\"")
                .replace("\"impedance\": \"10 kΩ\"", "\"impedance\": \"3 kΩ\"")
                .replace(
                        "\"lowest\": \"-8 dB\", \"highest\": \"+32 dB\"",
                        "\"lowest\": \"+4 dB\", \"highest\": \"+58 dB\"")
                .replace("\"fullScale\": \"+20 dBu\"", "\"fullScale\": \"+18 dBu\"");
        Studio studio = StudioReader.read(mic, Path.of("old.json"));
        Setup setup = studio.setups().get(0);
        SetupLevels levels = levels(studio, setup);
        assertThat(levels.traces()).hasSize(1);
        assertThat(levels.plan(levels.traces().get(0)).endPeak()).isCloseTo(-21.6, within(0.1));
        assertThat(JointRules.check(studio.patch(setup)))
                .flatMap(joint -> joint.findings())
                .noneMatch(finding -> finding.severity().compareTo(Severity.WRONG) <= 0);
    }

    /** Two runs of one setup take two inputs and two leads; the same run in another setup is the same gear. */
    @Test
    void gear_of_one_name_is_shared_as_far_as_it_can_be() throws IOException {
        ObjectNode old = (ObjectNode) MAPPER.readTree(json());
        ArrayNode runs = (ArrayNode) old.get("runs");
        ObjectNode second = runs.get(0).deepCopy();
        second.put("name", "Second");
        second.withObject("/source").put("name", "Drum box");
        ObjectNode studio = MAPPER.createObjectNode()
                .put("format", "kalodyne-studio")
                .put("version", 1)
                .put("name", "Old");
        studio.putArray("devices");
        studio.putArray("leads");
        ArrayNode setups = studio.putArray("setups");
        for (String id : List.of("one", "two")) {
            ObjectNode setup = setups.addObject().put("id", id).put("name", id);
            setup.putArray("runs").add(runs.get(0).deepCopy()).add(second.deepCopy());
            ObjectNode take =
                    setup.putArray("takes").addObject().put("name", "Take 1").put("run", "Second");
            take.put("file", "x.wav")
                    .put("at", "2026-03-01T12:00:00Z")
                    .putObject("positions")
                    .put("gain", 0.25);
        }
        Studio read = StudioReader.read(studio.toString(), Path.of("old.json"));
        assertThat(read.devices()).extracting(Device::name).containsExactly("Bass synth", "Interface", "Drum box");
        assertThat(read.leads()).extracting(Lead::name).containsExactly("Lead 7", "Lead 7 2");
        assertThat(read.setups()).allSatisfy(setup -> {
            assertThat(levels(read, setup).traces())
                    .extracting(Trace::key)
                    .containsExactlyInAnyOrder(BASS, "drum-box.out-1>interface.adc-2");
            assertThat(setup.takes())
                    .extracting(Take::run, Take::positions)
                    .containsExactly(
                            tuple("drum-box.out-1>interface.adc-2", Map.of(Spot.read("interface.gain-2"), 0.25)));
        });
    }

    /** A studio of version 3: two runs, a take of each, a session, gear on the shelf, twelve edits of which one is undone. */
    @Test
    void a_studio_of_the_version_before_opens_with_all_that_it_kept() throws Exception {
        Path file = folder.resolve("mine.kalodyne");
        try (var in = Studio.class.getResourceAsStream("version-3.kalodyne")) {
            Files.copy(in, file, StandardCopyOption.REPLACE_EXISTING);
        }
        Studio read = StudioFile.read(file);
        assertThat(Migrations.version(file)).as("reading changes nothing").isEqualTo(3);
        List<Studio> states = new ArrayList<>();
        try (OpenStudio open = StudioFile.open(file, Studio.empty(), CLOCK)) {
            Studio now = open.studio();
            assertThat(now).isEqualTo(read);
            assertThat(now.devices())
                    .extracting(Device::name)
                    .containsExactly("Analogue synth, mono output", "Bass synth", "Interface", "Guitar");
            Setup setup = now.setups().get(0);
            assertThat(levels(now, setup).traces()).extracting(Trace::key).contains(BASS, GUITAR);
            assertThat(setup.takesOf(BASS))
                    .extracting(Take::note, Take::positions)
                    .containsExactly(tuple(
                            "Too hot",
                            Map.of(Spot.read("interface.gain-1"), 0.55, Spot.read("bass-synth.volume"), 1.0)));
            assertThat(setup.takesOf(GUITAR)).hasSize(1);
            assertThat(setup.sessions()).hasSize(1);
            assertThat(setup.settings().positions())
                    .containsEntry(Spot.read("interface.gain-1"), 0.35)
                    .containsEntry(Spot.read("interface.gain-2"), 0.0);
            open.history().redo();
            assertThat(open.studio().setups().get(0).takes()).hasSize(1);
            assertThat(open.studio().device("guitar")).isEmpty();
            open.history().undo();
            assertThat(open.studio()).isEqualTo(now);
            states.add(now);
            while (open.history().undoable().isPresent()) {
                open.history().undo();
                states.add(open.studio());
            }
            assertThat(open.studio()).isEqualTo(Studio.empty());
            // Of eleven edits one renamed a run: runs are called after their gear now.
            assertThat(states).hasSize(11).doesNotHaveDuplicates();
            for (int i = states.size() - 2; i >= 0; i--) {
                open.history().redo();
                assertThat(open.studio()).isEqualTo(states.get(i));
            }
        }
        assertThat(Migrations.version(file)).isEqualTo(Database.VERSION);
        assertThat(new Backups(file).list()).isNotEmpty();
        assertThat(StudioFile.read(file)).isEqualTo(read);
    }

    /** A file of the first version, whose takes belonged to rows of runs. */
    @Test
    void a_file_of_the_first_version_goes_all_the_way() throws Exception {
        Path file = folder.resolve("first.kalodyne");
        Flyway.configure()
                .dataSource(Database.url(file), null, null)
                .locations("classpath:kalodyne/core/studio/migration")
                .loggers("slf4j")
                .target("1")
                .load()
                .migrate();
        ObjectNode run = (ObjectNode) MAPPER.readTree(json()).get("runs").get(0);
        run.withObject("/input").withObject("/gain").put("position", 0.5);
        run.withObject("/source").withObject("/volume").put("position", 1.0);
        ObjectNode take = MAPPER.createObjectNode()
                .put("name", "Take 1")
                .put("run", run.get("name").asText())
                .put("file", "a.wav")
                .put("at", "2026-03-01T12:00:00Z");
        take.putObject("positions").put("gain", 0.25);
        String name = run.get("name").asText();
        try (Connection connection = Database.forWriting(file)) {
            put(connection, "INSERT INTO studio VALUES ('studio', 0, ?)", "{\"name\":\"Old\"}");
            put(connection, "INSERT INTO setup VALUES ('setup-1', 0, ?)", "{\"name\":\"First setup\"}");
            put(connection, "INSERT INTO run VALUES ('setup-1', '" + name + "', 0, ?)", run.toString());
            put(connection, "INSERT INTO take VALUES ('setup-1', '" + name + "', 'Take 1', 0, ?)", take.toString());
        }
        try (OpenStudio opened = StudioFile.open(file, Studio.empty(), CLOCK)) {
            assertThat(opened.studio().devices()).hasSize(2);
            assertThat(opened.studio().setups().get(0).takesOf(BASS)).hasSize(1);
        }
        assertThat(Migrations.version(file)).isEqualTo(Database.VERSION);
    }

    private static void put(Connection connection, String sql, String body) throws SQLException {
        try (PreparedStatement statement = connection.prepareStatement(sql)) {
            statement.setString(1, body);
            statement.executeUpdate();
        }
    }
}
