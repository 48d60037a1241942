package kalodyne.core.route;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * What somebody wants to record.
 *
 * @param sources marks of the devices that are played, in the order of their tracks
 * @param target the mark of the device that records
 * @param stereo whether left and right have to stay apart
 * @param heard what it is heard on
 * @param extras what else is wanted
 * @param first what counts most
 * @param then what counts next
 */
public record Wish(
        List<String> sources,
        String target,
        Stereo stereo,
        ListeningWish heard,
        Extras extras,
        Priority first,
        Priority then) {
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

    public Wish withStereo(Stereo newStereo) {
        return new Wish(sources, target, newStereo, heard, extras, first, then);
    }

    public Wish withSources(List<String> newSources) {
        return new Wish(newSources, target, stereo, heard, extras, first, then);
    }

    public Wish withHeadphones(Optional<String> newHeadphones) {
        return withHeard(heard.withHeadphones(newHeadphones));
    }

    public Wish withHeard(ListeningWish newHeard) {
        return new Wish(sources, target, stereo, newHeard, extras, first, then);
    }

    public Wish withExtras(Extras newExtras) {
        return new Wish(sources, target, stereo, heard, newExtras, first, then);
    }

    public Wish withMatters(Priority newFirst, Priority newThen) {
        return new Wish(sources, target, stereo, heard, extras, newFirst, newThen);
    }

    /** The same wish of gear whose marks have changed. */
    public Wish renamed(UnaryOperator<String> anew) {
        ListeningWish renamed = heard.withHeadphones(heard.headphones().map(anew))
                .withSpeakers(heard.speakers().stream().map(anew).toList());
        return new Wish(sources.stream().map(anew).toList(), anew.apply(target), stereo, renamed, extras, first, then);
    }
}
