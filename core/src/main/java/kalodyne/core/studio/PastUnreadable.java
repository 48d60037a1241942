package kalodyne.core.studio;

/** An edit of an earlier start that can no longer be read, and so not undone. The message is a sentence. */
public final class PastUnreadable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    PastUnreadable(String message, Throwable cause) {
        super(message, cause);
    }
}
