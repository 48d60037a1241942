package kalodyne.core.joint;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Wire;

/**
 * A joint laid out for a drawing: its sockets and ends in columns, from where a signal comes from to where it goes, and the
 * lines between their contacts.
 *
 * @param columns from the left; of each the spots from the top
 * @param lines between contacts of neighbouring columns, or of one column
 */
public record JointMap(List<List<Spot>> columns, List<Line> lines) {
    /**
     * A connection between two contacts.
     *
     * @param isTouch where a plug touches a socket; else a wire of a lead
     */
    public record Line(Spot from, Contact fromContact, Spot to, Contact toContact, boolean isTouch) {}

    public JointMap {
        columns = columns.stream().map(List::copyOf).toList();
        lines = List.copyOf(lines);
    }

    /** Lays out a patch whose parts hang together, as the circuit of its likelier reading has them. */
    public static JointMap of(Patch patch, JointCircuit circuit) {
        Map<Spot, Integer> distances = distances(patch, starts(patch, circuit));
        List<List<Spot>> columns = new ArrayList<>();
        distances.forEach((spot, distance) -> {
            while (columns.size() <= distance) {
                columns.add(new ArrayList<>());
            }
            columns.get(distance).add(spot);
        });
        List<Line> lines = new ArrayList<>();
        circuit.touches()
                .forEach(touch -> lines.add(new Line(
                        touch.plugging().plug(), touch.plug(), touch.plugging().socket(), touch.socket(), true)));
        patch.leads()
                .forEach((id, lead) -> lead.wires().stream()
                        .filter(wire -> !wire.from().end().equals(wire.to().end()))
                        .forEach(wire -> lines.add(new Line(
                                spot(id, wire.from()),
                                wire.from().contact(),
                                spot(id, wire.to()),
                                wire.to().contact(),
                                false))));
        return new JointMap(columns, lines);
    }

    private static Spot spot(String lead, Wire.Spot spot) {
        return new Spot(lead, spot.end());
    }

    /** The sockets that signals come out of and go into none; the first that one comes out of, or the first of all, where none does. */
    private static Set<Spot> starts(Patch patch, JointCircuit circuit) {
        List<Spot> sounding = circuit.soundings().stream()
                .map(OutputSignal::socket)
                .filter(patch::isPlugged)
                .toList();
        Set<Spot> sources = sounding.stream()
                .filter(spot -> patch.socket(spot).orElseThrow().way() == Direction.OUT
                        && through(patch, spot).findAny().isEmpty())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        return sounding.isEmpty() || !sources.contains(sounding.get(0)) ? Set.of(first(patch, sounding)) : sources;
    }

    private static Spot first(Patch patch, List<Spot> sounding) {
        return sounding.stream()
                .findFirst()
                .or(() -> patch.pluggings().stream()
                        .flatMap(plugging -> plugging.spots().stream())
                        .filter(spot -> patch.socket(spot).isPresent())
                        .findFirst())
                .orElseGet(() -> patch.pluggings().get(0).plug());
    }

    private static Map<Spot, Integer> distances(Patch patch, Set<Spot> starts) {
        Map<Spot, Integer> distances = new LinkedHashMap<>();
        Deque<Spot> open = new ArrayDeque<>(starts);
        starts.forEach(start -> distances.put(start, 0));
        while (!open.isEmpty()) {
            Spot at = open.poll();
            neighbours(patch, at).filter(next -> !distances.containsKey(next)).forEach(next -> {
                distances.put(next, distances.get(at) + 1);
                open.add(next);
            });
        }
        return distances;
    }

    /** Beside it along leads, and on the other side of a box. */
    private static Stream<Spot> neighbours(Patch patch, Spot spot) {
        return Stream.concat(LeadPath.beside(patch, spot), through(patch, spot));
    }

    private static Stream<Spot> through(Patch patch, Spot spot) {
        Stream<Spot> wound = patch.passages().stream()
                .flatMap(passage -> Stream.of(passage.in(), passage.out())
                        .filter(end ->
                                passage.in().equals(spot) || passage.out().equals(spot)));
        Stream<Spot> wired = patch.pluggings().stream()
                .flatMap(plugging -> plugging.spots().stream())
                .filter(other -> patch.isWired(spot, other));
        return Stream.concat(wound, wired)
                .filter(other -> !other.equals(spot) && patch.isPlugged(other))
                .distinct();
    }
}
