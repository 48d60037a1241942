package kalodyne.core.studio;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Optional;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
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
                return readOnly(file, clock, StudioLock.heldBy(file));
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

    private static OpenStudio openLocked(Path file, StudioLock lock, Clock clock) throws UnreadableFile, IOException {
        String rescued = "";
        try {
            try {
                Soundness.check(file);
                Migrations.bring(file, older -> backUp(older, clock));
                return OpenStudio.of(file, Contents.of(file), lock, clock, rescued);
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
            return OpenStudio.of(file, Contents.of(file), lock, clock, rescued);
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

    static UnreadableFile unreadable(Path file, Exception e) {
        UnreadableFile unreadable = new UnreadableFile(
                file,
                Problem.ofWhole(
                        "It cannot be opened: " + Trouble.reason(e) + ".",
                        "Check that it is there and that you may read it."));
        unreadable.initCause(e);
        return unreadable;
    }

    private static OpenStudio readOnly(Path file, Clock clock, String why) throws UnreadableFile {
        return OpenStudio.readOnly(file, Contents.read(file), clock, why);
    }

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
        return Contents.read(file).ledger().studio();
    }

    /**
     * Writes a studio to a new file, or over an old one, which is there until the new one is complete.
     *
     * @throws UnreadableFile where it cannot be written, or is open somewhere
     */
    public static void write(Path studio, Studio contents) throws UnreadableFile {
        NewFile.write(studio.toAbsolutePath().normalize(), contents);
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
        // SQLite writes beside the file too; where a killed program left its log, that might just go well for a while.
        if (!Files.isWritable(file) || !Files.isWritable(file.getParent())) {
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
