package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import kalodyne.core.catalogue.Catalogue;
import kalodyne.core.catalogue.Profile;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.route.RouteGraph.Node;

/** One search for a wish: first with what is owned, then, where that does not do, with a little that is not. */
final class Search {
    /** Ways through devices that are looked at, the likeliest first; each with several sockets and leads. */
    private static final int MOST_LOOKED_AT = 60;

    private static final int MOST_WITH_MORE = 40;
    private static final int MOST_FOR_OTHERS = 30;
    private static final int MOST_TOLD = 5;
    private static final int MOST_KINDS = 12;

    /** Of devices that are alike two are enough to find every kind of way. */
    private static final int MOST_ALIKE = 2;

    private static final Set<DeviceKind> TO_GET =
            EnumSet.of(DeviceKind.BOX, DeviceKind.HUB, DeviceKind.PREAMP, DeviceKind.INTERFACE);

    private final Wish wish;
    private final Wiring taken;
    private final Set<String> ours;
    private final BooleanSupplier isCancelled;
    private final Map<String, Device> devices = new LinkedHashMap<>();
    private final Hops hops;
    private final List<RouteGraph> graphs = new ArrayList<>();
    private final Map<List<Object>, Candidate> first = new HashMap<>();
    private final Set<Plan.Dropped> dropped = new LinkedHashSet<>();
    private final Set<String> used;

    /** A way of the first source alone. */
    private record Candidate(Chain chain, Way way) {}

    Search(
            Wish wish,
            BooleanSupplier isCancelled,
            List<Device> owned,
            List<Lead> leads,
            Catalogue catalogue,
            Wiring taken) {
        this.wish = wish;
        this.isCancelled = isCancelled;
        this.taken = taken;
        Set<String> ends = new HashSet<>(wish.sources());
        ends.add(wish.target());
        wish.headphones().ifPresent(ends::add);
        owned.stream().filter(device -> ends.contains(device.id())).forEach(device -> devices.put(device.id(), device));
        between(owned, ends).forEach(device -> devices.put(device.id(), device));
        ours = Set.copyOf(devices.keySet());
        catalogue.devices().stream()
                .map(Profile::gear)
                .filter(device -> TO_GET.contains(device.kind()))
                .map(device -> device.withId(Missing.mark(device.id())))
                .forEach(device -> devices.put(device.id(), device));
        used = taken.plugged().stream()
                .flatMap(plugging -> plugging.spots().stream())
                .map(Spot::item)
                .collect(Collectors.toSet());
        List<Lead> shop = catalogue.leads().stream().map(Profile::gear).toList();
        hops = new Hops(devices, Drawer.of(leads, used, shop), leads);
    }

    /** What may stand between: of devices that are alike the first few. */
    private static List<Device> between(List<Device> owned, Set<String> ends) {
        Map<Device, Integer> alike = new HashMap<>();
        return owned.stream()
                .filter(device -> !ends.contains(device.id()))
                .filter(device -> alike.merge(plain(device), 1, Integer::sum) <= MOST_ALIKE)
                .toList();
    }

    private static Device plain(Device device) {
        return device.withId("any").withName("Device").withNote("");
    }

    Plan plan() {
        List<Way> told = lookThrough(ours, MOST_LOOKED_AT);
        if (!isEnough(told)) {
            told = lookThrough(devices.keySet(), MOST_WITH_MORE);
        }
        List<Way> exact = told.stream()
                .map(way -> way.withJoints(JointRules.check(way.patch())))
                .toList();
        return new Plan(exact, List.copyOf(dropped), hops.looked(), impossible(exact));
    }

    /** Whether nothing is left to wish for. */
    private boolean isEnough(List<Way> ways) {
        return !ways.isEmpty()
                && ways.get(0).worst().isEmpty()
                && ways.get(0).missing().isEmpty()
                && (wish.stereo() != Stereo.KEEP || isKept(ways.get(0)));
    }

    private static boolean isKept(Way way) {
        return way.reasons().contains(Scoring.KEPT);
    }

