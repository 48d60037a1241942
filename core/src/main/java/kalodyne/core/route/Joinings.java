package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.LeadKind;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.joint.Mating;
import kalodyne.core.route.Joining.Link;
import kalodyne.core.route.Joining.Ref;

/** All ways in which the leads of a drawer, and those that one could get, join ports of two shapes. */
final class Joinings {
    private static final Comparator<Joining> SIMPLEST_FIRST = Comparator.comparingInt(Joining::missing)
            .thenComparingInt(joining -> joining.leads().size())
            .thenComparingInt(Joinings::ends);

    /** From a turntable a lead with an earth wire; elsewhere that is one end too many. */
    private static final Comparator<Joining> EARTHED_FIRST = Comparator.comparingInt(Joining::missing)
            .thenComparing(joining -> joining.leads().stream().noneMatch(sort -> Earth.hasWire(sort.lead())));

    private static int ends(Joining joining) {
        int ends = 0;
        for (LeadSort kind : joining.leads()) {
            ends += kind.lead().ends().size();
        }
        return ends;
    }

    private static int special(Joining joining) {
        return (int)
                joining.leads().stream().filter(sort -> isSpecial(sort.lead())).count();
    }

    /** A lead that differs at its ends serves one purpose only. */
    static boolean isSpecial(Lead lead) {
        return lead.kind() == LeadKind.LEAD
                && lead.ends().stream()
                                .map(LeadEnd::connector)
                                .filter(connector -> connector != Connector.EARTH_SPADE)
                                .distinct()
                                .count()
                        > 1;
    }

    /** What comes out decides what is needed. */
    private static final int UNLIKE_SOURCE = 2;

    private final List<LeadSort> kinds;
    private final Comparator<Joining> simplestFirst;
    private final Map<List<Shape>, List<Joining>> known = new HashMap<>();
    private final Map<List<Shape>, Optional<Joining>> simplest = new HashMap<>();
    private final Map<End, List<Through>> throughs = new HashMap<>();

    /**
     * Joinings.
     *
     * @param prefersOrdinary whether leads with a plug of another sort at each end come behind two that are ordinary
     */
    Joinings(List<LeadSort> kinds, boolean prefersOrdinary) {
        this.kinds = List.copyOf(kinds);
        this.simplestFirst = prefersOrdinary
                ? Comparator.comparingInt(Joining::missing)
                        .thenComparingInt(Joinings::special)
                        .thenComparing(SIMPLEST_FIRST)
                : SIMPLEST_FIRST;
    }

    List<LeadSort> kinds() {
        return kinds;
    }

    /** The simplest first: nothing to get, few leads, few ends, short. */
    List<Joining> of(Shape from, Shape to) {
        return known.computeIfAbsent(
                List.of(from, to),
                key -> found(from, to).stream()
                        .filter(joining -> reaches(from, joining, to))
                        .sorted(
                                from.signal() == SignalKind.PHONO
                                        ? EARTHED_FIRST.thenComparing(simplestFirst(from, to))
                                        : simplestFirst(from, to))
                        .toList());
    }

    /** Of those as simple the one whose plugs are the sockets' own, the source's before the other's; then the short one. */
    private Comparator<Joining> simplestFirst(Shape from, Shape to) {
        Comparator<Joining> weakStaysWhole = Comparator.comparing(
                joining -> !from.isStrong() && joining.leads().stream().anyMatch(LeadSort::attenuates));
        return weakStaysWhole
                .thenComparing(simplestFirst)
                .thenComparingInt(joining -> unlike(joining, from, to))
                .thenComparingDouble(Joining::metres);
    }

    private static int unlike(Joining joining, Shape from, Shape to) {
        int unlike = 0;
        for (Link link : joining.links()) {
            unlike += UNLIKE_SOURCE * unlike(joining, link, Ref.Kind.FROM, from, from);
            unlike += unlike(joining, link, Ref.Kind.TO, to, from);
        }
        return unlike;
    }

    /** A plug with fewer contacts fits as well, where what comes out has no more: nothing is left hanging. */
    private static int unlike(Joining joining, Link link, Ref.Kind kind, Shape shape, Shape from) {
        Ref port = link.one().kind() == kind ? link.one() : link.other();
        Ref lead = link.one().kind() == Ref.Kind.LEAD ? link.one() : link.other();
        if (port.kind() != kind || lead.kind() != Ref.Kind.LEAD) {
            return 0;
        }
        Connector plug =
                joining.leads().get(lead.index()).end(lead.end()).orElseThrow().connector();
        Connector socket = shape.connectors().get(port.index());
        Connector source = from.connectors().get(0);
        boolean hasFewer = source.contacts().size() < socket.contacts().size()
                && Mating.fits(source, Form.PLUG, socket, Form.SOCKET);
        return plug == (hasFewer ? source : socket) ? 0 : 1;
    }

