package kalodyne.desktop.edit;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * A document with its past and its undone future. Edits that belong together, such as the steps of one drag, become one.
 *
 * @param <T> the kind of document, immutable
 */
public final class EditHistory<T> {
    private static final int MOST_EDITS = 500;

    private final ReadOnlyObjectWrapper<T> document;
    private final Deque<Edit<T>> done = new ArrayDeque<>();
    private final Deque<Edit<T>> undone = new ArrayDeque<>();
    private Object openGesture;
    private boolean notifying;

    public EditHistory(T document) {
        this.document = new ReadOnlyObjectWrapper<>(this, "document", document);
    }

    public ReadOnlyObjectProperty<T> documentProperty() {
        return document.getReadOnlyProperty();
    }

    public T document() {
        return document.get();
    }

    /** Changes the document; an edit that changes nothing is none. */
    public void edit(String description, T after) {
        gesture(null, description, after);
    }

    /**
     * Changes the document as one step of a gesture: consecutive edits with the same gesture are undone together.
     *
     * @param gesture the same object for every step; null for an edit of its own
     */
    public void gesture(Object gesture, String description, T after) {
        if (notifying) {
            throw new IllegalStateException("an edit cannot be made while others hear of one: " + description);
        }
        T before = document.get();
        if (after.equals(before)) {
            return;
        }
        boolean goesOn = gesture != null && gesture.equals(openGesture) && !done.isEmpty();
        T start = goesOn ? done.pop().before() : before;
        openGesture = gesture;
        if (!after.equals(start)) {
            done.push(new Edit<>(description, start, after));
        } else {
            openGesture = null;
        }
        undone.clear();
        if (done.size() > MOST_EDITS) {
            done.removeLast();
        }
        show(after);
    }

    /** What undo would take back: "turn the gain". */
    public Optional<String> undoable() {
        return Optional.ofNullable(done.peek()).map(Edit::description);
    }

    /** What redo would do again. */
    public Optional<String> redoable() {
        return Optional.ofNullable(undone.peek()).map(Edit::description);
    }

    public void undo() {
        if (!done.isEmpty()) {
            Edit<T> edit = done.pop();
            undone.push(edit);
            openGesture = null;
            show(edit.before());
        }
    }

    public void redo() {
        if (!undone.isEmpty()) {
            Edit<T> edit = undone.pop();
            done.push(edit);
            openGesture = null;
            show(edit.after());
        }
    }

    /** Begins anew with another document. */
    public void restart(T other) {
        done.clear();
        undone.clear();
        openGesture = null;
        show(other);
    }

    private void show(T shown) {
        notifying = true;
        try {
            document.set(shown);
        } finally {
            notifying = false;
        }
    }
}
