package kalodyne.core.route;

import java.util.List;
import java.util.Optional;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Wire;
import kalodyne.core.joint.Mating;

/**
 * Leads that are alike: one of them does what another does.
 *
 * @param number tells kinds apart
 * @param lead one of them
 * @param marks of all of them that may be used
 * @param isOwned whether they lie in the drawer; else they would have to be got
 */
record LeadSort(int number, Lead lead, List<String> marks, boolean isOwned) {
    LeadSort {
        marks = List.copyOf(marks);
    }

    double metres() {
        return lead.metres();
    }

    /** Its ends that go into something, or into which that goes. */
    List<LeadEnd> fitting(Connector connector, Form form) {
        return lead.ends().stream()
                .filter(end -> Mating.fits(end.connector(), end.form(), connector, form))
                .toList();
    }

    /** Whether a wire leads from one end to another one. */
    boolean isWired(LeadEnd one, LeadEnd other) {
        return !one.id().equals(other.id())
                && lead.wires().stream()
                        .anyMatch(wire -> joins(wire.from().end(), wire.to().end(), one.id(), other.id()));
    }

    /** Whether it makes a level smaller: there are resistors in it. */
    boolean attenuates() {
        return lead.wires().stream()
                .anyMatch(wire -> wire.facts().printed(Fact.RESISTOR).isPresent());
    }

    /** Which contact of one end leads to which of another one, through what, and what lies across each end. */
    List<String> wiring(LeadEnd one, LeadEnd other) {
        return lead.wires().stream()
                .map(wire -> place(wire.from(), one, other)
                        + place(wire.to(), one, other)
                        + wire.facts().printed(Fact.RESISTOR).orElse(""))
                .sorted()
                .toList();
    }

    private static String place(Wire.Spot spot, LeadEnd one, LeadEnd other) {
        String end = spot.end().equals(one.id()) ? "in " : spot.end().equals(other.id()) ? "out " : "else ";
        return end + spot.contact().word() + " ";
    }

    private static boolean joins(String from, String to, String one, String other) {
        return (from.equals(one) && to.equals(other)) || (from.equals(other) && to.equals(one));
    }

    Optional<LeadEnd> end(String id) {
        return lead.ends().stream().filter(end -> end.id().equals(id)).findFirst();
    }

    /** Kinds of one drawer: their numbers say it all. */
    @Override
    public boolean equals(Object other) {
        return other instanceof LeadSort kind && kind.number == number;
    }

    @Override
    public int hashCode() {
        return number;
    }
}
