package kalodyne.core.route;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;

/** The earth wire of a turntable, which runs beside its signal leads: without it a turntable hums. */
final class Earth {
    private Earth() {}

    static boolean hasWire(Lead lead) {
        return spades(lead).size() > 1;
    }

    private static List<LeadEnd> spades(Lead lead) {
        return lead.ends().stream()
                .filter(end -> end.connector() == Connector.EARTH_SPADE)
                .toList();
    }

    /** The same joint with the earth wire of its lead at both posts, where there are such. */
    static Joining.Made joined(Joining.Made made, Device from, Device to) {
        Optional<Socket> one = post(from);
        Optional<Socket> other = post(to);
        List<LeadSort> leads = made.joining().leads();
        if (one.isEmpty()
                || other.isEmpty()
                || leads.size() != 1
                || !hasWire(leads.get(0).lead())) {
            return made;
        }
        String mark = made.marks().get(0);
        List<LeadEnd> spades = spades(leads.get(0).lead());
        List<Plugging> more = new ArrayList<>(made.pluggings());
        more.add(new Plugging(
                new Spot(mark, spades.get(0).id()),
                new Spot(from.id(), one.get().id())));
        more.add(new Plugging(
                new Spot(mark, spades.get(1).id()),
                new Spot(to.id(), other.get().id())));
        return new Joining.Made(made.joining(), made.marks(), more);
    }

    private static Optional<Socket> post(Device device) {
        return device.sockets().stream()
                .filter(socket -> socket.connector() == Connector.EARTH_POST)
                .findFirst();
    }
}
