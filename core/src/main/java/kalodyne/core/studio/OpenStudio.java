package kalodyne.core.studio;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A studio that is open. */
public final class OpenStudio implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(OpenStudio.class);

    private static final String AWAITED = "It is still being opened. Try again in a moment.";

    private static final String CLOSED = "Another studio is being opened. Try again in a moment.";

    private final Path file;
    private final History history;
    private final Optional<Keeper> keeper;
    private final Optional<StudioLock> lock;
    private final String readOnlyBecause;
    private final String rescued;

    /** Set once its file is let go. */
    private volatile boolean isClosed;

    private OpenStudio(
            Path file,
            History history,
            Optional<Keeper> keeper,
            Optional<StudioLock> lock,
            String readOnlyBecause,
            String rescued) {
        this.file = file;
        this.history = history;
        this.keeper = keeper;
        this.lock = lock;
        this.readOnlyBecause = readOnlyBecause;
        this.rescued = rescued;
    }

    static OpenStudio of(Path file, Contents contents, StudioLock lock, Clock clock, String rescued) {
        Keeper keeper = new Keeper(file, List.of());
        History history = new History(contents.ledger(), contents.past(), contents.future(), clock, keeper::keep);
        return new OpenStudio(file, history, Optional.of(keeper), Optional.of(lock), "", rescued);
    }

    static OpenStudio fresh(Path file, Studio studio, Optional<StudioLock> lock, Clock clock) {
        Keeper keeper = new Keeper(file, List.of(NewFile.begun(studio)));
        History history = new History(new Ledger(studio), List.of(), List.of(), clock, keeper::keep);
        return new OpenStudio(file, history, Optional.of(keeper), lock, "", "");
    }

    static OpenStudio readOnly(Path file, Contents contents, Clock clock, String why) {
        History history = new History(contents.ledger(), contents.past(), contents.future(), clock, commit -> {
            throw new IllegalStateException("a studio that is only read was edited: " + file);
        });
        return new OpenStudio(file, history, Optional.empty(), Optional.empty(), why, "");
    }

    /** Stands for a studio while it is still being read: empty, and not to be edited. */
    public static OpenStudio awaited(Path file, Clock clock) {
        Studio nothing = new Studio("Opening…", List.of(), List.of(), List.of());
        Contents contents = new Contents(new Ledger(nothing), List.of(), List.of());
        return readOnly(file, contents, clock, AWAITED);
    }

    public Path file() {
        return file;
    }

    public History history() {
        return history;
    }

    public Studio studio() {
        return history.studio();
    }

    /** Why it can only be read, in a sentence or two; empty where it can be edited. */
    public String readOnlyBecause() {
        return isClosed && readOnlyBecause.isEmpty() ? CLOSED : readOnlyBecause;
    }

    public boolean isReadOnly() {
        return !readOnlyBecause().isEmpty();
    }

    public boolean isAwaited() {
        return readOnlyBecause.equals(AWAITED);
    }

    /** What was recovered, in sentences, if the file was damaged; else empty. */
    public String rescued() {
        return rescued;
    }

    /** Hears of every write, on a thread of its own. */
    public void onKept(Consumer<Kept> listener) {
        keeper.ifPresent(each -> each.onKept(listener));
    }

    /** Waits until everything that can be written is. */
    public void flush() {
        keeper.ifPresent(Keeper::flush);
    }

    /** Makes the backup of the day, if it is not there yet. To be called on a thread of its own. */
    public void backUp(Clock clock) {
        if (!isReadOnly() && Files.exists(file)) {
            try {
                new Backups(file).daily(LocalDateTime.now(clock));
            } catch (SQLException | IOException e) {
                // The studio itself is sound: the next start tries again.
                LOG.warn("no backup of {}", file, e);
            }
        }
    }

    /** Writes what is left to write and lets go of the file. */
    @Override
    public void close() {
        if (isClosed) {
            return;
        }
        isClosed = true;
        keeper.ifPresent(Keeper::close);
        lock.ifPresent(each -> {
            try {
                each.close();
            } catch (IOException e) {
                LOG.warn("the lock of {} could not be given back", file, e);
            }
        });
    }
}
