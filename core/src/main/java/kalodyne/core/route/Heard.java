package kalodyne.core.route;

import java.util.List;
import java.util.Optional;

/**
 * How somebody wants to hear what is played.
 *
 * @param headphones their mark
 * @param speakers the marks of loudspeakers, a subwoofer among them
 * @param through by which way
 */
public record Heard(Optional<String> headphones, List<String> speakers, Through through) {
    public static final Heard NOT = new Heard(Optional.empty(), List.of(), Through.ANY);

    public Heard {
        speakers = List.copyOf(speakers);
    }

    public Heard withHeadphones(Optional<String> newHeadphones) {
        return new Heard(newHeadphones, speakers, through);
    }

    public Heard withSpeakers(List<String> newSpeakers) {
        return new Heard(headphones, newSpeakers, through);
    }

    public Heard withThrough(Through newThrough) {
        return new Heard(headphones, speakers, newThrough);
    }
}
