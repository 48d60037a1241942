package kalodyne.core.studio.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.Value;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.route.Also;
import kalodyne.core.route.Budget;
import kalodyne.core.route.Extras;
import kalodyne.core.route.ListeningWish;
import kalodyne.core.route.MonitorPath;
import kalodyne.core.route.Priority;
import kalodyne.core.route.Spending;
import kalodyne.core.route.Stereo;
import kalodyne.core.route.Wish;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.runsheet.Standing;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.testing.Demo;
import kalodyne.core.units.Length;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What goes out comes in again, equal to the last digit; what somebody else wrote is read or explained. */
class StudioRoundTripTest {
    private static final Path FILE = Path.of("x.json");

    @TempDir
    Path folder;

    private static List<Device> devices() {
        return Catalogue.shipped().devices().stream().map(Profile::gear).toList();
    }

    private static List<Lead> leads() {
        return Catalogue.shipped().leads().stream().map(Profile::gear).toList();
    }

    @Test
    void every_catalogue_entry_through_json() throws IOException {
        Studio studio = Boathouse.studio();
        for (Device device : devices()) {
            studio = studio.with(device);
        }
        for (Lead lead : leads()) {
            studio = studio.with(lead);
        }
        assertThat(StudioReader.read(StudioWriter.write(studio), FILE)).isEqualTo(studio);
    }

    /** All that is planned, what was said of takes and how sessions went: in the file and as JSON. */
    @Test
    void what_is_planned_and_what_was_done_comes_back() throws IOException {
        Studio studio = StudioFile.read(Demo.in(folder));
        SessionPlan planned = SessionPlan.USUAL
                .withMinutes(75)
                .withFormat(OptionalInt.of(96_000), OptionalInt.of(24))
                .withBeatsPerMinute(OptionalDouble.of(97.5))
                .withFree("laptop", Optional.of(64_000_000_000L))
                .withPowering("drum-box", Optional.of(PowerSource.ADAPTER_UNEARTHED))
                .withPasses(List.of(new SessionPlan.Pass("drum-box", "Snare")))
                .withRoundTrip(OptionalDouble.of(12.34))
                .withStanding("cello", Optional.of(new Standing(0.5, 2.25, 0.9)));
        studio = studio.with(studio.setups().get(0).with(planned));
        assertThat(studio.setups().get(0).takes())
                .allMatch(take -> take.judged().isPresent());
        assertThat(studio.setups().get(1).sessions()).hasSize(2);
        assertThat(StudioReader.read(StudioWriter.write(studio), FILE)).isEqualTo(studio);
        Path file = folder.resolve("planned.kalodyne");
        StudioFile.write(file, studio);
        assertThat(AnyStudio.read(file)).isEqualTo(studio);
    }

    /** The choice of what counts most stays with the studio: in its file and as JSON, also for gear that has gone. */
    @ParameterizedTest
    @CsvSource({"drum-box,tablet", "gone-from-the-shelf,tablet", "drum-box,''"})
    void what_was_looked_for_comes_back(String source, String target) throws IOException {
        Wish wish = new Wish(
                List.of(source, "cello"),
                target,
                Stereo.KEEP,
                new ListeningWish(
                        List.of("headphones", "headphones-2"),
                        List.of("subwoofer", "left-speaker"),
                        MonitorPath.DIRECT),
                new Extras(
                        true,
                        true,
                        Set.of(Also.SAFETY_COPY, Also.TWO_MIXES),
                        true,
                        List.of("mixer"),
                        Budget.LEAD,
                        new Spending(OptionalDouble.of(60), Map.of("trs-trs", 12.5))),
                Priority.FEW_BREAKS,
                Priority.QUICK);
        Studio studio = Boathouse.studio();
        studio = studio.with(studio.setups().get(0).withWish(Optional.of(wish)));
        assertThat(StudioReader.read(StudioWriter.write(studio), FILE)).isEqualTo(studio);
        Path file = folder.resolve("wished.kalodyne");
        StudioFile.write(file, studio);
        assertThat(AnyStudio.read(file)).isEqualTo(studio);
    }

