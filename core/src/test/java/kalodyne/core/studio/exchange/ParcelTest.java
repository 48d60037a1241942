package kalodyne.core.studio.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.Progress;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Spot;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.exchange.ImportPlan.Mode;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.studio.setup.Take;
import kalodyne.core.units.UnreadableQuantity;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A setup goes to somebody else's machine and is there what it was here. */
class ParcelTest {
    private static final String PHOTO = "photos/knobs.jpg";

    @TempDir
    private Path folder;

    private Path here;
    private Path parcel;
    private Studio studio;
    private Setup setup;

    @BeforeEach
    void build() throws IOException {
        here = folder.resolve("here");
        parcel = folder.resolve("Sunday trio.zip");
        studio = Boathouse.studio();
        Files.createDirectories(here.resolve("photos"));
        Files.createDirectories(here.resolve("takes"));
        Files.writeString(here.resolve(PHOTO), "a picture");
        Files.writeString(here.resolve("takes/one.wav"), "x".repeat(200_000));
        Files.writeString(here.resolve("takes/two.wav"), "y".repeat(200_000));
        Setup bare =
                studio.setups().get(0).with(take("Take 1", "takes/one.wav")).with(take("Take 2", "takes/two.wav"));
        Tick tick = new Tick("plug", "Plug it", Tick.Outcome.DONE, Instant.EPOCH, "", List.of(PHOTO));
        setup = bare.with(new Session("Sitting 1", Instant.EPOCH, true, List.of(tick), bare.wiring(), bare.settings()));
    }

    private static Take take(String name, String file) {
        return new Take(
                name,
                "bass-synth.out>interface.adc-3",
                file,
                Instant.EPOCH,
                Map.of(Spot.read("bass-synth.volume"), 1.0, Spot.read("interface.gain-3"), 0.35));
    }

    /** A photograph of gear goes along, and only of what is plugged. */
    @Test
    void photographs_of_gear_arrive() throws IOException {
        Files.writeString(here.resolve("photos/synth.jpg"), "a synth");
        studio = studio.with(studio.device("bass-synth").orElseThrow().withPhoto(Optional.of("photos/synth.jpg")))
                .with(studio.lead("lead-7").orElseThrow().withPhoto(Optional.of(PHOTO)))
                .with(studio.device("camera").orElseThrow().withPhoto(Optional.of("photos/not-there.jpg")));
        assertThat(write(setup)).isEmpty();
        Path there = Files.createDirectories(folder.resolve("there"));
        Studio unpacked = Parcel.open(parcel).unpack(there, Progress.NONE);
        assertThat(there.resolve(
                        unpacked.device("bass-synth").orElseThrow().photo().orElseThrow()))
                .hasContent("a synth");
        assertThat(there.resolve(unpacked.lead("lead-7").orElseThrow().photo().orElseThrow()))
                .hasContent("a picture");
    }

    /** Nobody's files outside the folder of the studio are named by its gear: such a name would be handed on with its content. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/etc/passwd",
                "../secret.jpg",
                "photos/../../secret.jpg",
                "C:/secret.jpg",
                "photos\\..\\secret.jpg",
                "",
                "photos//x.jpg",
                "~/./x.jpg"
            })
    void a_photograph_lies_beside_the_studio(String path) {
        assertThatThrownBy(() -> studio.devices().get(0).withPhoto(Optional.of(path)))
                .isInstanceOf(UnreadableQuantity.class)
                .hasMessageContaining("beside the studio");
        Device pictured = studio.devices().get(0).withPhoto(Optional.of("photos/HERE"));
        String json = StudioWriter.write(studio.with(pictured)).replace("photos/HERE", path.replace("\\", "\\\\"));
        assertThatThrownBy(() -> StudioReader.read(json, Path.of("given.json")))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("photo");
    }

    private List<Path> write(Setup what) throws IOException {
        return ParcelWriter.write(parcel, studio, what, here, Progress.NONE);
    }

    @Test
    void all_that_belongs_to_a_setup_arrives() throws IOException {
        assertThat(write(setup)).isEmpty();
        Path there = Files.createDirectories(folder.resolve("there"));
        Studio unpacked = Parcel.open(parcel).unpack(there, Progress.NONE);
        Studio theirs = ImportPlan.of(Studio.empty(), unpacked, Mode.MERGE).result();
        Setup arrived = theirs.setups().get(0);
        assertThat(arrived.wiring()).isEqualTo(setup.wiring());
        assertThat(arrived.settings()).isEqualTo(setup.settings());
        assertThat(theirs.patch(arrived)).isEqualTo(studio.patch(setup));
        for (int i = 0; i < setup.takes().size(); i++) {
            assertThat(there.resolve(arrived.takes().get(i).file()))
                    .hasSameBinaryContentAs(here.resolve(setup.takes().get(i).file()));
        }
        assertThat(there.resolve(
                        arrived.sessions().get(0).ticks().get(0).photos().get(0)))
                .hasContent("a picture");
        // What the setup does not use is nobody else's business.
        assertThat(theirs.devices()).hasSizeLessThan(studio.devices().size());
        assertThat(theirs.leads()).hasSizeLessThan(studio.leads().size());
    }

    /** Twice into one studio: two folders, and as new with gear of its own that its takes and its log follow. */
    @Test
    void twice_is_two() throws IOException {
        write(setup);
        Studio first = Parcel.open(parcel).unpack(here, Progress.NONE);
        Studio second = Parcel.open(parcel).unpack(here, Progress.NONE);
        assertThat(first).isNotEqualTo(second);
        Studio both = ImportPlan.of(studio, second, Mode.COPY).result();
        Setup copy = both.setups().get(both.setups().size() - 1);
        Take take = copy.takes().get(0);
        String synth = take.run().substring(0, take.run().indexOf('.'));
        assertThat(synth).isNotEqualTo("bass-synth");
        assertThat(both.device(synth).orElseThrow().name()).isEqualTo("Bass synth 2");
        assertThat(take.positions().keySet()).noneMatch(key -> key.item().equals("interface"));
        assertThat(copy.sessions().get(0).wiring()).isEqualTo(copy.wiring());
    }

