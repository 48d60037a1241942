package kalodyne.core.lineup;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import kalodyne.core.files.Progress;

/** Finds where two recordings of the same sound belong to each other: from rough to fine. */
public final class LineUp {
    private static final double HEAD_SECONDS = 150;
    /** Of the time that all takes, reading is so much. */
    private static final double READING = 0.85;

    private static final double HEAD_READING = 0.05;

    /** A guess is worth showing where the best place stands out from the second best by so much. */
    private static final double CLEAR = 1.2;

    private LineUp() {}

    /**
     * What came of it.
     *
     * @param alignment where they belong; the likeliest where several fit; empty where they have nothing in common
     * @param places where the beginning of the reference may lie in the other one, in seconds, the likeliest first: more than one where
     *     the sound repeats itself exactly
     * @param reason why they do not belong together, as sentences; empty where they do
     * @param referenceSeconds how long the reference is
     * @param otherSeconds how long the other one is
     */
    public record Result(
            Optional<Alignment> alignment,
            List<Double> places,
            String reason,
            double referenceSeconds,
            double otherSeconds) {
        public Result {
            places = List.copyOf(places);
        }

        public boolean belongTogether() {
            return reason.isEmpty();
        }
    }

    /** Hears how far it has come. Called from several threads, one at a time. */
    @FunctionalInterface
    public interface Listener extends Progress {
        /**
         * Called once, when a first guess is there, from the beginnings of both.
         *
         * @param guess right to about ten milliseconds
         */
        default void guessed(ClockLine guess) {
            // Most callers wait for the answer.
        }
    }

    /**
     * Lines up.
     *
     * @param reference what stays as it is: the film
     * @param other what is to fit it
     * @throws kalodyne.core.sound.UnreadableSound where one cannot be read; says why
     * @throws java.util.concurrent.CancellationException where the progress asked to stop
     */
    public static Result of(Path reference, Path other, Listener listener) throws IOException {
        Sketches heads = Sketches.read(reference, other, HEAD_SECONDS, Shares.of(listener, 0, HEAD_READING));
        guess(heads, listener);
        // Short recordings are known already.
        Sketches both = heads.areWhole()
                ? heads
                : Sketches.read(reference, other, Double.POSITIVE_INFINITY, Shares.of(listener, HEAD_READING, READING));
        return new Matching(reference, other, both, Shares.of(listener, READING, 1)).result();
    }

    private static void guess(Sketches heads, Listener listener) {
        SwellTrack one = heads.reference().swells();
        SwellTrack two = heads.other().swells();
        List<CoarseSearch.Candidate> places = new CoarseSearch(one, two).candidates();
        boolean isClear = places.size() == 1
                || (places.size() > 1
                        && places.get(0).height() > CLEAR * places.get(1).height());
        if (isClear) {
            listener.guessed(new SlopeSearch(one, two).search(places.get(0)).clock());
        }
    }
}
