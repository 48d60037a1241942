package kalodyne.core.studio;

import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Writes commits to the studio file as they come, beside the thread that makes them and in its order. What cannot be
 * written stays and is tried again with the next commit.
 */
final class Keeper implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Keeper.class);
    private static final long LONGEST_WAIT_SECONDS = 20;

    private final Path file;
    private final List<Commit> waiting = new ArrayList<>();
    private final ExecutorService writer = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "studio-keeper");
        thread.setDaemon(true);
        return thread;
    });
    private volatile Consumer<Kept> listener = kept -> {};
    private volatile boolean isEdited;
    private Store store;

    /**
     * A keeper.
     *
     * @param first what has to be written before any edit; empty for a file that is there
     */
    Keeper(Path file, List<Commit> first) {
        this.file = file;
        waiting.addAll(first);
    }

    /** Hears of every write, on the keeper's thread. */
    void onKept(Consumer<Kept> newListener) {
        listener = newListener;
    }

    /** Writes soon. */
    void keep(Commit commit) {
        synchronized (waiting) {
            waiting.add(commit);
        }
        isEdited = true;
        writer.execute(this::write);
    }

    private void write() {
        List<Commit> batch;
        synchronized (waiting) {
            batch = List.copyOf(waiting);
        }
        if (batch.isEmpty()) {
            // An earlier turn took them along.
            return;
        }
        try {
            store().write(batch);
            synchronized (waiting) {
                waiting.subList(0, batch.size()).clear();
            }
            listener.accept(new Kept(file, ""));
        } catch (SQLException | StudioTrouble | RuntimeException e) {
            // Whoever listens says so; it is tried again.
            LOG.info("could not write {}", file, e);
            drop();
            listener.accept(new Kept(file, Trouble.reason(e)));
        }
    }

    private Store store() throws SQLException, StudioTrouble {
        if (store == null) {
            Migrations.bring(file);
            store = Store.forWriting(file);
        }
        return store;
    }

    /** The connection may be what is wrong. */
    private void drop() {
        if (store != null) {
            try {
                store.close();
            } catch (SQLException e) {
                LOG.warn("{} could not be closed", file, e);
            }
            store = null;
        }
    }

    /** Waits until everything that can be written is. */
    void flush() {
        CountDownLatch written = new CountDownLatch(1);
        writer.execute(written::countDown);
        try {
            if (!written.await(LONGEST_WAIT_SECONDS, TimeUnit.SECONDS)) {
                LOG.error("the studio was not written within {} s", LONGEST_WAIT_SECONDS);
                listener.accept(new Kept(file, "it took longer than " + LONGEST_WAIT_SECONDS + " s"));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Waits until everything that can be written is, and lets go of the file. */
    @Override
    public void close() {
        // A studio that nobody edited is not made; what could not be written before gets its last chance.
        if (isEdited) {
            writer.execute(this::write);
        }
        writer.execute(this::drop);
        flush();
        writer.shutdown();
    }
}
