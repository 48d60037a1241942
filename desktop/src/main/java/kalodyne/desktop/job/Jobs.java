package kalodyne.desktop.job;

import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.files.Progress;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Runs one piece of work after the other and tells how far the present one is. */
public final class Jobs implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
    private static final double SMALLEST_STEP = 0.01;

    private final ExecutorService worker;
    private final Executor screen;
    private final ReadOnlyObjectWrapper<Status> status = new ReadOnlyObjectWrapper<>(this, "status", Status.IDLE);
    private int open;
    private Consumer<Exception> briefFailed = failure -> {};

    /** Shared by all work that was handed in since the last cancelling; set to stop them. */
    private AtomicBoolean cancelled = new AtomicBoolean();

    /** Works on a thread of its own and tells on the screen's. */
    public Jobs() {
        this(
                Executors.newSingleThreadExecutor(task -> {
                    Thread thread = new Thread(task, "worker");
                    thread.setDaemon(true);
                    return thread;
                }),
                Platform::runLater);
    }

    /**
     * Works and tells elsewhere.
     *
     * @param screen runs what it is given one after the other, and never before the call that gave it returns
     */
    public Jobs(ExecutorService worker, Executor screen) {
        this.worker = worker;
        this.screen = screen;
    }

    /** Runs something on the screen's thread, later. */
    public void onScreen(Runnable task) {
        screen.execute(task);
    }

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

    /** Who tells that brief work failed, whose callers wait for nothing but its result. */
    public void onBriefFailure(Consumer<Exception> listener) {
        briefFailed = listener;
    }

    /** Whether nothing is running or waiting. */
    public boolean isIdle() {
        return open == 0;
    }

    /**
     * A piece of work that was handed in: who hears what became of it, on the screen's thread, is told before it returns to the
     * screen. One of the three is called.
     *
     * @param <T> what the work delivers
     */
    public final class Job<T> {
        private Consumer<T> delivered = result -> {};
        private Consumer<Exception> failed = briefFailed;
        private Runnable stopped = () -> {};

        public Job<T> then(Consumer<T> listener) {
            delivered = listener;
            return this;
        }

        /** Where it failed; of work for which nobody listens to that, whoever hears of brief work does. */
        public Job<T> otherwise(Consumer<Exception> listener) {
            failed = listener;
            return this;
        }

        /** Where somebody cancelled it. */
        public Job<T> whenStopped(Runnable listener) {
            stopped = listener;
            return this;
        }

        private void run(String title, Work<T> work, AtomicBoolean stop) {
            try {
                Reporter reporter = new Reporter(title, stop);
                if (!reporter.report(0)) {
                    throw new CancellationException();
                }
                T result = work.run(reporter);
                finish(() -> delivered.accept(result));
            } catch (CancellationException e) {
                finish(() -> stopped.run());
            } catch (Exception e) {
                LOG.info("{} failed", title, e);
                finish(() -> failed.accept(e));
            } catch (OutOfMemoryError e) {
                LOG.error("{} failed", title, e);
                finish(() -> failed.accept(new TooLarge(e)));
            } catch (Error e) {
                LOG.error("{} failed", title, e);
                finish(() -> failed.accept(new IllegalStateException(e)));
                throw e;
            }
        }
    }

    /** Runs work after all that was handed in before. Call on the screen's thread. */
    public <T> Job<T> run(String title, Work<T> work) {
        open++;
        Job<T> job = new Job<>();
        AtomicBoolean stop = cancelled;
        worker.execute(() -> job.run(title, work, stop));
        return job;
    }

    /** There is not enough memory for a piece of work. */
    private static final class TooLarge extends Exception {
        private static final long serialVersionUID = 1L;

        TooLarge(OutOfMemoryError cause) {
            super("There is not enough memory for it. Close other programs, or try a shorter recording.", cause);
        }
    }

    /** Runs work that is over before anybody would look for its progress. Call on the screen's thread. */
    public <T> void runBriefly(Work<T> work, Consumer<T> delivered) {
        run("", work).then(delivered);
    }

    private void finish(Runnable delivery) {
        screen.execute(() -> {
            open--;
            status.set(Status.IDLE);
            delivery.run();
        });
    }

    /** Stops all work that was handed in so far; what it did not finish is dropped. Call on the screen's thread. */
    public void cancel() {
        cancelled.set(true);
        cancelled = new AtomicBoolean();
    }

    @Override
    public void close() {
        cancel();
        worker.shutdown();
    }

    /** Passes progress on to the screen, in steps that can be seen. */
    private final class Reporter implements Progress {
        private final String title;
        private final AtomicBoolean stop;
        private double told = -1;

        Reporter(String title, AtomicBoolean stop) {
            this.title = title;
            this.stop = stop;
        }

        @Override
        public boolean report(double done) {
            if (done - told >= SMALLEST_STEP) {
                told = done;
                screen.execute(() -> {
                    if (open > 0) {
                        status.set(new Status(title, done));
                    }
                });
            }
            return !stop.get();
        }
    }
}
