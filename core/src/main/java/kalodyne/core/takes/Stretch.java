package kalodyne.core.takes;

/**
 * A stretch of a take.
 *
 * @param fromFrame first frame, included
 * @param toFrame behind its last frame
 */
public record Stretch(long fromFrame, long toFrame) {
    boolean holds(long frame) {
        return frame >= fromFrame && frame < toFrame;
    }

    long gapTo(Stretch later) {
        return later.fromFrame - toFrame;
    }

    Stretch until(Stretch later) {
        return new Stretch(fromFrame, Math.max(toFrame, later.toFrame));
    }
}
