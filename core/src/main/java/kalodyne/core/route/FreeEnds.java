package kalodyne.core.route;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;

/** Ends of plugged leads that nothing is plugged into: what a headset splitter has for headphones. */
final class FreeEnds {
    private final Hops hops;
    private final List<Plugging> plugged;

    FreeEnds(Hops hops, List<Plugging> plugged) {
        this.hops = hops;
        this.plugged = List.copyOf(plugged);
    }

    /**
     * Joins one of them to one of some ports by what is owned, so that a device is heard there; empty where none does.
     *
     * @param used leads that are not free
     */
    Optional<Hop> join(String player, List<Port> ins, Set<String> used) {
        return all(player)
                .flatMap(end -> ins.stream().flatMap(in -> joined(end, in, used)))
                .filter(hop -> hop.worst() != Faults.Grade.FATAL && isHeard(hop))
                .findFirst();
    }

    /** As ports of the device that is to be heard there: they are as good as sockets of its own. */
    private Stream<Port> all(String player) {
        Set<Spot> taken =
                plugged.stream().flatMap(plugging -> plugging.spots().stream()).collect(Collectors.toSet());
        return taken.stream()
                .map(Spot::item)
                .filter(hops.leads()::containsKey)
                .distinct()
                .sorted()
                .flatMap(mark -> hops.lead(mark).ends().stream()
                        .filter(end -> !taken.contains(new Spot(mark, end.id())))
                        .map(end -> port(player, mark, end)));
    }

    private static Port port(String player, String mark, LeadEnd end) {
        return new Port(
                player,
                List.of(new Spot(mark, end.id())),
                new Shape(List.of(end.connector()), List.of(end.form()), SignalKind.HEADPHONE, 2));
    }

    private Stream<Hop> joined(Port end, Port in, Set<String> used) {
        return hops.joinings().of(end.shape(), in.shape()).stream()
                .filter(joining -> joining.missing() == 0)
                .flatMap(joining -> joining.between(end, in, used).stream())
                .map(made -> Hop.of(end, in, made, with(made.pluggings())));
    }

    /** What comes of them with all that hangs on the lead. */
    private List<JointRules.Checked> with(List<Plugging> more) {
        return hops.joints(Stream.concat(plugged.stream(), more.stream()).toList());
    }

    private static boolean isHeard(Hop hop) {
        return hop.joints().stream()
                .flatMap(joint -> joint.reading().stream())
                .flatMap(reading -> reading.ways().stream())
                .anyMatch(way -> !way.isLost()
                        && way.from().socket().item().equals(hop.from().device())
                        && hop.to().sockets().contains(way.to().socket()));
    }
}
