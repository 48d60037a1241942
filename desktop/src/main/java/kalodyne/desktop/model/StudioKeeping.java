package kalodyne.desktop.model;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import kalodyne.core.studio.Kept;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.PastUnreadable;
import kalodyne.core.studio.Studio;

/** The file behind what is shown: its edits and their undoing, and whether they are kept. */
final class StudioKeeping {
    private static final String NOT_KEPT = "Your changes cannot be kept";

    private final Clock clock;
    private final Executor screen;
    private final Notices notices;
    private final ReadOnlyBooleanWrapper awaited = new ReadOnlyBooleanWrapper(this, "awaited");
    private final ReadOnlyStringWrapper kept = new ReadOnlyStringWrapper(this, "kept");
    private OpenStudio open;

    /** Waited for before the file is given back: a copy is made of a file that stays. */
    private CompletableFuture<Void> backup = CompletableFuture.completedFuture(null);

    StudioKeeping(Clock clock, Executor screen, Notices notices) {
        this.clock = clock;
        this.screen = screen;
        this.notices = notices;
    }

    /** Keeps the edits of a studio; a change of it is told to the listener, and so is what it begins as. */
    void begin(OpenStudio opened, Runnable changed) {
        open = opened;
        kept.set(opened.isAwaited() ? "Opening…" : opened.isReadOnly() ? "Read only" : "All changes kept");
        opened.onKept(outcome -> screen.execute(() -> {
            if (opened == open) {
                show(outcome);
            }
        }));
        opened.history().onChange(studio -> changed.run());
        changed.run();
        awaited.set(opened.isAwaited());
        // A copy of yesterday's state before today's first edit; nobody waits for it.
        backup = CompletableFuture.runAsync(() -> opened.backUp(clock));
    }

    /** Closes the file; what was in it can still be read. */
    void letGo() {
        backup.join();
        open.close();
    }

    Studio studio() {
        return open.studio();
    }

    Path file() {
        return open.file();
    }

    boolean isReadOnly() {
        return open.isReadOnly();
    }

    ReadOnlyBooleanProperty awaitedProperty() {
        return awaited.getReadOnlyProperty();
    }

    ReadOnlyStringProperty keptProperty() {
        return kept.getReadOnlyProperty();
    }

    Optional<String> undoable() {
        return isReadOnly() ? Optional.empty() : open.history().undoable();
    }

    Optional<String> redoable() {
        return isReadOnly() ? Optional.empty() : open.history().redoable();
    }

    void undo() {
        step(() -> open.history().undo());
    }

    void redo() {
        step(() -> open.history().redo());
    }

    private void step(Runnable step) {
        if (!isRefused()) {
            try {
                step.run();
            } catch (PastUnreadable e) {
                notices.problem("This edit could not be taken back", e.getMessage());
            }
        }
    }

    void change(Object gesture, String description, Studio after) {
        if (!isRefused()) {
            open.history().gesture(gesture, description, after);
        }
    }

    private boolean isRefused() {
        if (isReadOnly()) {
            notices.problem("You can look, but not change anything", open.readOnlyBecause());
        }
        return isReadOnly();
    }

    private void show(Kept outcome) {
        if (outcome.isKept()) {
            kept.set("All changes kept · " + LocalTime.now(clock).truncatedTo(ChronoUnit.MINUTES));
            notices.over(NOT_KEPT);
        } else {
            kept.set("Changes are not kept");
            notices.problem(
                    NOT_KEPT,
                    outcome.file() + ": " + outcome.trouble()
                            + ". Free some space or save a copy elsewhere; the next change tries again.");
        }
    }
}
