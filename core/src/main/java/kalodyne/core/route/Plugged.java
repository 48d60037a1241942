package kalodyne.core.route;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;

/** What is plugged already and leads from one device to another one: new sources may use it too. */
final class Plugged {
    private final Stock stock;
    private final Map<String, Lead> leads;
    private final Map<Spot, List<Plugging>> at = new HashMap<>();

    private Plugged(Stock stock, Map<String, Lead> leads, Wiring taken) {
        this.stock = stock;
        this.leads = leads;
        for (Plugging plugging : taken.plugged()) {
            plugging.spots()
                    .forEach(spot ->
                            at.computeIfAbsent(spot, each -> new ArrayList<>()).add(plugging));
        }
    }

    /**
     * A hop for each two ports that are joined, pairs before the sockets of which they are made.
     *
     * @param leads by the marks under which they are plugged
     */
    static List<Hop> hops(Stock stock, Map<String, Lead> leads, Wiring taken) {
        Plugged plugged = new Plugged(stock, leads, taken);
        return stock.ids().stream()
                .filter(id -> taken.plugged().stream()
                        .flatMap(plugging -> plugging.spots().stream())
                        .anyMatch(spot -> spot.item().equals(id)))
                .flatMap(plugged::from)
                .toList();
    }

    private Stream<Hop> from(String device) {
        Ports ports = stock.ports(device);
        return Stream.concat(ports.outlets().stream(), ports.dataOut().stream()).flatMap(out -> into(out).stream());
    }

    private Optional<Hop> into(Port out) {
        Map<Spot, List<Plugging>> reached = new LinkedHashMap<>();
        for (Spot socket : out.sockets()) {
            walk(socket, reached);
        }
        boolean isAll = !reached.isEmpty() && out.sockets().stream().allMatch(at::containsKey);
        return reached.keySet().stream()
                .map(Spot::item)
                .distinct()
                .filter(id -> isAll && stock.has(id) && !id.equals(out.device()))
                .flatMap(id -> Stream.concat(stock.ports(id).inlets().stream(), stock.ports(id).dataIns().stream()))
                .filter(in -> in.shape().isDigital() == out.shape().isDigital())
                .filter(in -> reached.keySet().containsAll(in.sockets()))
                .findFirst()
                .map(in -> hop(out, in, reached));
    }

    private static Hop hop(Port out, Port in, Map<Spot, List<Plugging>> reached) {
        Set<Plugging> pluggings = new LinkedHashSet<>();
        in.sockets().forEach(socket -> pluggings.addAll(reached.get(socket)));
        Set<String> marks = new LinkedHashSet<>();
        pluggings.stream()
                .flatMap(plugging -> plugging.spots().stream())
                .map(Spot::item)
                .filter(item -> !item.equals(out.device()) && !item.equals(in.device()))
                .forEach(marks::add);
        return Hop.of(
                out,
                in,
                new Joining.Made(Joining.plugged(pluggings.size()), List.copyOf(marks), List.copyOf(pluggings)),
                List.of());
    }

    /** The sockets of devices that a socket is joined to through leads, with what is plugged on the way there. */
    private void walk(Spot from, Map<Spot, List<Plugging>> reached) {
        Map<Spot, List<Plugging>> seen = new HashMap<>(Map.of(from, List.of()));
        Deque<Spot> open = new ArrayDeque<>(List.of(from));
        while (!open.isEmpty()) {
            Spot spot = open.pop();
            for (Plugging plugging : at.getOrDefault(spot, List.of())) {
                Spot other = plugging.plug().equals(spot) ? plugging.socket() : plugging.plug();
                List<Plugging> way = new ArrayList<>(seen.get(spot));
                way.add(plugging);
                Lead lead = leads.get(other.item());
                if (lead == null && !other.equals(from)) {
                    reached.putIfAbsent(other, way);
                } else if (lead != null && seen.putIfAbsent(other, way) == null) {
                    open.push(other);
                    wired(lead, other)
                            .filter(end -> seen.putIfAbsent(end, way) == null)
                            .forEach(open::push);
                }
            }
        }
    }

    private static Stream<Spot> wired(Lead lead, Spot end) {
        return lead.wires().stream()
                .flatMap(wire -> wire.from().end().equals(end.part())
                        ? Stream.of(wire.to().end())
                        : wire.to().end().equals(end.part())
                                ? Stream.of(wire.from().end())
                                : Stream.empty())
                .distinct()
                .map(part -> new Spot(end.item(), part));
    }
}
