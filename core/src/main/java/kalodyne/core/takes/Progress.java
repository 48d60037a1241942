package kalodyne.core.takes;

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

    /**
     * Called as often, with what is known already.
     *
     * @param soFar of what was read
     */
    default void heard(SoFar soFar) {
        // Most callers wait for all of it.
    }

    /**
     * What is known of a take of which a part was read.
     *
     * @param seconds how much that was
     * @param samplePeak the largest sample in it, full scale is 1
     * @param clippedSamples how many are cut off
     */
    record SoFar(double seconds, double samplePeak, long clippedSamples) {}
}
