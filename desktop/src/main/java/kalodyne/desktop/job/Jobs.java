package kalodyne.desktop.job;

import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.takes.Progress;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Runs one piece of work after the other and tells how far the present one is. */
public final class Jobs implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    private static final double SMALLEST_STEP = 0.01;

    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "worker");
        thread.setDaemon(true);
        return thread;
    });
    private final ReadOnlyObjectWrapper<Status> status = new ReadOnlyObjectWrapper<>(this, "status", Status.IDLE);
    private volatile boolean cancelled;
    private int open;

    /** Work that takes a while. */
    @FunctionalInterface
    public interface Work<T> {
        T run(Progress progress) throws Exception;
    }

    /**
     * What is being done.
     *
     * @param title "Reading take-2.wav"; empty when idle
     * @param done from 0 to 1
     */
    public record Status(String title, double done) {
        static final Status IDLE = new Status("", 0);

        public boolean isIdle() {
            return title.isEmpty();
        }
    }

    public ReadOnlyObjectProperty<Status> statusProperty() {
        return status.getReadOnlyProperty();
    }

    /** Whether nothing is running or waiting. */
    public boolean isIdle() {
        return open == 0;
    }

    /**
     * Runs work. Call on the screen's thread; both consumers are called there too. Cancelled work calls neither.
     */
    public <T> void run(String title, Work<T> work, Consumer<T> delivered, Consumer<Exception> failed) {
        open++;
        cancelled = false;
        worker.execute(() -> {
            try {
                T result = work.run(new Reporter(title));
                finish(() -> delivered.accept(result));
            } catch (CancellationException e) {
                finish(() -> {});
            } catch (Exception e) {
                LOG.info("{} failed", title, e);
                finish(() -> failed.accept(e));
            }
        });
    }

    private void finish(Runnable delivery) {
        Platform.runLater(() -> {
            open--;
            status.set(Status.IDLE);
            delivery.run();
        });
    }

    /** Stops the work that runs; what it did not finish is dropped. */
    public void cancel() {
        cancelled = true;
    }

    @Override
    public void close() {
        cancel();
        worker.shutdown();
    }

    /** Passes progress on to the screen, in steps that can be seen. */
    private final class Reporter implements Progress {
        private final String title;
        private double told = -1;

        Reporter(String title) {
            this.title = title;
        }

        @Override
        public boolean report(double done) {
            if (done - told >= SMALLEST_STEP) {
                told = done;
                Platform.runLater(() -> {
                    if (open > 0) {
                        status.set(new Status(title, done));
                    }
                });
            }
            return !cancelled;
        }
    }
}
