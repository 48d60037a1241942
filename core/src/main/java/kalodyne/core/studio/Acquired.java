package kalodyne.core.studio;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.IntStream;
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
 * @param pluggings of the way, with what is on the shelf now
 */
public record Acquired(Studio studio, List<Plugging> pluggings) {
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
        return new Acquired(
                after,
                way.patch().pluggings().stream()
                        .map(each -> new Plugging(renamed(each.plug(), anew), renamed(each.socket(), anew)))
                        .toList());
    }

    /** Some of the pluggings of the way, with what is on the shelf now. */
    public List<Plugging> of(Way way, Collection<Plugging> some) {
        List<Plugging> before = way.patch().pluggings();
        return IntStream.range(0, before.size())
                .filter(i -> some.contains(before.get(i)))
                .mapToObj(pluggings::get)
                .toList();
    }

    private static Lead named(Lead lead, Studio shelf) {
        List<String> taken = shelf.leads().stream().map(Lead::name).toList();
        return lead.withOwned(1).withName(Studio.freeName(lead.name(), taken));
    }

    /** The second of two stays the second. */
    private static Spot renamed(Spot spot, Map<String, String> anew) {
        String kind = Spot.kind(spot.item());
        String id = anew.get(kind);
        return id == null ? spot : new Spot(id + spot.item().substring(kind.length()), spot.part());
    }
}
