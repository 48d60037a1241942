package kalodyne.core.studio;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;

/**
 * What a studio file holds.
 *
 * @param past edits made before, oldest first
 * @param future edits undone before, the one to be redone first at the head
 */
record Contents(Ledger ledger, List<Edit> past, List<Edit> future) {
    /**
     * Reads a file that nobody needs to hold, without changing anything beside it.
     *
     * @throws UnreadableFile where it is no studio, or damaged
     */
    static Contents read(Path file) throws UnreadableFile {
        try {
            Soundness.check(file);
            boolean isOlder = Migrations.version(file) < Database.VERSION;
            return Files.isWritable(file.getParent()) && !isOlder ? of(file) : ofCopy(file);
        } catch (StudioTrouble e) {
            throw new UnreadableFile(file, Problem.ofWhole(e.what(), e.remedy()));
        } catch (SQLException | IOException e) {
            throw e instanceof UnreadableFile unreadable ? unreadable : StudioFile.unreadable(file, e);
        }
    }

    /**
     * Where nothing may be written beside the file, SQLite cannot join a log to it that was left there: a copy can. And a copy can be
     * brought to this version.
     */
    private static Contents ofCopy(Path file) throws IOException, SQLException, StudioTrouble {
        Path folder = Files.createTempDirectory("kalodyne-read");
        Path copy = folder.resolve("copy" + StudioFile.EXTENSION);
        try {
            Files.copy(file, copy);
            Path log = StudioPaths.withTail(file, "-wal");
            if (Files.exists(log)) {
                Files.copy(log, StudioPaths.withTail(copy, "-wal"));
            }
            Migrations.bring(copy);
            return of(copy);
        } finally {
            StudioPaths.remove(copy);
            Files.deleteIfExists(folder);
        }
    }

    /** Reads a file that was found sound. */
    static Contents of(Path file) throws SQLException, UnreadableFile {
        try (Store store = Store.forReading(file)) {
            Ledger ledger = new Ledger(store.items());
            List<Edit> past = new ArrayList<>();
            List<Edit> future = new ArrayList<>();
            for (Store.PastEdit edit : store.edits()) {
                (edit.isUndone() ? future : past)
                        .add(new Edit(
                                edit.number(), edit.at(), edit.description(), () -> changes(file, edit.number())));
            }
            // Undone last first: the lowest number is redone first.
            Collections.sort(future, (a, b) -> Long.compare(a.number(), b.number()));
            return new Contents(ledger, past, future);
        }
    }

    private static List<Change> changes(Path file, long edit) {
        try (Store store = Store.forReading(file)) {
            return store.changes(edit);
        } catch (SQLException | IOException e) {
            throw new PastUnreadable("This edit can no longer be read: " + Trouble.reason(e) + ".", e);
        }
    }
}
