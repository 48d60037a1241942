package kalodyne.desktop;

import java.io.IOException;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import javafx.application.Platform;
import kalodyne.core.gear.catalogue.Catalogue;

/** A studio on its way to the window: read on a thread of its own, beside the toolkit that starts meanwhile. */
final class AwaitedStudio {
    private final CompletableFuture<OpenedStudio> reading = new CompletableFuture<>();
    private boolean isTaken;

    AwaitedStudio(Callable<OpenedStudio> open) {
        Thread reader = new Thread(() -> read(open), "studio-reader");
        reader.setDaemon(true);
        reader.start();
    }

    private void read(Callable<OpenedStudio> open) {
        try {
            OpenedStudio opened = open.call();
            reading.complete(opened);
            if (opened.studio().studio().devices().isEmpty()) {
                // The first page offers gear of the catalogue, which is read while the toolkit starts.
                Catalogue.shipped();
            }
        } catch (Exception e) {
            reading.completeExceptionally(e);
        }
    }

    boolean isThere() {
        return reading.isDone() && !hasFailed();
    }

    boolean hasFailed() {
        return reading.isCompletedExceptionally();
    }

    /** Whoever takes it closes it. To be called when it is there. */
    synchronized OpenedStudio take() {
        isTaken = true;
        return reading.join();
    }

    /** Hands it over on the window's thread as soon as it is there. */
    @SuppressWarnings("FutureReturnValueIgnored") // what is done then fails on the window's thread, if at all
    void whenThere(Runnable then, Runnable ifNot) {
        reading.whenComplete((opened, failure) -> Platform.runLater(failure == null ? then : ifNot));
    }

    /**
     * Closes a studio that nobody took, since the window was closed before it was there.
     *
     * @throws IOException where it could not be opened
     */
    synchronized void end() throws IOException {
        try {
            OpenedStudio opened = reading.join();
            if (!isTaken) {
                opened.studio().close();
            }
        } catch (CompletionException e) {
            if (e.getCause() instanceof IOException unreadable) {
                throw unreadable;
            }
            throw e;
        }
    }
}
