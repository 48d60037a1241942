package kalodyne.core.gear.catalogue;

import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;

/**
 * A kind of gear to start a description from.
 *
 * @param gear as it typically is; its id is the profile's
 * @param words others that somebody may search by
 * @param asks what matters and varies
 * @param isOnlyUsed whether nobody gets one for a way, though one may use one that lies there: a speaker lead, a charge-only lead
 * @param <T> {@link Device} or {@link Lead}
 */
public record Profile<T>(T gear, List<String> words, List<Ask> asks, boolean isOnlyUsed) {
    public Profile {
        words = List.copyOf(words);
        asks = List.copyOf(asks);
    }
}
