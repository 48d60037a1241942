package kalodyne.command;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.JsonFormat;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.exchange.ParcelWriter;
import kalodyne.core.studio.exchange.StudioReader;
import kalodyne.core.testing.Demo;
import org.junit.jupiter.api.Test;

/** How a studio goes out and comes in: exit status, the JSON after its published schema, complaints. */
class StudioCommandsTest extends CommandCase {
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
        Path file = Demo.in(folder);
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
        Path file = Demo.in(folder);
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
        Studio studio = StudioFile.read(Demo.in(folder));
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
        Path file = Demo.in(folder);
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
        Path file = Demo.in(folder);
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
