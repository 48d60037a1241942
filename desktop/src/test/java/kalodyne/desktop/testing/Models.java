package kalodyne.desktop.testing;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.AbstractExecutorService;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;

/** What screens show, without a screen: work is done at once, and what would be told on the screen's thread waits for {@link #tell}. */
public final class Models implements AutoCloseable {
    public static final Clock CLOCK = Clock.fixed(Instant.parse("2026-03-01T12:04:00Z"), ZoneOffset.UTC);

    private static final int MOST_SECONDS = 30;

    private final ConcurrentLinkedQueue<Runnable> waiting = new ConcurrentLinkedQueue<>();
    private final StudioModel studio;
    private final Jobs jobs;

    private Models(Path file, Studio begun) throws IOException {
        studio = new StudioModel(StudioFile.open(file, begun, CLOCK), CLOCK, waiting::add);
        jobs = new Jobs(atOnce(), waiting::add);
    }

    /** On a file that is there, or that begins with a studio. */
    public static Models on(Path file, Studio begun) throws IOException {
        return new Models(file, begun);
    }

    private static ExecutorService atOnce() {
        return new AbstractExecutorService() {
            @Override
            public void execute(Runnable task) {
                task.run();
            }

            @Override
            public void shutdown() {
                // Nothing runs on.
            }

            @Override
            public List<Runnable> shutdownNow() {
                return List.of();
            }

            @Override
            public boolean isShutdown() {
                return false;
            }

            @Override
            public boolean isTerminated() {
                return true;
            }

            @Override
            public boolean awaitTermination(long time, TimeUnit unit) {
                return true;
            }
        };
    }

    public StudioModel studio() {
        return studio;
    }

    public Jobs jobs() {
        return jobs;
    }

    /** Tells what waits to be told. */
    public void tell() {
        for (Runnable task = waiting.poll(); task != null; task = waiting.poll()) {
            task.run();
        }
    }

    /** Tells what comes from elsewhere until something is so. */
    public void until(BooleanSupplier so) throws InterruptedException {
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(MOST_SECONDS);
        tell();
        while (!so.getAsBoolean()) {
            if (System.nanoTime() > end) {
                throw new AssertionError("it did not come about in " + MOST_SECONDS + " s");
            }
            Thread.sleep(2);
            tell();
        }
    }

    @Override
    public void close() {
        studio.close();
    }
}
