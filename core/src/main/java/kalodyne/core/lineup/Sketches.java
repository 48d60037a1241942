package kalodyne.core.lineup;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import kalodyne.core.files.Progress;

/** The sketches of both recordings, read side by side. */
record Sketches(Sketch reference, Sketch other) {
    static Sketches read(Path reference, Path other, double mostSeconds, Progress progress) throws IOException {
        Together together = new Together(progress);
        CompletableFuture<Sketch> beside = CompletableFuture.supplyAsync(() -> {
            try {
                return Sketch.read(other, mostSeconds, done -> together.report(1, done));
            } catch (IOException e) {
                throw new CompletionException(e);
            }
        });
        try {
            Sketch here = Sketch.read(reference, mostSeconds, done -> together.report(0, done));
            return new Sketches(here, beside.join());
        } catch (CompletionException e) {
            throw cause(e);
        } finally {
            together.stop();
        }
    }

    /** Whether both were read to their end. */
    boolean areWhole() {
        return reference.isWhole() && other.isWhole();
    }

    private static IOException cause(CompletionException e) {
        if (e.getCause() instanceof IOException unreadable) {
            return unreadable;
        }
        if (e.getCause() instanceof RuntimeException other) {
            throw other;
        }
        throw e;
    }

    /** The progress of both as one; where one of them fails the other need not go on. */
    private static final class Together {
        private final Progress progress;
        private final double[] done = new double[2];
        private boolean isStopped;

        Together(Progress progress) {
            this.progress = progress;
        }

        synchronized boolean report(int which, double share) {
            done[which] = share;
            isStopped |= !isStopped && !progress.report(0.5 * (done[0] + done[1]));
            return !isStopped;
        }

        synchronized void stop() {
            isStopped = true;
        }
    }
}
