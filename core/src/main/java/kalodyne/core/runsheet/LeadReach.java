package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Patch;
import kalodyne.core.sums.CableLength;
import kalodyne.core.units.Length;
import kalodyne.core.units.Print;

/**
 * Whether a lead reaches from where one device stands to where the other does.
 *
 * @param name of the lead, with its adapters
 * @param marks of the leads
 * @param from name of the device at its one end
 * @param to of the one that is farthest from that
 * @param needed how long it must be, laid along floor and walls with something to spare
 * @param has how long it is; empty where nobody knows
 */
public record LeadReach(
        String name, List<String> marks, String from, String to, CableLength needed, Optional<Double> has) {
    public LeadReach {
        marks = List.copyOf(marks);
    }

    public boolean isShort() {
        return has.filter(metres -> metres < needed.metres()).isPresent();
    }

    /** "3 m, 2.4 m needed"; "4.1 m needed". */
    public String words() {
        return has.map(metres -> Print.decimal(metres, 1) + " m, ").orElse("") + Print.decimal(needed.metres(), 1)
                + " m needed";
    }

    /** Of each lead of a patch whose ends both stand somewhere, in the order in which they were plugged. */
    public static List<LeadReach> all(Patch patch, Map<String, Standing> standings) {
        List<LeadReach> all = new ArrayList<>();
        for (Link link : Link.apart(patch)) {
            if (link.isWhole() && !link.leads().isEmpty()) {
                of(patch, link, standings).ifPresent(all::add);
            }
        }
        return all;
    }

    private static Optional<LeadReach> of(Patch patch, Link link, Map<String, Standing> standings) {
        String first = link.devices().get(0);
        Optional<LeadReach> farthest = Optional.empty();
        for (String other : link.devices().subList(1, link.devices().size())) {
            if (!standings.containsKey(first) || !standings.containsKey(other)) {
                continue;
            }
            LeadReach reach = between(patch, link, first, other, standings);
            if (farthest.filter(each -> each.needed().metres() >= reach.needed().metres())
                    .isEmpty()) {
                farthest = Optional.of(reach);
            }
        }
        return farthest;
    }

    private static LeadReach between(Patch patch, Link link, String from, String to, Map<String, Standing> standings) {
        Standing here = standings.get(from);
        Standing there = standings.get(to);
        List<Lead> leads =
                link.leads().stream().map(mark -> patch.leads().get(mark)).toList();
        List<Length> lengths = leads.stream()
                .flatMap(lead -> lead.facts().quantity(Fact.LENGTH).stream())
                .toList();
        return new LeadReach(
                leads.stream().map(Lead::name).collect(Collectors.joining(" with ")),
                link.leads(),
                patch.devices().get(from).name(),
                patch.devices().get(to).name(),
                new CableLength(
                        Math.abs(here.along() - there.along()),
                        Math.abs(here.across() - there.across()),
                        here.height(),
                        there.height()),
                lengths.size() < leads.size()
                        ? Optional.empty()
                        : Optional.of(
                                lengths.stream().mapToDouble(Length::metres).sum()));
    }
}
