package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.Form;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;

/**
 * Which leads join two ports of two shapes, and which end goes where: the same for all ports of these shapes.
 *
 * @param leads one entry for each lead that it takes
 * @param links what goes into what
 * @param missing how many of its leads are not owned
 * @param metres of all of them
 */
record Joining(List<LeadSort> leads, List<Link> links, int missing, double metres) {
    private static final double COST_TO_GET = 6;

    /** A socket of one of the ports, or an end of one of the leads. */
    record Ref(Kind kind, int index, String end) {
        enum Kind {
            FROM,
            TO,
            LEAD
        }

        static Ref from(int socket) {
            return new Ref(Kind.FROM, socket, "");
        }

        static Ref to(int socket) {
            return new Ref(Kind.TO, socket, "");
        }

        static Ref lead(int lead, String end) {
            return new Ref(Kind.LEAD, lead, end);
        }
    }

    /** One in the other, whichever of them goes in. */
    record Link(Ref one, Ref other) {}

    Joining {
        leads = List.copyOf(leads);
        links = List.copyOf(links);
    }

    static Joining of(List<LeadSort> leads, List<Link> links) {
        int missing = (int) leads.stream().filter(lead -> !lead.isOwned()).count();
        return new Joining(
                leads,
                links,
                missing,
                leads.stream().mapToDouble(LeadSort::metres).sum());
    }

    /** What is plugged already, and takes nothing more. */
    static Joining plugged(int links) {
        return of(List.of(), Collections.nCopies(links, new Link(Ref.from(0), Ref.to(0))));
    }

    /** What its leads weigh against other ways, those to be got more. */
    double cost() {
        return leads.size() + COST_TO_GET * missing;
    }

    /** Between two ports, with leads that are not used elsewhere; empty where there are not enough of them. */
    Optional<Made> between(Port from, Port to, Set<String> used) {
        List<String> marks = new ArrayList<>();
        for (LeadSort kind : leads) {
            Optional<String> free = kind.marks().stream()
                    .filter(mark -> !used.contains(mark) && !marks.contains(mark))
                    .findFirst();
            if (free.isEmpty()) {
                return Optional.empty();
            }
            marks.add(free.get());
        }
        List<Plugging> pluggings =
                links.stream().map(link -> plugging(link, from, to, marks)).toList();
        return Optional.of(new Made(this, marks, pluggings));
    }

    private Plugging plugging(Link link, Port from, Port to, List<String> marks) {
        Spot one = spot(link.one(), from, to, marks);
        Spot other = spot(link.other(), from, to, marks);
        return form(link.one(), from, to) == Form.PLUG ? new Plugging(one, other) : new Plugging(other, one);
    }

    private static Spot spot(Ref ref, Port from, Port to, List<String> marks) {
        return switch (ref.kind()) {
            case FROM -> from.sockets().get(ref.index());
            case TO -> to.sockets().get(ref.index());
            case LEAD -> new Spot(marks.get(ref.index()), ref.end());
        };
    }

    private Form form(Ref ref, Port from, Port to) {
        return switch (ref.kind()) {
            case FROM -> from.shape().forms().get(ref.index());
            case TO -> to.shape().forms().get(ref.index());
            case LEAD -> leads.get(ref.index()).end(ref.end()).orElseThrow().form();
        };
    }

    /**
     * Made of certain leads.
     *
     * @param marks of the leads, in the order of the joining's
     */
    record Made(Joining joining, List<String> marks, List<Plugging> pluggings) {
        Made {
            marks = List.copyOf(marks);
            pluggings = List.copyOf(pluggings);
        }
    }
}