    /** With comma, semicolon and tab, and with the quotes that a spreadsheet puts round every cell. */
    @ParameterizedTest
    @ValueSource(strings = {",", ";", "\t"})
    void every_catalogue_entry_through_tables(String delimiter) throws IOException {
        assertThat(StudioTables.read(rewritten(StudioTables.devices(devices()), delimiter), FILE)
                        .devices())
                .isEqualTo(devices());
        assertThat(StudioTables.read(rewritten(StudioTables.leads(leads()), delimiter), FILE)
                        .leads())
                .isEqualTo(leads());
    }

    private static String rewritten(String csv, String delimiter) throws IOException {
        var format = org.apache.commons.csv.CSVFormat.RFC4180;
        var all = format.builder()
                .setDelimiter(delimiter)
                .setQuoteMode(org.apache.commons.csv.QuoteMode.ALL)
                .get();
        StringBuilder text = new StringBuilder("\ufeff");
        for (var row : org.apache.commons.csv.CSVParser.parse(csv, format)) {
            text.append(all.format((Object[]) row.values())).append("\n");
        }
        return text.toString();
    }

    /** Names that a spreadsheet would run, that look like marked cells, with quotes, breaks and commas in them. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "=1+1",
                "+4 dBu",
                "-10 dBV",
                "@SUM(A1)",
                "'quoted",
                "'=tricky",
                "''=trickier",
                "a,b;c",
                "say \"hi\"",
                "two\nlines",
                "ß ø 日本 \uD83C\uDFB8",
                "=HYPERLINK(\"x\")"
            })
    void names_come_back_and_do_no_harm(String name) throws IOException {
        Lead lead = leads().get(0).withName(name).withNote(name).withColour(name);
        Device device = devices().get(0).withName(name).withNote(name);
        String leadTable = StudioTables.leads(List.of(lead));
        String deviceTable = StudioTables.devices(List.of(device));
        for (String table : List.of(leadTable, deviceTable)) {
            for (var row : org.apache.commons.csv.CSVParser.parse(table, org.apache.commons.csv.CSVFormat.RFC4180)) {
                assertThat(row.stream()).noneMatch(cell -> cell.matches("(?s)[=+\\-@\t\r].*"));
            }
        }
        assertThat(StudioTables.read(leadTable, FILE).leads()).containsExactly(lead);
        assertThat(StudioTables.read(deviceTable, FILE).devices()).containsExactly(device);
        Studio studio = Studio.empty().with(lead).with(device);
        assertThat(StudioReader.read(StudioWriter.write(studio), FILE)).isEqualTo(studio);
    }

    /** As somebody types it into a spreadsheet of a country with a decimal comma. */
    @Test
    void a_short_table_leans_on_the_profiles() throws IOException {
        Studio read = StudioTables.read("""
                Lead;Profile;Colour;Owned;length;length from
                Blue one;ts-ts;blue;2;2,5 m;measured 2026-03-01: with a tape
                Grey one;mini-2rca;;;;
                """, FILE);
        assertThat(read.leads()).extracting(Lead::id).containsExactly("blue-one", "grey-one");
        Lead blue = read.leads().get(0);
        assertThat(blue.owned()).isEqualTo(2);
        assertThat(blue.facts().get(Fact.LENGTH))
                .contains(new Value<>(
                        new Length(2.5),
                        new Provenance(
                                Provenance.Origin.MEASURED,
                                java.util.Optional.empty(),
                                "with a tape",
                                java.util.Optional.of(LocalDate.of(2026, 3, 1)))));
        assertThat(blue.wires())
                .isEqualTo(
                        Catalogue.shipped().lead("ts-ts").orElseThrow().gear().wires());
        Studio gear = StudioTables.read("""
                device,what,is,from
                My synth,profile,synth-analogue,
                My synth,sockets.out.values.loudestPeak,"3,2 Vpp",datasheet 2026-03-01: page 4
                """, FILE);
        assertThat(gear.devices().get(0).socket("out").orElseThrow().facts().printed(Fact.LOUDEST_PEAK))
                .contains("+3.3 dBu");
        assertThat(gear.devices().get(0).socket("midi-in")).isPresent();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            lead,profile,length\\nA,ts-ts,10 dB           | line 2 (leads › 1 › values › length › is) | “dB” is not a unit of length.
            lead,profile\\nA,nothing-such                 | line 2 | neither ends and wires nor a profile
            lead,profile,owned\\nA,ts-ts,many             | line 2 | “many” is not a number of leads.
            lead,ends,wires\\nA,a RCA plug,a.pin>b.pin    | line 2 (leads › 1 › ends) | There are too few or too many of them.
            lead,ends,wires\\nA,a RCA plug; b RCA plug,a.pin>c.pin | line 2 (leads › 1) | points at the end “c”, which is not there
            lead,ends,wires\\nA,nonsense,                 | line 2 | “nonsense” is not an end.
            device,what,is\\nA,profile,synth-analogue\\nA,sockets.out.values.loudestPeak,10 kΩ | line 3 (devices › 1 › sockets › 1 › values › loudestPeak › is) | “kΩ” is not a unit of level.
            device,what,is\\nA,kind,synth                 | line 2 (devices › 1) | “sockets” is missing.
            device,what,is\\nA,profile,synth-analogue\\nA,colour,red | line 3 (devices › 1) | “colour” is not known here.
            device,what,is,from\\nA,profile,synth-analogue,\\nA,sockets.out.values.loudestPeak,1 V,hearsay | line 3 | does not tell where a value is from
            some,thing\\n1,2                              | line 1 | neither a table of devices nor of leads
            """)
    void says_where_a_table_is_wrong(String table, String place, String problem) {
        UnreadableFile unreadable =
                catchThrowableOfType(UnreadableFile.class, () -> StudioTables.read(table.replace("\\n", "\n"), FILE));
        assertThat(unreadable).as(table).isNotNull();
        assertThat(unreadable.problems()).anySatisfy(each -> {
            assertThat(each.place()).startsWith(place);
            assertThat(each.what()).contains(problem);
        });
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '~', textBlock = """
            "loadImpedance": { "is": "10 dB"         | sockets › 1 › values › loadImpedance › is, line | “dB” is not a unit of impedance.
            "from": ["gone"]                          | devices › 1, line | points at the stage “gone”, which is not there
            "normalledFrom": "s"                      | devices › 1, line | is fed by itself, in a circle
            "way": "sideways"                         | sockets › 1 › way, line | is not a choice here
            """)
    void says_where_a_studio_is_wrong(String bad, String place, String problem) {
        String field = bad.contains("loadImpedance") ? "\"values\": { " + bad + ", \"from\": \"measured\" } }" : bad;
        String way = bad.startsWith("\"way\"") ? bad : "\"way\": \"in\", " + field;
        String json = """
                { "format": "kalodyne-studio", "version": 1, "name": "S",
                  "devices": [{ "id": "d", "name": "D", "kind": "box", "sockets": [
                  { "id": "s", "name": "S", "connector": "RCA", %s, "signal": "line", "contacts": {} }] }] }
                """.formatted(way);
        UnreadableFile unreadable = catchThrowableOfType(UnreadableFile.class, () -> StudioReader.read(json, FILE));
        assertThat(unreadable).as(json).isNotNull();
        assertThat(unreadable.problems()).anySatisfy(each -> {
            assertThat(each.place()).contains(place);
            assertThat(each.what()).contains(problem);
        });
    }

    /** Whatever is cut from or changed in good files: a studio, or problems; nothing else. */
    @Test
    void survives_any_change() throws IOException {
        Random random = new Random(47);
        List<String> good = List.of(
                StudioWriter.write(Boathouse.studio()),
                StudioTables.devices(Boathouse.studio().devices()),
                StudioTables.leads(Boathouse.studio().leads()));
        for (int i = 0; i < 240; i++) {
            StringBuilder text = new StringBuilder(good.get(i % 3));
            int at = random.nextInt(text.length() - 40);
            switch (random.nextInt(4)) {
                case 0 -> text.delete(at, at + 1 + random.nextInt(39));
                case 1 -> text.setLength(at);
                case 2 -> text.insert(at, text.substring(at, at + 40));
                default -> text.setCharAt(at, (char) (32 + random.nextInt(95)));
            }
            Path file = Files.writeString(folder.resolve("any" + (i % 3 == 0 ? ".json" : ".csv")), text);
            try {
                assertThat(AnyStudio.read(file)).isNotNull();
            } catch (UnreadableFile e) {
                assertThat(e.problems()).isNotEmpty().allSatisfy(problem -> {
                    assertThat(problem.what()).endsWith(".");
                    assertThat(problem.remedy()).endsWith(".");
                });
            }
        }
    }
}
