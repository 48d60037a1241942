package kalodyne.core.sound.measure;

/**
 * Something that happened at a place of a channel.
 *
 * @param fromFrame its first frame
 * @param toFrame behind its last frame
 * @param strength what it is, by the meter that found it
 */
public record Event(long fromFrame, long toFrame, double strength) {
    private static final int EDGE = 5;

    /** Whether another event lies in this one or at its edges. */
    public boolean isNear(Event other) {
        return other.toFrame() >= fromFrame - EDGE && other.fromFrame() <= toFrame + EDGE;
    }

    public long frames() {
        return toFrame - fromFrame;
    }
}
