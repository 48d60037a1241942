package kalodyne.core.sound;

import java.util.List;
import java.util.Optional;

/**
 * What a WAV file says of itself beside its samples.
 *
 * @param broadcast who made it, and when by the clock of the day
 * @param marks places in it
 */
public record SoundTags(Optional<Broadcast> broadcast, List<Mark> marks) {
    public static final SoundTags NONE = new SoundTags(Optional.empty(), List.of());

    public SoundTags {
        marks = List.copyOf(marks);
    }

    /**
     * A place.
     *
     * @param frame from 0
     * @param name what begins there
     */
    public record Mark(long frame, String name) {}
}
