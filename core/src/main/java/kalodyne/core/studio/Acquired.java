package kalodyne.core.studio;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Ids;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.route.Missing;
import kalodyne.core.route.Way;

/**
 * A studio once somebody has what a way needs: all of it is on the shelf.
 *
 * @param studio with what was missing
 * @param anew the marks on the shelf of what stands in the way under the mark of something missing
 */
public record Acquired(Studio studio, Map<String, String> anew) {
    public Acquired {
        anew = Map.copyOf(anew);
    }

    /** Puts what a way lacks on the shelf. */
    public static Acquired of(Studio before, Way way) {
        Map<String, String> anew = new HashMap<>();
        Studio after = before;
        for (Map.Entry<String, Device> entry : new TreeMap<>(way.patch().devices()).entrySet()) {
            if (Missing.is(entry.getKey())) {
                Device device = entry.getValue()
                        .withId(Ids.fresh("device"))
                        .withProfile(Missing.kind(entry.getKey()))
                        .withName(Studio.freeName(
                                entry.getValue().name(),
                                after.devices().stream().map(Device::name).toList()));
                anew.put(entry.getKey(), device.id());
                after = after.with(device);
            }
        }
        for (Map.Entry<String, Lead> entry : new TreeMap<>(way.patch().leads()).entrySet()) {
            String mark = Spot.kind(entry.getKey());
            if (Missing.is(mark)) {
                int count = Spot.number(entry.getKey());
                String id = anew.computeIfAbsent(mark, each -> Ids.fresh("lead"));
                Lead got = after.lead(id).orElse(named(entry.getValue(), after).withId(id));
                after = after.with(got.withProfile(Missing.kind(mark)).withOwned(Math.max(count, got.owned())));
            }
        }
        return new Acquired(after, anew);
    }

    /** What the way plugs, or some of it, with what is on the shelf now. */
    public List<Plugging> plugging(Collection<Plugging> ofWay) {
        return ofWay.stream()
                .map(each -> new Plugging(owned(each.plug()), owned(each.socket())))
                .toList();
    }

    /** The second of two stays the second. */
    private Spot owned(Spot spot) {
        String id = anew.get(spot.kind());
        return id == null
                ? spot
                : new Spot(id + spot.item().substring(spot.kind().length()), spot.part());
    }

    private static Lead named(Lead lead, Studio shelf) {
        List<String> taken = shelf.leads().stream().map(Lead::name).toList();
        return lead.withOwned(1).withName(Studio.freeName(lead.name(), taken));
    }
}