    private List<Way> lookThrough(Set<String> some, int most) {
        Map<String, Device> there = new LinkedHashMap<>(devices);
        there.keySet().retainAll(some);
        graphs.clear();
        wish.sources()
                .forEach(source -> graphs.add(new RouteGraph(there, ours, hops.joinings(), source, wish.target())));
        Iterator<List<Node>> ways = graphs.get(0).ways(wish.sources().get(0), wish.target());
        for (int i = 0; i < most && ways.hasNext() && !isCancelled.getAsBoolean(); i++) {
            look(ways.next());
        }
        List<Candidate> candidates = best(first.values());
        List<Way> found = graphs.size() == 1
                ? candidates.stream().map(Candidate::way).toList()
                : candidates.stream()
                        .flatMap(candidate -> with(List.of(candidate.chain()), 1).stream())
                        .flatMap(chains -> made(chains).stream())
                        .toList();
        return Dominance.without(found, devices).stream()
                .sorted(Comparator.comparingDouble(Way::score).thenComparing(Way::title))
                .limit(MOST_TOLD)
                .toList();
    }

    private List<Candidate> best(Collection<Candidate> all) {
        return all.stream()
                .sorted(Comparator.comparingDouble(
                                (Candidate each) -> each.way().score())
                        .thenComparing(each -> each.way().title()))
                .limit(MOST_KINDS)
                .toList();
    }

    private void look(List<Node> way) {
        for (Chain chain : new Chains(devices, graphs.get(0), hops, List.of()).of(way, taken, used, channels())) {
            made(List.of(chain))
                    .ifPresent(each -> first.merge(
                            kind(each),
                            new Candidate(chain, each),
                            (a, b) -> a.way().score() <= b.way().score() ? a : b));
        }
    }

    private int channels() {
        return wish.stereo() == Stereo.MONO_ENOUGH ? 1 : 2;
    }

    private Optional<Way> made(List<Chain> chains) {
        WayMaker.Made made = new WayMaker(devices, hops, wish).of(chains, taken);
        made.dropped().ifPresent(dropped::add);
        return made.way();
    }

    /** The chains of the other sources beside the first one; empty where one finds no way in. */
    private Optional<List<Chain>> with(List<Chain> chains, int index) {
        if (index == graphs.size()) {
            return Optional.of(chains);
        }
        Wiring all = taken.plugging(
                chains.stream().flatMap(chain -> chain.pluggings().stream()).toList());
        Set<String> marks = chains.get(chains.size() - 1).used();
        List<Hop> shared =
                chains.stream().flatMap(chain -> chain.hops().stream()).toList();
        Chains others = new Chains(devices, graphs.get(index), hops, shared);
        String before = entry(chains.get(0));
        Iterator<List<Node>> ways = graphs.get(index).ways(wish.sources().get(index), wish.target());
        List<Chain> found = new ArrayList<>();
        for (int i = 0; i < MOST_FOR_OTHERS && ways.hasNext() && !isCancelled.getAsBoolean(); i++) {
            others.of(ways.next(), all, marks, channels()).stream()
                    .filter(chain -> entry(chain).equals(before))
                    .forEach(found::add);
        }
        return found.stream().min(Comparator.comparingDouble(Chain::roughCost)).flatMap(chain -> {
            List<Chain> more = new ArrayList<>(chains);
            more.add(chain);
            return with(more, index + 1);
        });
    }

    /** The device by which a chain comes to the recorder. */
    private String entry(Chain chain) {
        return chain.hops().get(chain.hops().size() - 1).from().shape().isDigital()
                ? chain.hops().get(chain.hops().size() - 1).from().device()
                : wish.target();
    }

    /** What tells ways apart in kind: the devices between, and how many channels arrive. */
    private List<Object> kind(Way way) {
        return way.strands().stream()
                .<Object>map(strand -> List.of(
                        strand.stations().stream()
                                .map(id -> plain(devices.get(id)))
                                .toList(),
                        strand.channels()))
                .toList();
    }

    private Optional<String> impossible(List<Way> best) {
        String target = devices.get(wish.target()).name();
        if (best.isEmpty()) {
            String reason = dropped.stream()
                    .findFirst()
                    .map(each -> " The nearest, " + each.words() + ": " + each.reason())
                    .orElse("");
            return Optional.of("Nothing joins "
                    + wish.sources().stream().map(id -> devices.get(id).name()).collect(Collectors.joining(" and "))
                    + " to " + target + " in a way that works." + reason);
        }
        boolean isLost = wish.stereo() == Stereo.KEEP && best.stream().noneMatch(way -> isKept(way));
        return isLost
                ? Optional.of(
                        "No way keeps left and right apart on " + target + ". The nearest is the first below, in mono.")
                : Optional.empty();
    }
}
