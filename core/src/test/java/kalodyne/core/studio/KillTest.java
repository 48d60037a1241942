package kalodyne.core.studio;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The program is killed in the middle of its edits, many times: nothing that it was told is kept is lost. */
class KillTest {
    private static final int KILLS = Integer.getInteger("kalodyne.kills", 6);

    @TempDir
    Path folder;

    @Test
    void no_kept_edit_is_lost_and_the_file_is_whole() throws Exception {
        Path file = folder.resolve("killed.kalodyne");
        Random random = new Random(23);
        long edits = 0;
        for (int round = 0; round < KILLS; round++) {
            long told = editAndKill(file, random.nextInt(300));
            assertThat(pragma(file, "integrity_check")).isEqualTo("ok");
            assertThat(pragma(file, "foreign_key_check")).isEqualTo("none");
            try (OpenStudio studio = StudioFile.open(file, Studio.empty(), Clock.systemUTC())) {
                assertThat(studio.isReadOnly())
                        .as("the lock of a killed process is free")
                        .isFalse();
                assertThat(studio.rescued()).isEmpty();
                edits = EditingProcess.last(studio.studio());
                assertThat(edits).as("round " + round).isGreaterThanOrEqualTo(told);
                // The last edits are there, and those alone: each device has the note of its last edit.
                for (long number = Math.max(1, edits - EditingProcess.DEVICES + 1); number <= edits; number++) {
                    assertThat(studio.studio().devices()).contains(EditingProcess.device(number));
                }
                assertThat(studio.history().undoable()).contains("edit " + edits);
                studio.history().undo();
                assertThat(EditingProcess.last(studio.studio())).isEqualTo(edits - 1);
                studio.history().redo();
            }
        }
        assertThat(edits).isGreaterThan(KILLS * 7L);
    }

    /** A killed program leaves a log that SQLite wants to tidy up, which it cannot in a folder that is not to be written. */
    @Test
    void what_was_kept_can_be_read_in_a_folder_that_cannot_be_written() throws Exception {
        Path file = Files.createDirectory(folder.resolve("locked")).resolve("killed.kalodyne");
        long told = editAndKill(file, 100);
        assertThat(StudioPaths.withTail(file, "-wal")).isNotEmptyFile();
        Set<PosixFilePermission> before = Files.getPosixFilePermissions(file.getParent());
        Files.setPosixFilePermissions(file.getParent(), PosixFilePermissions.fromString("r-xr-xr-x"));
        try {
            Process process = new ProcessBuilder(asOrdinaryUser(java(ReadingProcess.class, file)))
                    .redirectError(ProcessBuilder.Redirect.INHERIT)
                    .start();
            String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            int colon = printed.indexOf(':');
            assertThat(Long.parseLong(printed.substring(0, colon))).isGreaterThanOrEqualTo(told);
            assertThat(printed).endsWith(": You may not write in " + file.getParent() + ".");
        } finally {
            Files.setPosixFilePermissions(file.getParent(), before);
        }
        assertThat(StudioPaths.withTail(file, "-wal")).isNotEmptyFile();
    }

    /** The superuser may write everywhere, unless it gives that up. */
    private static List<String> asOrdinaryUser(List<String> command) {
        if (!System.getProperty("user.name").equals("root")) {
            return command;
        }
        List<String> all = new ArrayList<>(List.of("setpriv", "--bounding-set", "-dac_override,-dac_read_search"));
        all.addAll(command);
        return all;
    }

    private static List<String> java(Class<?> main, Path file) {
        return List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                main.getName(),
                file.toString());
    }

    /** Lets another process edit for a while; says which edit it was last told is kept. */
    private long editAndKill(Path file, int milliseconds) throws IOException, InterruptedException {
        Path printed = folder.resolve("printed");
        Process process = new ProcessBuilder(java(EditingProcess.class, file))
                .redirectOutput(printed.toFile())
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        while (process.isAlive() && Files.size(printed) == 0) {
            Thread.sleep(5);
        }
        Thread.sleep(milliseconds);
        // On Linux this is SIGKILL: nothing in the process gets to run any more.
        process.destroyForcibly();
        assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
        List<String> lines = Files.readAllLines(printed);
        assertThat(lines).isNotEmpty().allMatch(line -> line.matches("\\d+"));
        return Long.parseLong(lines.get(lines.size() - 1));
    }

    private static String pragma(Path file, String check) throws SQLException {
        try (Connection connection = Database.forWriting(file);
                Statement statement = connection.createStatement();
                ResultSet result = statement.executeQuery("PRAGMA " + check)) {
            return result.next() ? result.getString(1) : "none";
        }
    }
}