    @Test
    void takes_of_one_name_from_two_folders_stay_apart_and_what_is_gone_is_told() throws IOException {
        Path other = folder.resolve("elsewhere").resolve("one.wav");
        Files.createDirectories(other.getParent());
        Files.writeString(other, "another recording");
        Setup more = setup.with(take("Take 3", other.toString())).with(take("Take 4", "takes/gone.wav"));
        assertThat(write(more)).containsExactly(here.resolve("takes/gone.wav"));
        Path there = Files.createDirectories(folder.resolve("there"));
        List<Take> takes =
                Parcel.open(parcel).unpack(there, Progress.NONE).setups().get(0).takes();
        assertThat(there.resolve(takes.get(2).file())).hasContent("another recording");
        assertThat(takes.get(3).file()).isEqualTo("from Sunday trio/takes/gone.wav");
        assertThat(there.resolve(takes.get(0).file())).hasSameBinaryContentAs(here.resolve("takes/one.wav"));
    }

    @Test
    void stopping_leaves_nothing() throws IOException {
        write(setup);
        Path there = Files.createDirectories(folder.resolve("there"));
        Progress stopped = done -> done < 0.5;
        assertThatThrownBy(() -> Parcel.open(parcel).unpack(there, stopped)).isInstanceOf(CancellationException.class);
        assertThat(there).isEmptyDirectory();
        byte[] before = Files.readAllBytes(parcel);
        assertThatThrownBy(() -> ParcelWriter.write(parcel, studio, setup, here, stopped))
                .isInstanceOf(CancellationException.class);
        assertThat(parcel).hasBinaryContent(before);
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files).noneMatch(path -> path.toString().endsWith(".part"));
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "../evil.wav",
                "takes/../../evil.wav",
                "/etc/evil.wav",
                "takes/..",
                "takes\\..\\..\\evil.wav",
                "C:/evil.wav",
                "takes/a:b.wav",
                "takes/deep/er.wav",
                "evil.exe"
            })
    void a_path_that_leads_outside_is_refused_before_anything_is_unpacked(String name) throws IOException {
        write(setup);
        Path bad = folder.resolve("bad.zip");
        copyWith(bad, name, "x".getBytes(StandardCharsets.UTF_8));
        assertThatThrownBy(() -> Parcel.open(bad))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("It would land outside")
                .hasMessageContaining(name);
    }

    private void copyWith(Path target, String name, byte[] content) throws IOException {
        try (ZipFile in = new ZipFile(parcel.toFile());
                OutputStream file = Files.newOutputStream(target);
                ZipOutputStream out = new ZipOutputStream(file)) {
            for (ZipEntry entry : in.stream().toList()) {
                out.putNextEntry(new ZipEntry(entry.getName()));
                in.getInputStream(entry).transferTo(out);
            }
            out.putNextEntry(new ZipEntry(name));
            out.write(content);
        }
    }

    /** Else handing such a setup on again would take along whatever the other one wanted to have. */
    @Test
    void a_setup_that_names_files_elsewhere_is_refused() throws IOException {
        Path bad = folder.resolve("bad.zip");
        Studio stealing = studio.withSetups(List.of(setup.with(take("Take 3", "/home/somebody/diary.txt"))));
        try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(bad))) {
            out.putNextEntry(new ZipEntry("studio.json"));
            out.write(StudioWriter.write(stealing).getBytes(StandardCharsets.UTF_8));
        }
        assertThatThrownBy(() -> Parcel.open(bad))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("names a file that is not in it");
    }

    /** What no take and no photograph of the setup is called stays in the parcel. */
    @Test
    void what_nothing_names_is_not_unpacked() throws IOException {
        write(setup);
        Path more = folder.resolve("more.zip");
        copyWith(more, "takes/surprise.sh", "x".getBytes(StandardCharsets.UTF_8));
        Path there = Files.createDirectories(folder.resolve("there"));
        Parcel.open(more).unpack(there, Progress.NONE);
        assertThat(there.resolve("from more/takes"))
                .isDirectoryNotContaining(path -> path.toString().endsWith(".sh"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"cut", "text", "no studio", "damaged studio"})
    void what_is_not_one_says_so(String what) throws IOException {
        write(setup);
        Path bad = folder.resolve(what + ".zip");
        switch (what) {
            case "cut" -> {
                byte[] all = Files.readAllBytes(parcel);
                Files.write(bad, Arrays.copyOf(all, all.length / 2));
            }
            case "text" -> Files.writeString(bad, "PK, but no more");
            default -> {
                try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(bad))) {
                    out.putNextEntry(new ZipEntry(what.equals("no studio") ? "takes/a.wav" : "studio.json"));
                    out.write("{\"format\": 3".getBytes(StandardCharsets.UTF_8));
                }
            }
        }
        assertThatThrownBy(() -> Parcel.open(bad))
                .isInstanceOf(UnreadableFile.class)
                .satisfies(failure -> assertThat(((UnreadableFile) failure).problems())
                        .allSatisfy(problem -> assertThat(problem.remedy()).isNotBlank()));
    }
}
