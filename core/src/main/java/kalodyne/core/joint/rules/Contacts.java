package kalodyne.core.joint.rules;

import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Wire;
import kalodyne.core.joint.JointCircuit;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;

/** Which contacts of sockets are led to each other by plugs and wires, through no box; a resistor in a lead leads on too. */
final class Contacts {
    private final Patch patch;
    private final Map<Place, Set<Place>> next = new HashMap<>();

    /** A contact of a socket or of an end. */
    private record Place(Spot spot, Contact contact) {}

    private Contacts(Patch patch) {
        this.patch = patch;
        patch.leads()
                .forEach((id, lead) ->
                        lead.wires().forEach(wire -> join(place(id, wire.from()), place(id, wire.to()))));
    }

    /** Of a joint, as one reading of its plugs has it. */
    static Contacts of(Patch patch, JointCircuit circuit) {
        Contacts contacts = new Contacts(patch);
        circuit.touches()
                .forEach(touch -> contacts.join(
                        new Place(touch.plugging().plug(), touch.plug()),
                        new Place(touch.plugging().socket(), touch.socket())));
        return contacts;
    }

    /** Of all that is plugged, as the likelier readings have it. */
    static Contacts of(Patch patch) {
        Contacts contacts = new Contacts(patch);
        patch.pluggings()
                .forEach(plugging -> patch.readings(plugging).stream()
                        .limit(1)
                        .flatMap(reading -> reading.touches().stream())
                        .forEach(touch -> contacts.join(
                                new Place(plugging.plug(), touch.plug()),
                                new Place(plugging.socket(), touch.socket()))));
        return contacts;
    }

    private static Place place(String lead, Wire.Spot spot) {
        return new Place(new Spot(lead, spot.end()), spot.contact());
    }

    private void join(Place one, Place other) {
        next.computeIfAbsent(one, each -> new HashSet<>()).add(other);
        next.computeIfAbsent(other, each -> new HashSet<>()).add(one);
    }

    /** Whether some contact of one socket that carries something is led to one of another socket. */
    boolean isLed(Spot from, Carries carried, Spot to, Carries arriving) {
        return places(from, carried)
                .anyMatch(place ->
                        reached(place).stream().anyMatch(places(to, arriving).toList()::contains));
    }

    /** Whether a contact of a socket is led to no other socket at all. */
    boolean isOpen(Spot spot, Carries carried) {
        return places(spot, carried)
                .allMatch(place -> reached(place).stream()
                        .noneMatch(other -> !other.spot().equals(spot)
                                && patch.socket(other.spot()).isPresent()));
    }

    /** Whether a contact of a socket is led to a shield or another ground, its own or one of another socket. */
    boolean isOnGround(Spot spot, Carries carried) {
        return places(spot, carried)
                .anyMatch(place -> reached(place).stream()
                        .anyMatch(other -> patch.socket(other.spot())
                                .map(socket -> socket.contacts().get(other.contact()))
                                .filter(Carries::isGround)
                                .isPresent()));
    }

    /** The sockets to which a contact of one that carries something is led. */
    Set<Spot> led(Spot from, Carries carried) {
        Set<Spot> sockets = new LinkedHashSet<>();
        places(from, carried)
                .flatMap(place -> reached(place).stream())
                .filter(other -> !other.spot().equals(from))
                .filter(other -> patch.socket(other.spot())
                        .filter(socket -> socket.contacts().get(other.contact()) == carried)
                        .isPresent())
                .forEach(other -> sockets.add(other.spot()));
        return sockets;
    }

    /** Whether both legs of a balanced pair are led on to both of another one, the same way round or crossed. */
    boolean isPair(Spot from, Spot to) {
        // By a plug of two poles both cold legs lie on the shield.
        if (isOnGround(from, Carries.COLD) || isOnGround(to, Carries.COLD)) {
            return false;
        }
        boolean isStraight = isLed(from, Carries.HOT, to, Carries.HOT) && isLed(from, Carries.COLD, to, Carries.COLD);
        boolean isCrossed = isLed(from, Carries.HOT, to, Carries.COLD) && isLed(from, Carries.COLD, to, Carries.HOT);
        return isStraight || isCrossed;
    }

    private Stream<Place> places(Spot spot, Carries carried) {
        Socket socket = patch.socket(spot).orElseThrow();
        return socket.contacts().entrySet().stream()
                .filter(entry -> entry.getValue() == carried)
                .map(entry -> new Place(spot, entry.getKey()));
    }

    private Set<Place> reached(Place from) {
        Set<Place> reached = new HashSet<>(Set.of(from));
        Set<Place> fresh = reached;
        while (!fresh.isEmpty()) {
            Set<Place> more = new HashSet<>();
            fresh.forEach(place -> next.getOrDefault(place, Set.of()).stream()
                    .filter(other -> !reached.contains(other))
                    .forEach(more::add));
            reached.addAll(more);
            fresh = more;
        }
        return reached;
    }
}
