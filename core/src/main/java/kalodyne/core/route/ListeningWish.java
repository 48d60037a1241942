package kalodyne.core.route;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.stream.Stream;

/**
 * How somebody wants to hear what is played.
 *
 * @param headphones the marks of all that are worn
 * @param speakers the marks of loudspeakers, a subwoofer among them
 * @param through by which way
 */
@RecordBuilder
public record ListeningWish(List<String> headphones, List<String> speakers, MonitorPath through)
        implements ListeningWishBuilder.With {
    public static final ListeningWish NOT = new ListeningWish(List.of(), List.of(), MonitorPath.ANY);

    public ListeningWish {
        headphones = List.copyOf(headphones);
        speakers = List.copyOf(speakers);
    }

    /** Loudspeakers, then headphones. */
    public List<String> marks() {
        return Stream.concat(speakers.stream(), headphones.stream()).toList();
    }

    public boolean isNothing() {
        return headphones.isEmpty() && speakers.isEmpty();
    }
}
