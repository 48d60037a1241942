package kalodyne.core.studio;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;

/** Tells a sound studio file from a damaged one, and that from something else. */
final class Soundness {
    private Soundness() {}

    /**
     * Checks that a file is a studio of this version or an older one, and sound.
     *
     * @throws StudioTrouble where it is not
     */
    static void check(Path file) throws SQLException, StudioTrouble {
        try {
            requireHeader(file);
            Migrations.version(file);
            try (Connection connection = Database.forReading(file);
                    Statement statement = connection.createStatement();
                    ResultSet result = statement.executeQuery("PRAGMA quick_check(1)")) {
                String verdict = result.getString(1);
                if (!"ok".equals(verdict)) {
                    throw new StudioTrouble(
                            StudioTrouble.Kind.DAMAGED,
                            "It is damaged: " + verdict + ".",
                            "Open it in the window, which recovers what can be read, or use a backup.");
                }
            }
        } catch (NoSuchFileException e) {
            throw new StudioTrouble(
                    StudioTrouble.Kind.FOREIGN, "There is no such file.", "Check its name, or whether it was moved.");
        } catch (IOException e) {
            throw new SQLException(file + " cannot be read", e);
        } catch (SQLException e) {
            if (Trouble.isDamage(e)) {
                throw new StudioTrouble(
                        StudioTrouble.Kind.DAMAGED,
                        "It is damaged: " + e.getMessage() + ".",
                        "Open it in the window, which recovers what can be read, or use a backup.");
            }
            throw e;
        }
    }

    /** A file that does not begin like a database is damaged if it has backups; else it never was a studio. */
    private static void requireHeader(Path file) throws IOException, StudioTrouble {
        byte[] magic = "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);
        byte[] head;
        try (var in = Files.newInputStream(file)) {
            head = in.readNBytes(magic.length);
        }
        if (!Arrays.equals(head, magic)) {
            boolean wasStudio = !new Backups(file).list().isEmpty();
            throw wasStudio
                    ? new StudioTrouble(
                            StudioTrouble.Kind.DAMAGED,
                            "Its beginning is damaged.",
                            "Open it in the window, which recovers what can be read, or use a backup.")
                    : new StudioTrouble(
                            StudioTrouble.Kind.FOREIGN, "It is not a studio.", "Choose a file that ends in .kalodyne.");
        }
    }
}
