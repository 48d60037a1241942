package kalodyne.desktop.edit;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import kalodyne.core.setup.Setup;
import kalodyne.core.setup.SetupWriter;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Keeps a setup in its file as it is edited. Writing happens beside the screen's thread; of edits that come faster than
 * the disk, the latest is written.
 */
public final class SetupKeeper implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(SetupKeeper.class);
    private static final long LONGEST_WAIT_SECONDS = 10;

    private final ExecutorService writer = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "setup-keeper");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicReference<Job> waiting = new AtomicReference<>();
    private final Consumer<Outcome> told;

    private record Job(Setup setup, Path file) {}

    /**
     * What became of an edit.
     *
     * @param file where it should lie
     * @param failure null if it lies there
     */
    public record Outcome(Path file, IOException failure) {
        public boolean isKept() {
            return failure == null;
        }
    }

    /**
     * A keeper.
     *
     * @param told hears of every write, on the keeper's own thread
     */
    public SetupKeeper(Consumer<Outcome> told) {
        this.told = told;
    }

    /** Writes soon. */
    public void keep(Setup setup, Path file) {
        if (waiting.getAndSet(new Job(setup, file)) == null) {
            writer.execute(this::write);
        }
    }

    private void write() {
        Job job = waiting.getAndSet(null);
        try {
            SetupWriter.write(job.setup(), job.file());
            told.accept(new Outcome(job.file(), null));
        } catch (IOException e) {
            LOG.warn("could not write {}", job.file(), e);
            told.accept(new Outcome(job.file(), e));
        }
    }

    /** Waits until all is written. */
    @Override
    public void close() {
        writer.shutdown();
        try {
            if (!writer.awaitTermination(LONGEST_WAIT_SECONDS, TimeUnit.SECONDS)) {
                LOG.error("the setup was not written within {} s", LONGEST_WAIT_SECONDS);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