    /** Two boxes are not held together by a stiff adapter: there is a lead, a splitter's tail, or a plug on a cable of its own. */
    private static boolean reaches(Shape from, Joining joining, Shape to) {
        return hasCable(from)
                || hasCable(to)
                || joining.leads().stream()
                        .anyMatch(sort -> sort.lead().kind() != LeadKind.ADAPTER || sort.metres() > 0);
    }

    private static boolean hasCable(Shape shape) {
        return shape.connectors().get(0) != Connector.XLR && shape.forms().get(0) == Form.PLUG;
    }

    /** The first of them; found without the others where that is easy. */
    Optional<Joining> simplest(Shape from, Shape to) {
        return simplest.computeIfAbsent(List.of(from, to), key -> findSimplest(from, to));
    }

    private Optional<Joining> findSimplest(Shape from, Shape to) {
        boolean isSingle = from.connectors().size() == 1 && to.connectors().size() == 1;
        Optional<Joining> single = isSingle
                ? singles(from, 0, to, 0).stream()
                        .filter(joining -> joining.missing() == 0 && reaches(from, joining, to))
                        .min(simplestFirst(from, to))
                : Optional.empty();
        return single.isPresent() ? single : of(from, to).stream().findFirst();
    }

    private List<Joining> found(Shape from, Shape to) {
        int sockets = from.connectors().size() * 10 + to.connectors().size();
        return switch (sockets) {
            case 11 -> strands(from, 0, to, 0);
            case 12 -> parted(from, to, false);
            case 21 -> parted(to, from, true);
            default -> pairs(from, to);
        };
    }

    // --- one to one --------------------------------------------------------------------------------------------

    /** By one lead, or by none. */
    private List<Joining> singles(Shape from, int fromSocket, Shape to, int toSocket) {
        End start = new End(from.connectors().get(fromSocket), from.forms().get(fromSocket));
        End goal = new End(to.connectors().get(toSocket), to.forms().get(toSocket));
        List<Joining> all = new ArrayList<>();
        if (start.fits(goal) && !(start.connector() == Connector.XLR && goal.connector() == Connector.XLR)) {
            all.add(Joining.of(List.of(), List.of(new Link(Ref.from(fromSocket), Ref.to(toSocket)))));
        }
        for (Through first : through(start)) {
            if (goal.fits(first.out())) {
                all.add(Joining.of(
                        List.of(first.kind()),
                        List.of(
                                new Link(
                                        Ref.from(fromSocket),
                                        Ref.lead(0, first.in().id())),
                                new Link(Ref.lead(0, first.out().id()), Ref.to(toSocket)))));
            }
        }
        return all;
    }

    private List<Joining> strands(Shape from, int fromSocket, Shape to, int toSocket) {
        End start = new End(from.connectors().get(fromSocket), from.forms().get(fromSocket));
        End goal = new End(to.connectors().get(toSocket), to.forms().get(toSocket));
        List<Joining> all = new ArrayList<>(singles(from, fromSocket, to, toSocket));
        List<Through> firsts = through(start);
        List<Through> lasts = through(goal);
        for (Through first : firsts) {
            for (Through last : lasts) {
                if (isTwo(first.kind(), last.kind(), from.isStrong())
                        && End.of(last.out()).fits(first.out())) {
                    all.add(Joining.of(
                            List.of(first.kind(), last.kind()),
                            List.of(
                                    new Link(
                                            Ref.from(fromSocket),
                                            Ref.lead(0, first.in().id())),
                                    new Link(
                                            Ref.lead(0, first.out().id()),
                                            Ref.lead(1, last.out().id())),
                                    new Link(Ref.lead(1, last.in().id()), Ref.to(toSocket)))));
                }
            }
        }
        return all;
    }

    /** Of two leads one at the most is to be got; a lead that makes a strong signal smaller may need an adapter beside it. */
    private static boolean isTwo(LeadSort one, LeadSort other, boolean isStrong) {
        return one.equals(other)
                ? one.marks().size() > 1 && one.isOwned()
                : one.isOwned() || other.isOwned() || (isStrong && (isAdapted(one, other) || isAdapted(other, one)));
    }

    private static boolean isAdapted(LeadSort lead, LeadSort adapter) {
        return adapter.lead().kind() == LeadKind.ADAPTER && lead.attenuates();
    }

    /** A lead entered by one end and left by another one. */
    private record Through(LeadSort kind, LeadEnd in, LeadEnd out) {}

    /** Each way through a lead that does something else than the others. */
    private List<Through> through(End start) {
        return throughs.computeIfAbsent(start, this::findThrough);
    }

    private List<Through> findThrough(End start) {
        List<Through> all = new ArrayList<>();
        for (LeadSort kind : kinds) {
            Set<List<Object>> seen = new HashSet<>();
            for (LeadEnd in : kind.fitting(start.connector(), start.form())) {
                for (LeadEnd out : kind.lead().ends()) {
                    if (kind.isWired(in, out) && seen.add(List.of(End.of(in), End.of(out), kind.wiring(in, out)))) {
                        all.add(new Through(kind, in, out));
                    }
                }
            }
        }
        return all;
    }

