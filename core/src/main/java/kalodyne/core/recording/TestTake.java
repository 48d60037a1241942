package kalodyne.core.recording;

import java.util.List;

/** How a test take is played: first nothing, for the noise; then the loudest; then as one will play. */
public final class TestTake {
    private static final List<Part> PARTS = List.of(
            new Part(3, "Do not play yet: the noise is measured"),
            new Part(9, "Play your loudest now"),
            new Part(8, "Play as you will play, with a pause or two"));

    private static final String DONE = "That is enough. Stop when you like";

    private TestTake() {}

    /**
     * A part of it.
     *
     * @param seconds how long it takes
     * @param words what to do
     */
    public record Part(double seconds, String words) {}

    /** What to do at a time, and for how long still. */
    public static Part at(double seconds) {
        double end = 0;
        for (Part part : PARTS) {
            end += part.seconds();
            if (seconds < end) {
                return new Part(end - seconds, part.words());
            }
        }
        return new Part(0, DONE);
    }

    /** All of it, in order. */
    public static List<Part> parts() {
        return PARTS;
    }

    /** Which part a time lies in; as many as there are where all are over. */
    public static int number(double seconds) {
        double end = 0;
        for (int i = 0; i < PARTS.size(); i++) {
            end += PARTS.get(i).seconds();
            if (seconds < end) {
                return i;
            }
        }
        return PARTS.size();
    }
}
