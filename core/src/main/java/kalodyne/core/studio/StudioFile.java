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
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import kalodyne.core.json.Problem;
import kalodyne.core.json.UnreadableFile;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Opens studios: for editing, or only to be read where somebody else edits it or the folder cannot be written. */
public final class StudioFile {
    public static final String EXTENSION = ".kalodyne";

    private static final Logger LOG = LoggerFactory.getLogger(StudioFile.class);

    private StudioFile() {}

    /**
     * Opens a studio for editing. One that is not there is made with the first edit. One that is damaged is rescued.
     *
     * @param otherwise what a studio that is not there begins with
     * @throws UnreadableFile where it is something else, or newer; it was left as it is
     */
    public static OpenStudio open(Path studio, Studio otherwise, Clock clock) throws UnreadableFile {
        Path file = studio.toAbsolutePath().normalize();
        try {
            if (!isThere(file)) {
                return OpenStudio.fresh(file, otherwise, lock(file, clock), clock);
            }
            Optional<StudioLock> lock = lockIfWritable(file, clock);
            if (lock.isEmpty()) {
                return readOnly(file, clock, heldBy(file));
            }
            return openLocked(file, lock.get(), clock);
        } catch (NotWritable e) {
            LOG.info("{} is opened only to be read", file, e);
            return readOnly(file, clock, "You may not write in " + file.getParent() + ".");
        } catch (UnreadableFile e) {
            throw e;
        } catch (IOException e) {
            throw unreadable(file, e);
        }
    }

    private static boolean isThere(Path file) throws IOException {
        if (Files.isDirectory(file)) {
            throw new UnreadableFile(
                    file, Problem.ofWhole("It is a folder.", "Choose a studio; they end in .kalodyne."));
        }
        return Files.exists(file)
                && (Files.size(file) > 0 || !new Backups(file).list().isEmpty());
    }

    private static String heldBy(Path file) {
        return "It is already open: " + StudioLock.holder(file) + ". Close it there to edit it here.";
    }

    private static OpenStudio openLocked(Path file, StudioLock lock, Clock clock) throws UnreadableFile, IOException {
        String rescued = "";
        try {
            try {
                check(file);
                Migrations.bring(file, older -> backUp(older, clock));
                return OpenStudio.of(file, contents(file), lock, clock, rescued);
            } catch (StudioTrouble e) {
                if (e.kind() == StudioTrouble.Kind.FOREIGN) {
                    throw new UnreadableFile(file, Problem.ofWhole(e.what(), e.remedy()));
                }
                LOG.info("{} is damaged", file, e);
            } catch (SQLException e) {
                if (!Trouble.isDamage(e)) {
                    throw unreadable(file, e);
                }
                LOG.info("{} is damaged", file, e);
            }
            rescued = Rescue.of(file, LocalDateTime.now(clock));
            return OpenStudio.of(file, contents(file), lock, clock, rescued);
        } catch (SQLException | IOException e) {
            lock.close();
            throw e instanceof UnreadableFile unreadable ? unreadable : unreadable(file, e);
        }
    }

    private static void backUp(Path older, Clock clock) {
        try {
            new Backups(older).make(LocalDateTime.now(clock));
        } catch (SQLException | IOException e) {
            throw new IllegalStateException("no backup of " + older + " could be made before changing it", e);
        }
    }

    private static UnreadableFile unreadable(Path file, Exception e) {
        UnreadableFile unreadable = new UnreadableFile(
                file,
                Problem.ofWhole(
                        "It cannot be opened: " + Trouble.reason(e) + ".",
                        "Check that it is there and that you may read it."));
        unreadable.initCause(e);
        return unreadable;
    }

    // --- only reading ------------------------------------------------------------------------------------------

