package kalodyne.core.gear;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.units.Length;

/**
 * A lead or adapter that lies in a drawer, once or several times.
 *
 * @param id by which files know it; never changes
 * @param name what is written on it: "Lead 7"
 * @param kind what it is
 * @param profile the generic profile that it was made from, if any
 * @param ends two or more, each with a mark of its own
 * @param wires between contacts that its ends have
 * @param colour as a word, to find it by; may be empty
 * @param note whatever its owner wants to remember; may be empty
 * @param photo a picture of it, beside the studio: "photos/lead-7.jpg"
 * @param owned how many of these there are, 0 to 999
 * @param facts {@link Fact.Of#LEAD}
 */
@RecordBuilder
public record Lead(
        String id,
        String name,
        LeadKind kind,
        Optional<String> profile,
        List<LeadEnd> ends,
        List<Wire> wires,
        String colour,
        String note,
        Optional<String> photo,
        int owned,
        Facts facts)
        implements LeadBuilder.With {
    private static final int MOST_OWNED = 999;

    public Lead {
        id = Marks.checked(id);
        name = Names.checked(name);
        ends = List.copyOf(ends);
        wires = List.copyOf(wires);
        colour = colour.isBlank() ? "" : Names.checked(colour);
        note = Names.checkedNote(note);
        photo = photo.map(Names::checkedPhoto);
        if (ends.size() < 2) {
            throw new IllegalArgumentException("a lead has two ends or more, got " + ends.size());
        }
        if (owned < 0 || owned > MOST_OWNED) {
            throw new IllegalArgumentException("one owns 0 to " + MOST_OWNED + " of a lead, got " + owned);
        }
        Names.requireDistinct("ends", ends, LeadEnd::id);
        for (Wire wire : wires) {
            requireSpot(wire.from(), ends);
            requireSpot(wire.to(), ends);
            if (wire.from().equals(wire.to())) {
                throw new IllegalArgumentException(
                        "a wire goes from " + wire.from().write() + " to itself");
            }
        }
    }

    private static void requireSpot(Wire.Spot spot, List<LeadEnd> ends) {
        LeadEnd end = ends.stream()
                .filter(each -> each.id().equals(spot.end()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "a wire points at the end “" + Names.shown(spot.end()) + "”, which is not there"));
        if (!end.connector().contacts().contains(spot.contact())) {
            throw new IllegalArgumentException(
                    "the end “" + end.id() + "”, a " + end.connector().word() + " connector, has no contact "
                            + spot.contact().word());
        }
    }

    /** What it joins: "6.35 mm two-pole plug → 6.35 mm two-pole plug". */
    public String words() {
        return ends.stream().map(LeadEnd::words).collect(Collectors.joining(" → "));
    }

    /** Whether data get through: what only charges looks the same. */
    public boolean carriesData() {
        return wires.stream().anyMatch(wire -> wire.from().contact() == Contact.DATA);
    }

    /** From plug to plug; 0 where that is not known. */
    public double metres() {
        return facts.quantity(Fact.LENGTH).map(Length::metres).orElse(0.0);
    }

    public Lead withProfile(String newProfile) {
        return withProfile(Optional.of(newProfile));
    }

    /** With other ends and the wires between them. */
    Lead withEnds(List<LeadEnd> newEnds, List<Wire> newWires) {
        return with().ends(newEnds).wires(newWires).build();
    }
}
