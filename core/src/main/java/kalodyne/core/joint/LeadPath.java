package kalodyne.core.joint;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Lead;

/**
 * The leads from one socket to another, through no box.
 *
 * @param leads in the order of the way; empty where one is plugged straight into the other
 */
public record LeadPath(List<Lead> leads) {
    public LeadPath {
        leads = List.copyOf(leads);
    }

    /** The shortest way; empty where there is none but through a box. */
    public static Optional<LeadPath> between(Patch patch, Spot from, Spot to) {
        Map<Spot, Spot> before = new LinkedHashMap<>(Map.of(from, from));
        Deque<Spot> open = new ArrayDeque<>(List.of(from));
        while (!open.isEmpty() && !before.containsKey(to)) {
            Spot at = open.poll();
            beside(patch, at)
                    .filter(next -> before.putIfAbsent(next, at) == null)
                    .forEach(open::add);
        }
        return Optional.ofNullable(before.get(to)).map(last -> {
            List<Lead> leads = new ArrayList<>();
            for (Spot at = to; !at.equals(from); at = before.get(at)) {
                if (at.item().equals(before.get(at).item()) && patch.leads().containsKey(at.item())) {
                    leads.add(0, patch.leads().get(at.item()));
                }
            }
            return new LeadPath(leads);
        });
    }

    /** What is plugged in at a spot, and the other ends of its lead. */
    static Stream<Spot> beside(Patch patch, Spot spot) {
        Stream<Spot> plugged = patch.pluggings().stream()
                .filter(plugging ->
                        plugging.plug().equals(spot) || plugging.socket().equals(spot))
                .map(plugging -> plugging.plug().equals(spot) ? plugging.socket() : plugging.plug());
        Stream<Spot> ends = patch.leads().containsKey(spot.item())
                ? patch.leads().get(spot.item()).ends().stream().map(end -> new Spot(spot.item(), end.id()))
                : Stream.empty();
        return Stream.concat(plugged, ends).filter(other -> !other.equals(spot)).distinct();
    }
}