    /**
     * Reads a studio as it is on the disk, without opening it.
     *
     * @throws UnreadableFile where it cannot be read
     */
    public static Studio read(Path studio) throws UnreadableFile {
        Path file = studio.toAbsolutePath().normalize();
        if (!Files.exists(file)) {
            throw new UnreadableFile(
                    file, Problem.ofWhole("There is no such file.", "Check its name, or whether it was moved."));
        }
        return readContents(file).ledger().studio();
    }

    private static OpenStudio readOnly(Path file, Clock clock, String why) throws UnreadableFile {
        return OpenStudio.readOnly(file, readContents(file), clock, why);
    }

    private static Contents readContents(Path file) throws UnreadableFile {
        try {
            check(file);
            if (Files.isWritable(file.getParent())) {
                return contents(file);
            }
            return contentsOfCopy(file);
        } catch (StudioTrouble e) {
            throw new UnreadableFile(file, Problem.ofWhole(e.what(), e.remedy()));
        } catch (SQLException | IOException e) {
            throw e instanceof UnreadableFile unreadable ? unreadable : unreadable(file, e);
        }
    }

    /** Where nothing may be written beside the file, SQLite cannot join a log to it that was left there: a copy can. */
    private static Contents contentsOfCopy(Path file) throws IOException, SQLException, StudioTrouble {
        Path folder = Files.createTempDirectory("kalodyne-read");
        Path copy = folder.resolve("copy" + EXTENSION);
        try {
            Files.copy(file, copy);
            Path log = StudioPaths.withTail(file, "-wal");
            if (Files.exists(log)) {
                Files.copy(log, StudioPaths.withTail(copy, "-wal"));
            }
            return contents(copy);
        } finally {
            StudioPaths.remove(copy);
            Files.deleteIfExists(folder);
        }
    }

    /**
     * What a studio file holds.
     *
     * @param past edits made before, oldest first
     * @param future edits undone before, the one to be redone first at the head
     */
    record Contents(Ledger ledger, List<Edit> past, List<Edit> future) {}

    private static Contents contents(Path file) throws SQLException, UnreadableFile {
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

    // --- checking and making -----------------------------------------------------------------------------------

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
                            StudioTrouble.Kind.DAMAGED, "It is damaged: " + verdict + ".", "Use a backup.");
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
                        StudioTrouble.Kind.DAMAGED, "It is damaged: " + e.getMessage() + ".", "Use a backup.");
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
                    ? new StudioTrouble(StudioTrouble.Kind.DAMAGED, "Its beginning is damaged.", "Use a backup.")
                    : new StudioTrouble(
                            StudioTrouble.Kind.FOREIGN, "It is not a studio.", "Choose a file that ends in .kalodyne.");
        }
    }

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
    public static void write(Path studio, Studio contents) throws UnreadableFile {
        Path file = studio.toAbsolutePath().normalize();
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
            throw new UnreadableFile(file, Problem.ofWhole(heldBy(file), "Or choose another name."));
        }
        try {
            StudioPaths.remove(part);
            create(part, contents);
            StudioPaths.remove(file);
            Files.move(part, file);
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

    // --- locking -----------------------------------------------------------------------------------------------

    /** The folder does not let us write. */
    private static final class NotWritable extends IOException {
        private static final long serialVersionUID = 1L;

        NotWritable(Throwable cause) {
            super(cause);
        }
    }

    private static Optional<StudioLock> lockIfWritable(Path file, Clock clock) throws NotWritable {
        if (!Files.isWritable(file)) {
            throw new NotWritable(null);
        }
        try {
            return StudioLock.take(file, clock);
        } catch (IOException e) {
            throw new NotWritable(e);
        }
    }

    /** For a file that is not there: without a folder there is nobody to share it with. */
    private static Optional<StudioLock> lock(Path file, Clock clock) {
        try {
            Files.createDirectories(file.getParent());
            return StudioLock.take(file, clock);
        } catch (IOException e) {
            LOG.info("no lock beside {}", file, e);
            return Optional.empty();
        }
    }
}
