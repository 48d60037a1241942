package kalodyne.core.route;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * What somebody wants to record, or only to hear.
 *
 * @param sources marks of the devices that are played, in the order of their tracks
 * @param target the mark of the device that records; {@link #NOBODY} where it is only to be heard
 * @param stereo whether left and right have to stay apart
 * @param heard what it is heard on
 * @param extras what else is wanted
 * @param first what counts most
 * @param then what counts next
 */
@RecordBuilder
public record Wish(
        List<String> sources,
        String target,
        Stereo stereo,
        ListeningWish heard,
        Extras extras,
        Priority first,
        Priority then)
        implements WishBuilder.With {
    /** In place of what records, where nothing does. */
    public static final String NOBODY = "";

    public Wish {
        sources = List.copyOf(sources);
    }

    /** One source into one recorder, the rest as most would have it. */
    public static Wish of(String source, String target) {
        return new Wish(
                List.of(source),
                target,
                Stereo.NO_MATTER,
                ListeningWish.NOT,
                Extras.NONE,
                Priority.CLEAN,
                Priority.CHEAP);
    }

    /** Whether nothing is recorded. */
    public boolean isHeardOnly() {
        return target.equals(NOBODY);
    }

    public Wish withHeadphones(String... newHeadphones) {
        return withHeard(heard.withHeadphones(List.of(newHeadphones)));
    }

    public Wish withMatters(Priority newFirst, Priority newThen) {
        return with().first(newFirst).then(newThen).build();
    }

    /** The same wish of gear whose marks have changed. */
    public Wish renamed(UnaryOperator<String> anew) {
        ListeningWish renamed = heard.withHeadphones(
                        heard.headphones().stream().map(anew).toList())
                .withSpeakers(heard.speakers().stream().map(anew).toList());
        return with().sources(sources.stream().map(anew).toList())
                .target(isHeardOnly() ? NOBODY : anew.apply(target))
                .heard(renamed)
                .extras(extras.withBy(extras.by().stream().map(anew).toList()))
                .build();
    }
}
