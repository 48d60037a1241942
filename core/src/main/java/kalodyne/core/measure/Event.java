package kalodyne.core.measure;

/**
 * Something that happened at a place of a channel.
 *
 * @param fromFrame its first frame
 * @param toFrame behind its last frame
 * @param strength what it is, by the meter that found it
 */
public record Event(long fromFrame, long toFrame, double strength) {
    public long frames() {
        return toFrame - fromFrame;
    }
}