    private record End(Connector connector, Form form) {
        static End of(LeadEnd end) {
            return new End(end.connector(), end.form());
        }

        boolean fits(End other) {
            return Mating.fits(connector, form, other.connector(), other.form());
        }

        boolean fits(LeadEnd other) {
            return fits(of(other));
        }
    }

    // --- one to two --------------------------------------------------------------------------------------------

    /** A lead with one end here and two there, and where they do not fit adapters of a kind on both. */
    private List<Joining> parted(Shape single, Shape pair, boolean isTurned) {
        End one = new End(single.connectors().get(0), single.forms().get(0));
        End two = new End(pair.connectors().get(0), pair.forms().get(0));
        Ref root = isTurned ? Ref.to(0) : Ref.from(0);
        List<Joining> all = new ArrayList<>();
        for (LeadSort kind : kinds) {
            for (LeadEnd in :
                    kind.fitting(one.connector(), one.form()).stream().limit(1).toList()) {
                List<LeadEnd> outs = kind.lead().ends().stream()
                        .filter(out -> kind.isWired(in, out))
                        .toList();
                if (outs.size() != 2) {
                    continue;
                }
                Link entry = new Link(root, Ref.lead(0, in.id()));
                if (outs.stream().allMatch(two::fits)) {
                    all.add(Joining.of(
                            List.of(kind),
                            List.of(
                                    entry,
                                    new Link(Ref.lead(0, outs.get(0).id()), leaf(0, isTurned)),
                                    new Link(Ref.lead(0, outs.get(1).id()), leaf(1, isTurned)))));
                }
                through(two).stream()
                        .filter(adapter -> adapter.kind().marks().size() > 1
                                && !adapter.kind().equals(kind)
                                && isTwo(adapter.kind(), kind, false))
                        .filter(adapter -> outs.stream().allMatch(End.of(adapter.out())::fits))
                        .map(adapter -> Joining.of(
                                List.of(kind, adapter.kind(), adapter.kind()), adapted(entry, outs, adapter, isTurned)))
                        .forEach(all::add);
            }
        }
        return all;
    }

    private static Ref leaf(int socket, boolean isTurned) {
        return isTurned ? Ref.from(socket) : Ref.to(socket);
    }

    private static List<Link> adapted(Link entry, List<LeadEnd> outs, Through adapter, boolean isTurned) {
        List<Link> links = new ArrayList<>(List.of(entry));
        for (int i = 0; i < 2; i++) {
            links.add(new Link(
                    Ref.lead(0, outs.get(i).id()), Ref.lead(1 + i, adapter.out().id())));
            links.add(new Link(Ref.lead(1 + i, adapter.in().id()), leaf(i, isTurned)));
        }
        return links;
    }

    // --- two to two --------------------------------------------------------------------------------------------

    /** A lead of two strands, or the same twice. */
    private List<Joining> pairs(Shape from, Shape to) {
        End start = new End(from.connectors().get(0), from.forms().get(0));
        End goal = new End(to.connectors().get(0), to.forms().get(0));
        List<Joining> all = new ArrayList<>();
        for (LeadSort kind : kinds) {
            List<Link> links = strandsOf(kind, start, goal);
            if (links.size() == 4) {
                all.add(Joining.of(List.of(kind), links));
            }
        }
        for (Joining strand : strands(from, 0, to, 0)) {
            if (strand.leads().stream().allMatch(kind -> kind.lead().ends().size() == 2)) {
                all.add(twice(strand));
            }
        }
        return all;
    }

    private static List<Link> strandsOf(LeadSort kind, End start, End goal) {
        List<Link> links = new ArrayList<>();
        List<LeadEnd> left = new ArrayList<>(kind.lead().ends());
        for (int socket = 0; socket < 2; socket++) {
            for (LeadEnd in : List.copyOf(left)) {
                LeadEnd out = left.stream()
                        .filter(each -> start.fits(in) && goal.fits(each) && kind.isWired(in, each))
                        .findFirst()
                        .orElse(null);
                if (out != null && links.size() == 2 * socket) {
                    links.add(new Link(Ref.from(socket), Ref.lead(0, in.id())));
                    links.add(new Link(Ref.lead(0, out.id()), Ref.to(socket)));
                    left.remove(in);
                    left.remove(out);
                }
            }
        }
        return links;
    }

    private static Joining twice(Joining strand) {
        int count = strand.leads().size();
        List<LeadSort> leads = new ArrayList<>(strand.leads());
        leads.addAll(strand.leads());
        List<Link> links = new ArrayList<>(strand.links());
        strand.links().stream()
                .map(link -> new Link(second(link.one(), count), second(link.other(), count)))
                .forEach(links::add);
        return Joining.of(leads, links);
    }

    private static Ref second(Ref ref, int leads) {
        return ref.kind() == Ref.Kind.LEAD
                ? new Ref(ref.kind(), ref.index() + leads, ref.end())
                : new Ref(ref.kind(), ref.index() + 1, ref.end());
    }
}
