package kalodyne.core.route;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;

/**
 * How somebody wants to hear what is played.
 *
 * @param headphones their mark
 * @param speakers the marks of loudspeakers, a subwoofer among them
 * @param through by which way
 */
@RecordBuilder
public record ListeningWish(Optional<String> headphones, List<String> speakers, MonitorPath through)
        implements ListeningWishBuilder.With {
    public static final ListeningWish NOT = new ListeningWish(Optional.empty(), List.of(), MonitorPath.ANY);

    public ListeningWish {
        speakers = List.copyOf(speakers);
    }
}
