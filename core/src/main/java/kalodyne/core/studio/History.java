package kalodyne.core.studio;

import java.time.Clock;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * A studio with its past and its undone future, for one thread. Edits that belong together, such as the steps of one drag,
 * become one. Every step is handed on to be written.
 */
public final class History {
    /** So many edits can be undone. */
    static final int MOST_EDITS = 500;

    private final Ledger ledger;
    private final Deque<Edit> done;
    private final Deque<Edit> undone;
    private final Clock clock;
    private final Consumer<Commit> writer;
    private final List<Consumer<Studio>> listeners = new ArrayList<>();
    private long lastNumber;
    private Object openGesture;
    private boolean notifying;

    /**
     * A history.
     *
     * @param past edits made before, oldest first
     * @param future edits undone before, the one to be redone first at the head
     * @param writer is given every step
     */
    History(Ledger ledger, List<Edit> past, List<Edit> future, Clock clock, Consumer<Commit> writer) {
        this.ledger = ledger;
        this.done = new ArrayDeque<>();
        past.forEach(done::push);
        this.undone = new ArrayDeque<>(future);
        this.clock = clock;
        this.writer = writer;
        this.lastNumber = Math.max(
                past.stream().mapToLong(Edit::number).max().orElse(0),
                future.stream().mapToLong(Edit::number).max().orElse(0));
    }

    public Studio studio() {
        return ledger.studio();
    }

    /** Hears of every change of the studio, after it was made; must not edit meanwhile. */
    public void onChange(Consumer<Studio> listener) {
        listeners.add(listener);
    }

    /** Changes the studio; an edit that changes nothing is none. */
    public void edit(String description, Studio after) {
        gesture(null, description, after);
    }

    /**
     * Changes the studio as one step of a gesture: consecutive edits with the same gesture are undone together.
     *
     * @param gesture the same object for every step; null for an edit of its own
     */
    public void gesture(Object gesture, String description, Studio after) {
        if (notifying) {
            throw new IllegalStateException("an edit cannot be made while others hear of one: " + description);
        }
        List<Change> changes = List.copyOf(ledger.become(after));
        if (changes.isEmpty()) {
            return;
        }
        boolean goesOn = gesture != null && gesture.equals(openGesture) && !done.isEmpty();
        openGesture = gesture;
        if (goesOn) {
            goOn(description, changes);
        } else {
            Edit edit = new Edit(++lastNumber, clock.instant(), description, () -> changes);
            done.push(edit);
            writer.accept(new Commit(changes, new Commit.Log.Made(edit.number(), edit.at(), description, changes)));
        }
        undone.clear();
        if (done.size() > MOST_EDITS) {
            done.removeLast();
        }
        tell();
    }

    private void goOn(String description, List<Change> changes) {
        Edit begun = done.pop();
        List<Change> whole = Change.joined(begun.changes().get(), changes);
        if (whole.isEmpty()) {
            openGesture = null;
        } else {
            done.push(new Edit(begun.number(), begun.at(), description, () -> whole));
        }
        writer.accept(new Commit(changes, new Commit.Log.WentOn(begun.number(), description, whole)));
    }

    /** What undo would take back: "turn the gain". */
    public Optional<String> undoable() {
        return Optional.ofNullable(done.peek()).map(Edit::description);
    }

    /** What redo would do again. */
    public Optional<String> redoable() {
        return Optional.ofNullable(undone.peek()).map(Edit::description);
    }

    /** Takes the last edit back; nothing where there is none. */
    public void undo() {
        if (!done.isEmpty()) {
            // Read first: if the file cannot be read, nothing has happened.
            List<Change> back = Change.reversed(done.peek().changes().get());
            Edit edit = done.pop();
            undone.push(edit);
            step(back, new Commit.Log.Undone(edit.number()));
        }
    }

    /** Makes the edit that was undone last again; nothing where there is none. */
    public void redo() {
        if (!undone.isEmpty()) {
            List<Change> again = undone.peek().changes().get();
            Edit edit = undone.pop();
            done.push(edit);
            step(again, new Commit.Log.Redone(edit.number()));
        }
    }

    private void step(List<Change> changes, Commit.Log log) {
        openGesture = null;
        ledger.apply(changes);
        writer.accept(new Commit(changes, log));
        tell();
    }

    private void tell() {
        notifying = true;
        try {
            listeners.forEach(listener -> listener.accept(studio()));
        } finally {
            notifying = false;
        }
    }
}
