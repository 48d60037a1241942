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
public record ListeningWish(Optional<String> headphones, List<String> speakers, MonitorPath through) {
    public static final ListeningWish NOT = new ListeningWish(Optional.empty(), List.of(), MonitorPath.ANY);

    public ListeningWish {
        speakers = List.copyOf(speakers);
    }

    public ListeningWish withHeadphones(Optional<String> newHeadphones) {
        return new ListeningWish(newHeadphones, speakers, through);
    }

    public ListeningWish withSpeakers(List<String> newSpeakers) {
        return new ListeningWish(headphones, newSpeakers, through);
    }

    public ListeningWish withThrough(MonitorPath newThrough) {
        return new ListeningWish(headphones, speakers, newThrough);
    }
}
