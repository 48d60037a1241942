package kalodyne.core.route;

import java.util.List;
import java.util.Optional;

/**
 * What somebody wants to record.
 *
 * @param sources marks of the devices that are played, in the order of their tracks
 * @param target the mark of the device that records
 * @param stereo whether left and right have to stay apart
 * @param headphones the mark of the headphones that it is heard on, if any
 * @param first what counts most
 * @param then what counts next
 */
public record Wish(
        List<String> sources, String target, Stereo stereo, Optional<String> headphones, Matters first, Matters then) {
    public Wish {
        sources = List.copyOf(sources);
    }

    /** One source into one recorder, the rest as most would have it. */
    public static Wish of(String source, String target) {
        return new Wish(List.of(source), target, Stereo.NO_MATTER, Optional.empty(), Matters.CLEAN, Matters.CHEAP);
    }

    public Wish withStereo(Stereo newStereo) {
        return new Wish(sources, target, newStereo, headphones, first, then);
    }

    public Wish withSources(List<String> newSources) {
        return new Wish(newSources, target, stereo, headphones, first, then);
    }

    public Wish withHeadphones(Optional<String> newHeadphones) {
        return new Wish(sources, target, stereo, newHeadphones, first, then);
    }

    public Wish withMatters(Matters newFirst, Matters newThen) {
        return new Wish(sources, target, stereo, headphones, newFirst, newThen);
    }
}
