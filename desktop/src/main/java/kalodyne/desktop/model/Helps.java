package kalodyne.desktop.model;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import kalodyne.core.levels.LeastChange;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.rig.Settings;

/** Looks for what would help a run where no knob does, beside all other work: many rigs are computed for it. */
final class Helps {
    private final Runnable found;
    private final Executor screen;

    /** Counts the searches: only the latest is waited for. */
    private final AtomicInteger asked = new AtomicInteger();

    private SetupLevels known;
    private String key = "";
    private List<LeastChange.Change> changes = List.of();

    /** The latest search; it is not waited for. */
    @SuppressWarnings("UnusedVariable")
    private CompletableFuture<Void> search = CompletableFuture.completedFuture(null);

    /**
     * A finder.
     *
     * @param found runs on the screen's thread when something was found
     */
    Helps(Runnable found, Executor screen) {
        this.found = found;
        this.screen = screen;
    }

    /** What is known to help so far; begins to look where nobody has. */
    List<LeastChange.Change> of(SetupLevels levels, Settings settings, Trace trace) {
        boolean isKnown = known != null && key.equals(trace.key()) && known.isTurned(levels.rig(), settings.wanted());
        if (!isKnown) {
            known = levels;
            key = trace.key();
            changes = List.of();
            int asking = asked.incrementAndGet();
            search = CompletableFuture.supplyAsync(
                            () -> LeastChange.of(levels.rig(), settings, trace, () -> asking != asked.get()))
                    .thenAccept(result -> screen.execute(() -> {
                        if (asking == asked.get() && !result.isEmpty()) {
                            changes = result;
                            found.run();
                        }
                    }));
        }
        return changes;
    }
}
