package kalodyne.core.studio;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;

/** Makes studio files. */
final class NewFile {
    private NewFile() {}

    /**
     * Writes a new file.
     *
     * @param file is not there yet
     */
    static void create(Path file, Studio studio) throws SQLException, StudioTrouble {
        Migrations.bring(file);
        try (Store store = Store.forWriting(file)) {
            store.write(List.of(begun(studio)));
        }
    }

    /**
     * Writes a studio to a new file, or over an old one, which is there until the new one is complete.
     *
     * @throws UnreadableFile where it cannot be written, or is open somewhere
     */
    static void write(Path file, Studio contents) throws UnreadableFile {
        Path part = file.resolveSibling(file.getFileName() + ".new");
        try {
            Files.createDirectories(file.getParent());
            if (Files.exists(file)) {
                writeOver(file, part, contents);
            } else {
                StudioPaths.remove(part);
                create(part, contents);
                Files.move(part, file);
            }
        } catch (UnreadableFile e) {
            throw e;
        } catch (SQLException | StudioTrouble | IOException e) {
            throw new UnreadableFile(
                    file,
                    Problem.ofWhole(
                            "It could not be written: " + Trouble.reason(e) + ".",
                            "Free some space, or choose another folder."));
        }
    }

    private static void writeOver(Path file, Path part, Studio contents)
            throws IOException, SQLException, StudioTrouble {
        Optional<StudioLock> lock = StudioLock.take(file, Clock.systemUTC());
        if (lock.isEmpty()) {
            throw new UnreadableFile(file, Problem.ofWhole(StudioLock.heldBy(file), "Or choose another name."));
        }
        try {
            StudioPaths.remove(part);
            create(part, contents);
            // The old log first: SQLite would play it into the new file.
            StudioPaths.removeTails(file);
            Files.move(part, file, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            lock.get().close();
        }
    }

    /** All items of a studio, as what a new file begins with. */
    static Commit begun(Studio studio) {
        List<Change> all = new Ledger(studio)
                .items().stream()
                        .map(placed -> new Change(placed.item().key(), Optional.empty(), Optional.of(placed)))
                        .toList();
        return new Commit(all, new Commit.Log.Begun());
    }
}
