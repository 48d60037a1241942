package kalodyne.core.files;

/** Hears how far a long piece of work has come, and may ask it to stop. */
@FunctionalInterface
public interface Progress {
    /** For callers who just wait. */
    Progress NONE = done -> true;

    /**
     * Called now and then.
     *
     * @param done from 0 to 1
     * @return false to stop
     */
    boolean report(double done);
}
