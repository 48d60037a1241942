package kalodyne.desktop.takes;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import javafx.application.Platform;
import kalodyne.core.takes.WaveWindow;

/** Reads parts of takes for drawing, aside from the screen; a newer wish ends the older one. */
final class WaveReader {
    private final ExecutorService reader = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "waveform");
        thread.setDaemon(true);
        return thread;
    });
    private final AtomicLong newest = new AtomicLong();

    /** Reads a part; what cannot be read is not delivered. Call on the screen's thread. */
    void read(Path file, int sampleRateHz, long fromFrame, long toFrame, int columns, Consumer<WaveWindow> ready) {
        long wish = newest.incrementAndGet();
        reader.execute(() -> {
            try {
                WaveWindow window =
                        WaveWindow.read(file, sampleRateHz, fromFrame, toFrame, columns, done -> newest.get() == wish);
                Platform.runLater(() -> {
                    if (newest.get() == wish) {
                        ready.accept(window);
                    }
                });
            } catch (IOException | CancellationException e) {
                // The overview stays; that the file is gone is told where it is read as a take.
                newest.compareAndSet(wish, wish + 1);
            }
        });
    }

    /** What was wished for is not wanted any more. */
    void forget() {
        newest.incrementAndGet();
    }
}
