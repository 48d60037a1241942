package kalodyne.desktop.job;

import java.io.IOException;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import javafx.application.Platform;
import kalodyne.core.files.Progress;

/** Reads parts of takes for drawing, aside from the screen; a newer wish ends the older one. */
public final class PartReader {
    private final ExecutorService reader = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "drawing");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicLong newest = new AtomicLong();
    private final Executor screen;

    /** Delivers on the screen's thread. */
    public PartReader() {
        this(Platform::runLater);
    }

    /** Delivers elsewhere. */
    public PartReader(Executor screen) {
        this.screen = screen;
    }

    /** Reads something, and stops where it is told to. */
    @FunctionalInterface
    public interface Reading<T> {
        T read(Progress progress) throws IOException;
    }

    /** Reads a part; what cannot be read is not delivered. Call on the screen's thread. */
    public <T> void read(Reading<T> reading, Consumer<T> ready) {
        long wish = newest.incrementAndGet();
        reader.execute(() -> {
            try {
                T part = reading.read(done -> newest.get() == wish);
                screen.execute(() -> {
                    if (newest.get() == wish) {
                        ready.accept(part);
                    }
                });
            } catch (IOException | CancellationException e) {
                // What is drawn already stays; that a file is gone is told where it is read as a take.
                newest.compareAndSet(wish, wish + 1);
            }
        });
    }

    /** What was wished for is not wanted any more. */
    public void forget() {
        newest.incrementAndGet();
    }
}
