package kalodyne.desktop.control;

import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Collectors;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Wire;

/** Contacts as people call them. */
public final class ContactWords {
    private ContactWords() {}

    public static String of(Connector connector, Contact contact) {
        return switch (contact) {
            case TIP -> "tip";
            case RING -> "ring";
            case RING_1 -> "ring 1";
            case RING_2 -> "ring 2";
            case SLEEVE -> "sleeve";
            case ONE, TWO, THREE, FOUR, FIVE -> "pin " + contact.word();
            default -> contact.word();
        };
    }

    /** What each contact of a socket carries; without those that carry nothing. */
    public static Map<Contact, String> carriedBy(Socket socket) {
        Map<Contact, String> words = new EnumMap<>(Contact.class);
        socket.contacts().forEach((contact, carries) -> {
            if (carries != Carries.NOTHING) {
                words.put(contact, carries.word());
            }
        });
        return words;
    }

    /** Where each contact of an end leads, in words: "Tip goes to headphones tip; ring 2 to …". */
    public static String wiring(Lead lead, String endId) {
        LeadEnd end = lead.ends().stream()
                .filter(each -> each.id().equals(endId))
                .findFirst()
                .orElseThrow();
        return "How end " + end.id() + " is wired: "
                + end.connector().contacts().stream()
                        .map(contact ->
                                of(end.connector(), contact) + " → " + targets(lead, new Wire.Spot(endId, contact)))
                        .collect(Collectors.joining("; "))
                + ".";
    }

    private static String targets(Lead lead, Wire.Spot here) {
        String targets = lead.wires().stream()
                .filter(wire -> wire.from().equals(here) || wire.to().equals(here))
                .map(wire -> target(lead, wire, wire.from().equals(here) ? wire.to() : wire.from()))
                .collect(Collectors.joining(" and "));
        return targets.isEmpty() ? "nothing" : targets;
    }

    private static String target(Lead lead, Wire wire, Wire.Spot there) {
        String through = wire.facts()
                .printed(Fact.RESISTOR)
                .map(ohms -> " through " + ohms)
                .orElse("");
        return of(lead, there) + through;
    }

    /** "end b tip", or "left tip" where the end has a name. */
    public static String of(Lead lead, Wire.Spot spot) {
        LeadEnd end = lead.ends().stream()
                .filter(each -> each.id().equals(spot.end()))
                .findFirst()
                .orElseThrow();
        String name = end.name().isEmpty() ? "end " + end.id() : end.name();
        return name + " " + of(end.connector(), spot.contact());
    }
}
