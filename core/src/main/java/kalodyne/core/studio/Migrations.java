package kalodyne.core.studio;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.function.Consumer;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;

/** Brings a studio file to the version of this program. */
final class Migrations {
    private static final String SCRIPTS = "classpath:kalodyne/core/studio/migration";

    private Migrations() {}

    /**
     * Makes the file, or brings it to this version; does nothing to one that has it already.
     *
     * @throws StudioTrouble where it is of a newer version or something else
     */
    static void bring(Path file) throws SQLException, StudioTrouble {
        bring(file, older -> {});
    }

    /**
     * The same, telling before an older file is changed.
     *
     * @param beforeChange is given the file
     */
    static void bring(Path file, Consumer<Path> beforeChange) throws SQLException, StudioTrouble {
        int version = 0;
        try {
            if (Files.exists(file) && Files.size(file) > 0) {
                version = version(file);
                if (version == Database.VERSION) {
                    return;
                }
                beforeChange.accept(file);
            }
            Files.createDirectories(file.toAbsolutePath().getParent());
            Flyway.configure()
                    .dataSource(Database.url(file), null, null)
                    .locations(SCRIPTS)
                    .javaMigrations(new V4__DescribedRuns())
                    .loggers("slf4j")
                    .load()
                    .migrate();
        } catch (IOException e) {
            throw new SQLException("the folder of " + file + " cannot be made", e);
        } catch (FlywayException e) {
            throw new SQLException(file + " could not be brought from version " + version, e);
        }
    }

    /**
     * The version of a file that is there.
     *
     * @throws StudioTrouble where it is of a newer version, or not a studio
     */
    static int version(Path file) throws SQLException, StudioTrouble {
        try (Connection connection = Database.forReading(file);
                Statement statement = connection.createStatement()) {
            int application = number(statement, "PRAGMA application_id");
            int version = number(statement, "PRAGMA user_version");
            if (application != Database.APPLICATION_ID) {
                throw new StudioTrouble(
                        StudioTrouble.Kind.FOREIGN,
                        "It is a database of another program.",
                        "Choose a studio; they end in .kalodyne.");
            }
            if (version > Database.VERSION) {
                throw new StudioTrouble(
                        StudioTrouble.Kind.FOREIGN,
                        "It was written by a newer Kalodyne (version " + version + " of the file).",
                        "Open it with that one, or export it there as JSON.");
            }
            return version;
        }
    }

    private static int number(Statement statement, String pragma) throws SQLException {
        try (ResultSet result = statement.executeQuery(pragma)) {
            return result.getInt(1);
        }
    }
}
