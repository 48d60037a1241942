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

    /** What to do at a time. */
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

    /** How long all of it takes. */
    public static double seconds() {
        return PARTS.stream().mapToDouble(Part::seconds).sum();
    }
}
