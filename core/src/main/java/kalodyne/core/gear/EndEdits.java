package kalodyne.core.gear;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.units.UnreadableQuantity;

/** Changes which ends a lead has and how they are wired. */
public final class EndEdits {
    private static final int MOST_ENDS = 16;

    private EndEdits() {}

    /** The contacts to which each contact of an end is wired; those that are not wired are left out. */
    public static Map<Contact, Set<Wire.Spot>> wiring(Lead lead, String endId) {
        return lead.wires().stream()
                .flatMap(wire -> Stream.of(wire, new Wire(wire.to(), wire.from(), wire.conductor(), wire.facts())))
                .filter(wire -> wire.from().end().equals(endId))
                .collect(Collectors.groupingBy(
                        wire -> wire.from().contact(), Collectors.mapping(Wire::to, Collectors.toSet())));
    }

    /**
     * The wiring that an end has when another connector is soldered on: hot to hot, cold to cold, shield to shield.
     * Wires to a contact for which the new one has no counterpart are left out.
     */
    public static Map<Contact, Set<Wire.Spot>> carriedOver(Lead lead, LeadEnd end, Connector connector) {
        return wiring(lead, end.id()).entrySet().stream()
                .flatMap(entry -> counterpart(end.connector(), entry.getKey(), connector).stream()
                        .map(contact -> Map.entry(contact, entry.getValue())))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static Optional<Contact> counterpart(Connector before, Contact contact, Connector now) {
        if (before == now) {
            return Optional.of(contact);
        }
        Role role = Role.of(contact);
        return now.contacts().stream().filter(each -> Role.of(each) == role).findFirst();
    }

    /** Which part a contact plays in a wired connection, whatever the connector: common practice. */
    private enum Role {
        HOT,
        COLD,
        SHIELD,
        OTHER;

        static Role of(Contact contact) {
            return switch (contact) {
                case TIP, TWO, PIN, PLUS, LIVE -> HOT;
                case RING, RING_1, THREE -> COLD;
                case SLEEVE, ONE, SHELL, MINUS -> SHIELD;
                default -> OTHER;
            };
        }
    }

    /**
     * The lead with an end that stands in for the one of the same mark.
     *
     * @param wiring to which contacts of other ends each of its contacts goes
     */
    public static Lead changed(Lead lead, LeadEnd end, Map<Contact, Set<Wire.Spot>> wiring) {
        List<LeadEnd> ends = lead.ends().stream()
                .map(each -> each.id().equals(end.id()) ? end : each)
                .toList();
        List<Wire> wires = new ArrayList<>();
        for (Wire wire : lead.wires()) {
            if (!touches(wire, end.id()) || isKept(wire, end.id(), wiring)) {
                wires.add(wire);
            }
        }
        for (Contact contact : end.connector().contacts()) {
            wiring.getOrDefault(contact, Set.of()).stream()
                    .map(spot -> wire(new Wire.Spot(end.id(), contact), spot))
                    .filter(wire -> wires.stream().noneMatch(known -> joinTheSame(known, wire)))
                    .forEach(wires::add);
        }
        return lead.withEnds(ends, wires);
    }

    /** One that stays keeps its resistor and whatever else is known of it. */
    private static boolean isKept(Wire wire, String endId, Map<Contact, Set<Wire.Spot>> wiring) {
        boolean isFromHere = wire.from().end().equals(endId);
        Wire.Spot here = isFromHere ? wire.from() : wire.to();
        Wire.Spot there = isFromHere ? wire.to() : wire.from();
        return wiring.getOrDefault(here.contact(), Set.of()).contains(there);
    }

    private static boolean touches(Wire wire, String endId) {
        return wire.from().end().equals(endId) || wire.to().end().equals(endId);
    }

    private static boolean joinTheSame(Wire one, Wire other) {
        return Set.of(one.from(), one.to()).equals(Set.of(other.from(), other.to()));
    }

    private static Wire wire(Wire.Spot from, Wire.Spot to) {
        boolean isShield = Role.of(from.contact()) == Role.SHIELD && Role.of(to.contact()) == Role.SHIELD;
        return new Wire(from, to, isShield ? Conductor.SHIELD : Conductor.CORE, Facts.NONE);
    }

    /**
     * The lead with one more end like one it has, wired to the same.
     *
     * @throws UnreadableQuantity where it has as many as it may have
     */
    public static Lead another(Lead lead, LeadEnd like) {
        if (lead.ends().size() >= MOST_ENDS) {
            throw new UnreadableQuantity(
                    "A lead has " + MOST_ENDS + " ends at most.", "Describe the rest as another lead.");
        }
        String id = Stream.iterate('a', letter -> (char) (letter + 1))
                .map(String::valueOf)
                .filter(letter -> lead.ends().stream().noneMatch(end -> end.id().equals(letter)))
                .findFirst()
                .orElseThrow();
        List<LeadEnd> ends = new ArrayList<>(lead.ends());
        LeadEnd more = new LeadEnd(id, "", like.connector(), like.form());
        ends.add(more);
        return changed(lead.withEnds(ends, lead.wires()), more, wiring(lead, like.id()));
    }

    /**
     * The lead without an end.
     *
     * @throws UnreadableQuantity where it would not be a lead any more
     */
    public static Lead without(Lead lead, String endId) {
        if (lead.ends().size() <= 2) {
            throw new UnreadableQuantity("A lead has two ends or more.", "Change the end instead.");
        }
        return lead.withEnds(
                lead.ends().stream().filter(end -> !end.id().equals(endId)).toList(),
                lead.wires().stream().filter(wire -> !touches(wire, endId)).toList());
    }
}
