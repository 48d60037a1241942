package kalodyne.core.route;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules;

/** Where headphones hear what a device plays by a lead or a box on the way: the free end of a headset splitter, the socket of an adapter. */
final class FreeEnds {
    private final Stock stock;
    private final Hops hops;
    private final List<Plugging> plugged;
    private final Set<Spot> taken;

    /**
     * Looks at a way.
     *
     * @param plugged what it plugs
     * @param taken what is plugged beside it too
     */
    FreeEnds(Stock stock, Hops hops, List<Plugging> plugged, Wiring taken) {
        this.stock = stock;
        this.hops = hops;
        this.plugged = List.copyOf(plugged);
        this.taken = taken.spots();
    }

    /**
     * Joins one of them to one of some ports so that a device is heard there; empty where none does.
     *
     * @param used leads that are not free
     * @param mayGet whether an adapter may be got for it
     */
    Optional<Hop> join(String player, List<Port> ins, Set<String> used, boolean mayGet) {
        return all(player)
                .flatMap(end -> ins.stream().flatMap(in -> joined(end, in, used, mayGet)))
                .filter(hop -> hop.worst() != Faults.Grade.FATAL && isHeard(hop))
                .findFirst();
    }

    /** As ports of the device that is to be heard there: they are as good as sockets of its own. */
    private Stream<Port> all(String player) {
        return plugged.stream()
                .flatMap(plugging -> plugging.spots().stream())
                .map(Spot::item)
                .distinct()
                .sorted()
                .flatMap(mark -> stock.has(mark) ? passedOn(mark) : ends(mark))
                .filter(end -> !taken.contains(end.spot()))
                .map(end -> new Port(
                        player,
                        List.of(end.spot()),
                        new Shape(List.of(end.connector()), List.of(end.form()), SignalKind.HEADPHONE, 2)));
    }

    /** Something that headphones could go into. */
    private record Opening(Spot spot, Connector connector, Form form) {}

    private Stream<Opening> ends(String lead) {
        return hops.lead(lead).ends().stream()
                .map(end -> new Opening(new Spot(lead, end.id()), end.connector(), end.form()));
    }

    /** What a box only passes on by wire: the headphone socket of an adapter for phones. */
    private Stream<Opening> passedOn(String device) {
        return stock.device(device).sockets().stream()
                .filter(socket -> socket.ties().parallelTo().isPresent() && socket.signal() == SignalKind.HEADPHONE)
                .map(socket -> new Opening(new Spot(device, socket.id()), socket.connector(), socket.form()));
    }

    private Stream<Hop> joined(Port end, Port in, Set<String> used, boolean mayGet) {
        return hops.joinings().of(end.shape(), in.shape()).stream()
                .filter(joining -> mayGet || joining.missing() == 0)
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
