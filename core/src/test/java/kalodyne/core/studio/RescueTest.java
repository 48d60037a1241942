package kalodyne.core.studio;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.joint.Spot;
import kalodyne.core.studio.setup.Take;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files that are no studio, newer, damaged or cut off: nothing is lost that can be read, and nothing is written over. */
class RescueTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2026-03-01T12:04:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    private Path file;

    @BeforeEach
    void name() {
        file = folder.resolve("mine.kalodyne");
    }

    private OpenStudio open() throws IOException {
        return StudioFile.open(file, Studio.empty(), CLOCK);
    }

    @Test
    void what_is_no_studio_is_left_alone() throws Exception {
        Files.writeString(file, "dear diary");
        assertThatThrownBy(this::open).hasMessageContaining("It is not a studio.");
        assertThat(file).hasContent("dear diary");
        Path other = folder.resolve("other.kalodyne");
        sql(other, "CREATE TABLE diary (day TEXT)");
        assertThatThrownBy(() -> StudioFile.open(other, Studio.empty(), CLOCK))
                .hasMessageContaining("a database of another program");
        assertThatThrownBy(() -> StudioFile.open(folder, Studio.empty(), CLOCK))
                .hasMessageContaining("It is a folder.");
        assertThatThrownBy(() -> StudioFile.read(folder.resolve("gone.kalodyne")))
                .hasMessageContaining("There is no such file.");
    }

    @Test
    void a_newer_file_is_left_alone() throws Exception {
        StudioFile.write(file, Studio.empty());
        sql(file, "PRAGMA user_version = 99");
        byte[] before = Files.readAllBytes(file);
        assertThatThrownBy(this::open)
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("written by a newer Kalodyne (version 99 of the file)")
                .hasMessageContaining("export it there as JSON");
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }

    private static void sql(Path file, String text) throws SQLException {
        try (Connection connection = Database.forWriting(file);
                Statement statement = connection.createStatement()) {
            statement.execute(text);
        }
    }

    /** Every page but the first is overwritten in turn: the studio opens, most is there, the damaged file is kept. */
    @Test
    void a_damaged_file_is_rescued_and_kept() throws IOException {
        Studio whole =
                Studio.empty().changing("setup-1", setup -> setup.with(take("Take 1", "synth.out>interface.adc")));
        for (int i = 0; i < 60; i++) {
            whole = whole.with(Numbered.device(i)).with(Numbered.lead(i));
        }
        Path sound = folder.resolve("sound.kalodyne");
        StudioFile.write(sound, whole);
        long page = 4096;
        long pages = Files.size(sound) / page;
        Random random = new Random(5);
        int damaged = 0;
        for (int attempt = 0; attempt < 12; attempt++) {
            Path own = Files.createDirectory(folder.resolve("attempt-" + attempt));
            file = own.resolve("mine.kalodyne");
            Files.copy(sound, file, StandardCopyOption.REPLACE_EXISTING);
            byte[] noise = new byte[(int) page];
            random.nextBytes(noise);
            long bad = 1L + random.nextInt((int) pages - 1);
            try (RandomAccessFile raw = new RandomAccessFile(file.toFile(), "rw")) {
                raw.seek(bad * page);
                raw.write(noise);
            }
            byte[] original = Files.readAllBytes(file);
            try (OpenStudio studio = open()) {
                if (studio.rescued().isEmpty()) {
                    // The page was free, or held what is not asked for.
                    continue;
                }
                damaged++;
                assertThat(studio.rescued()).contains("Recovered: ").contains("The damaged file was kept as");
                int found = studio.studio().devices().size()
                        + studio.studio().leads().size();
                assertThat(found).as(studio.rescued()).isGreaterThan(0);
                assertThat(whole.devices()).containsAll(studio.studio().devices());
                Path kept = own.resolve("mine damaged 2026-03-01 120400.kalodyne");
                assertThat(Files.readAllBytes(kept)).isEqualTo(original);
                studio.history().edit("go on", studio.studio().withName("Goes on"));
            }
            assertThat(StudioFile.read(file).name()).isEqualTo("Goes on");
        }
        assertThat(damaged).isGreaterThan(6);
    }

    @Test
    void where_nothing_can_be_read_the_backup_takes_its_place() throws IOException {
        try (OpenStudio studio = open()) {
            studio.history().edit("add a device", Studio.empty().with(Numbered.device(1)));
            studio.flush();
            studio.backUp(CLOCK);
        }
        Files.write(file, new byte[3000]);
        try (OpenStudio studio = open()) {
            assertThat(studio.rescued())
                    .startsWith("Nothing could be read in it, so the backup of 2026-03-01 took its place.")
                    .endsWith("The damaged file was kept as mine damaged 2026-03-01 120400.kalodyne.");
            assertThat(studio.studio().devices()).hasSize(1);
        }
    }

    @Test
    void half_a_file_is_rescued_too() throws IOException {
        Studio whole = Studio.empty();
        for (int i = 0; i < 80; i++) {
            whole = whole.with(Numbered.device(i));
        }
        StudioFile.write(file, whole);
        byte[] all = Files.readAllBytes(file);
        Files.write(file, Arrays.copyOf(all, all.length / 2));
        try (OpenStudio studio = open()) {
            assertThat(studio.rescued()).contains("Recovered: ");
            assertThat(studio.studio().devices()).hasSizeGreaterThan(10);
            assertThat(whole.devices()).containsAll(studio.studio().devices());
        }
    }

    @Test
    void backups_thin_out_with_age() throws Exception {
        StudioFile.write(file, Studio.empty());
        Backups backups = new Backups(file);
        LocalDate today = LocalDate.of(2026, 11, 25);
        for (int age = 0; age < 500; age++) {
            backups.make(today.minusDays(age).atTime(9, 0));
        }
        backups.prune(today);
        List<LocalDate> days =
                backups.list().stream().map(backup -> backup.at().toLocalDate()).toList();
        assertThat(days)
                .startsWith(today, today.minusDays(1), today.minusDays(6).plusDays(4));
        assertThat(days.stream().filter(day -> day.isAfter(today.minusDays(7)))).hasSize(7);
        assertThat(days)
                .hasSizeBetween(20, 24)
                .last()
                .satisfies(oldest -> assertThat(oldest).isAfter(today.minusMonths(12)));
        assertThat(StudioFile.read(backups.list().get(0).file())).isEqualTo(Studio.empty());
    }

    private static Take take(String name, String run) {
        return new Take(name, run, "x.wav", Instant.EPOCH, Map.of(Spot.read("device-1.gain"), 0.5));
    }
}
