package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Wiring;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.route.RouteGraph.Node;
import kalodyne.core.route.RouteGraph.Route;
import kalodyne.core.units.Print;

/** One search for a wish: first with what is owned, then, where that does not do, with a little that is not. */
final class WaySearch {
    /** Ways through devices that are looked at, the likeliest first; each with several sockets and leads. */
    private static final int MOST_LOOKED_AT = 40;

    /** After so many of them the best until then are told, and again whenever another one is the best. */
    private static final int FIRST_LOOKED_AT = 2;

    /** Ways of which most are seen to be no use before they are looked at. */
    private static final int MOST_ROUTES = 200;

    /** Where several sources go together, the first one decides the way; others follow. */
    private static final int MOST_OF_FIRST = 20;

    private static final int MOST_WITH_MORE = 30;

    /** Where so many with what is owned have led to nothing, a few with something to get are looked at before the others. */
    private static final int WITHOUT_HOPE = 6;

    private static final int FEW_WITH_MORE = 15;
    private static final int MOST_FOR_OTHERS = 30;

    /** Ways in for another source among which the best is taken. */
    private static final int ENOUGH_FOR_OTHERS = 6;

    private static final int MOST_TOLD = 5;
    private static final int MOST_KINDS = 12;
    private static final int MOST_EARLY = 3;

    private final Wish wish;
    private final BooleanSupplier isCancelled;
    private final Consumer<List<Way>> early;
    private final Stock stock;
    private final Hops hops;
    private final Nearness nearness;
    private final Set<String> used;
    private final Present present;
    private final Wiring taken;
    private final Settings settings;
    private final Map<List<Object>, Candidate> first = new LinkedHashMap<>();

    /** What each way was made from: each is itself only. */
    private final IdentityHashMap<Way, WayMaker.Proposal> proposals = new IdentityHashMap<>();

    private final Map<Patch, JointRules.Checked> exactly = new HashMap<>();
    private boolean mayGet;
    private String toldEarly = "";
    private final Map<Plan.Dropped, Double> dropped = new LinkedHashMap<>();

    /** A way of the first source alone. */
    private record Candidate(Chain chain, Way way) {}

    /**
     * A search.
     *
     * @param early is given the first ways that are found, before all are looked at
     */
    WaySearch(
            Wish wish,
            BooleanSupplier isCancelled,
            Consumer<List<Way>> early,
            List<Device> owned,
            List<Lead> leads,
            Catalogue catalogue,
            Wiring taken,
            Settings settings) {
        this.taken = taken;
        this.settings = settings;
        this.wish = wish;
        this.isCancelled = isCancelled;
        this.early = early;
        Ground ground = Ground.of(wish, owned, leads, catalogue, taken);
        stock = ground.stock();
        hops = ground.hops();
        used = ground.used();
        present = ground.present();
        nearness = new Nearness(stock, hops.joinings());
    }

    Plan plan() {
        Set<String> ours = stock.ids().stream().filter(id -> !Missing.is(id)).collect(Collectors.toSet());
        boolean mayGetSome = wish.extras().budget() != Budget.NOTHING;
        Pass owned = new Pass(ours);
        if (mayGetSome && owned.look(WITHOUT_HOPE).isEmpty()) {
            // Nobody waits for all that does not work before what is missing is named.
            mayGet = true;
            new Pass(stock.ids()).look(FEW_WITH_MORE);
            mayGet = false;
        }
        List<Way> told = owned.look(wish.sources().size() == 1 ? MOST_LOOKED_AT : MOST_OF_FIRST);
        if (mayGetSome && !isCancelled.getAsBoolean() && !isEnough(told)) {
            mayGet = true;
            told = new Pass(stock.ids()).look(MOST_WITH_MORE);
        }
        List<Way> exact = exact(told);
        return new Plan(exact, dropped(), hops.looked(), impossible(exact));
    }

    /** What somebody would think of first comes first. */
    private List<Plan.Dropped> dropped() {
        return dropped.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** On a fine grid, and beside all that stays plugged; what several ways have in common is computed once. */
    private List<Way> exact(List<Way> ways) {
        IdentityHashMap<Way, Patch> whole = new IdentityHashMap<>();
        ways.forEach(way -> whole.put(way, whole(way)));
        List<Patch> parts = ways.stream()
                .flatMap(way -> Stream.concat(way.patch().parted().stream(), whole.get(way).parted().stream()))
                .distinct()
                .filter(part -> !exactly.containsKey(part))
                .toList();
        parts.parallelStream()
                .map(JointRules::alone)
                .toList()
                .forEach(checked -> exactly.put(checked.patch(), checked));
        return ways.stream()
                .map(way -> maker().way(
                                proposals.get(way),
                                exactly(way.patch()),
                                Expectation.of(exactly(whole.get(way)), whole.get(way), wish.target(), settings)))
                .toList();
    }

    private List<JointRules.Checked> exactly(Patch patch) {
        List<JointRules.Checked> alone =
                patch.parted().stream().map(exactly::get).toList();
        return JointRules.togetherAsPlanned(patch, alone);
    }

    /** All that is plugged once a way is used. */
    private Patch whole(Way way) {
        List<Plugging> all = Stream.concat(
                        taken.unplugged(way.unplugged()).plugged().stream(), way.patch().pluggings().stream())
                .distinct()
                .filter(plugging -> plugging.spots().stream()
                        .allMatch(spot -> stock.has(spot.item()) || hops.leads().containsKey(spot.item())))
                .toList();
        return hops.patch(all).withThoseSwitched(taken.switches());
    }

    /** Whether nothing is left to wish for. */
    private boolean isEnough(List<Way> ways) {
        return !ways.isEmpty()
                && ways.get(0).worst().isEmpty()
                && ways.get(0).missing().isEmpty()
                && ways.get(0).monitoring().isAsWished()
                && ways.get(0).sideTasks().stream().allMatch(SideTask::isDone)
                && (wish.stereo() != Stereo.KEEP || isKept(ways.get(0)));
    }

    private static boolean isKept(Way way) {
        return way.reasons().stream().anyMatch(reason -> reason.words().equals(Scoring.KEPT));
    }

    // --- one pass ----------------------------------------------------------------------------------------------

    /** Ways through some of the devices, the likeliest first; it goes on where it stopped. */
    private final class Pass {
        private final List<Routes> routes;
        private int next;
        private int looked;

        Pass(Set<String> some) {
            routes = wish.sources().stream()
                    .map(source -> new Routes(
                            new RouteGraph(stock, some, nearness, present.there(), source, wish.target())
                                    .ways(source, wish.target()),
                            stock,
                            wish.sources().size()))
                    .toList();
        }

        /** Until so many are looked at in all. */
        List<Way> look(int most) {
            while (next < MOST_ROUTES && looked < most && !isCancelled.getAsBoolean()) {
                Optional<Route> route = routes.get(0).get(next++);
                if (route.isEmpty()) {
                    break;
                }
                if (isByAll(route.get().devices()) && !isVain(route.get())) {
                    WaySearch.this.look(route.get().nodes());
                    looked++;
                }
                if (looked >= FIRST_LOOKED_AT) {
                    tellEarly(routes);
                }
            }
            return found(routes, MOST_KINDS);
        }
    }

    /** The best few until now, where the best of them has not been told before. */
    private void tellEarly(List<Routes> routes) {
        String best = best(first.values(), 1).stream()
                .map(candidate -> candidate.way().title())
                .findFirst()
                .orElse("");
        if (!best.equals(toldEarly)) {
            toldEarly = best;
            List<Way> found = found(routes, routes.size() == 1 ? MOST_EARLY : 1);
            if (!found.isEmpty()) {
                early.accept(exact(found));
            }
        }
    }

    /** Whether one source alone goes through all that it has to; of several sources another one may do so. */
    private boolean isByAll(List<String> devices) {
        return wish.sources().size() > 1 || devices.containsAll(wish.extras().by());
    }

    private boolean isByAll(Way way) {
        return way.strands().stream()
                .flatMap(strand -> strand.stations().stream())
                .toList()
                .containsAll(wish.extras().by());
    }

    /** The best of what was found until now. */
    private List<Way> found(List<Routes> routes, int most) {
        List<Way> straight =
                Dominance.without(first.values().stream().map(Candidate::way).toList(), stock);
        List<Candidate> candidates = best(
                first.values().stream()
                        .filter(candidate -> straight.contains(candidate.way()))
                        .toList(),
                most);
        return told(
                routes.size() == 1 ? candidates.stream().map(Candidate::way).toList() : together(candidates, routes));
    }

    private boolean isVain(Route route) {
        int most = wish.sources().size() == 1 ? MOST_TOLD : MOST_KINDS;
        return new Prospect(stock, wish, most)
                .isVain(
                        route.devices(),
                        route.breaks(),
                        first.values().stream().map(Candidate::way).toList());
    }

    private List<Way> told(List<Way> found) {
        List<Way> best = Dominance.without(found.stream().filter(this::isByAll).toList(), stock).stream()
                .sorted(Comparator.comparingDouble(Way::score).thenComparing(Way::title))
                .toList();
        return best.stream()
                .filter(way -> best.indexOf(way) == 0 || WorthTelling.beside(best.get(0), way))
                .limit(MOST_TOLD)
                .toList();
    }

    private static List<Candidate> best(Collection<Candidate> all, int most) {
        return all.stream()
                .sorted(Comparator.comparingDouble(
                                (Candidate each) -> each.way().score())
                        .thenComparing(each -> each.way().title()))
                .limit(most)
                .toList();
    }

    private void look(List<Node> way) {
        for (Chain chain :
                new Chains(stock, hops, present.there(), isHeard()).of(way, present.taken(), used, channels(way))) {
            made(List.of(chain))
                    .ifPresent(each -> first.merge(
                            kind(each),
                            new Candidate(chain, each),
                            (a, b) -> a.way().score() <= b.way().score() ? a : b));
        }
    }

    private boolean isHeard() {
        return !wish.heard().headphones().isEmpty();
    }

    /** How many channels of what a way begins at are wanted. */
    private int channels(List<Node> way) {
        boolean isMono = way.get(1).side() == RouteGraph.Side.OUT
                && stock.ports(way.get(0).device()).sides() == 1;
        return isMono || wish.stereo() == Stereo.MONO_ENOUGH ? 1 : 2;
    }

    private Optional<Way> made(List<Chain> chains) {
        WayMaker maker = maker();
        WayMaker.Made made = maker.of(chains);
        double cost = chains.stream().mapToDouble(Chain::leadCost).sum();
        made.dropped().ifPresent(each -> dropped.merge(each, cost, Math::min));
        return made.proposal().map(proposal -> {
            Way way = maker.roughly(proposal);
            proposals.put(way, proposal);
            return way;
        });
    }

    private WayMaker maker() {
        return new WayMaker(stock, hops, wish, present, settings, mayGet);
    }

    // --- several sources ---------------------------------------------------------------------------------------

    private List<Way> together(List<Candidate> candidates, List<Routes> routes) {
        Comparator<Chain> keeping = Comparator.comparing(chain -> wish.stereo() == Stereo.KEEP && !chain.keepsSides());
        Comparator<Chain> best = keeping.thenComparingDouble(Chain::roughCost);
        Comparator<Chain> owned =
                Comparator.comparing((Chain chain) -> !chain.isOwned()).thenComparing(best);
        List<Comparator<Chain>> orders = List.of(best, owned);
        List<Way> ways = new ArrayList<>();
        for (Candidate candidate : candidates) {
            with(List.of(candidate.chain()), routes, 1, orders)
                    .flatMap(chains -> made(chains).stream())
                    .forEach(ways::add);
        }
        return ways;
    }

    /**
     * The chains of the other sources beside the first one, each the best in one of some orders: which of them is better nobody knows
     * before all of it is computed. None where one finds no way in.
     */
    private Stream<List<Chain>> with(
            List<Chain> chains, List<Routes> routes, int index, List<Comparator<Chain>> orders) {
        if (index == routes.size()) {
            return Stream.of(chains);
        }
        Wiring all = present.taken().plugging(Chain.pluggings(chains));
        Set<String> marks = chains.get(chains.size() - 1).used();
        List<Hop> shared =
                Stream.concat(Chain.hops(chains), present.there().stream()).toList();
        Chains others = new Chains(stock, hops, shared, isHeard());
        String before = entry(chains.get(0));
        List<Chain> found = new ArrayList<>();
        for (int i = 0; i < MOST_FOR_OTHERS && found.size() < ENOUGH_FOR_OTHERS && !isCancelled.getAsBoolean(); i++) {
            Optional<Route> way = routes.get(index).get(i);
            if (way.isPresent() && entry(way.get().nodes()).equals(before)) {
                found.addAll(others.of(
                        way.get().nodes(), all, marks, channels(way.get().nodes())));
            }
        }
        if (found.isEmpty()) {
            return Stream.empty();
        }
        Map<Chain, List<Comparator<Chain>>> first = orders.stream()
                .collect(Collectors.groupingBy(
                        order -> Collections.min(found, order), LinkedHashMap::new, Collectors.toList()));
        return first.entrySet().stream().flatMap(each -> {
            List<Chain> more = new ArrayList<>(chains);
            more.add(each.getKey());
            return with(more, routes, index + 1, each.getValue());
        });
    }

    /** The device by which a chain comes to the recorder. */
    private String entry(Chain chain) {
        Port last = chain.hops().get(chain.hops().size() - 1).from();
        return last.shape().isDigital() ? last.device() : wish.target();
    }

    private String entry(List<Node> way) {
        Node last = way.get(way.size() - 3);
        return last.side() == RouteGraph.Side.DATA_OUT ? last.device() : wish.target();
    }

    /** What tells ways apart in kind: the devices between, how many channels arrive, and whether something is to be got. */
    private List<Object> kind(Way way) {
        return List.of(
                way.missing().isEmpty(),
                way.strands().stream()
                        .<Object>map(strand -> List.of(
                                strand.stations().stream().map(stock::kind).toList(), strand.channels()))
                        .toList());
    }

    private Optional<String> impossible(List<Way> best) {
        String target = stock.name(wish.target());
        if (best.isEmpty()) {
            String reason = dropped().stream()
                    .findFirst()
                    .map(each -> " The nearest, " + each.words() + ": " + each.reason())
                    .orElse("");
            String alone = best(first.values(), 1).stream()
                    .filter(each -> wish.sources().size() > 1)
                    .findFirst()
                    .map(each -> " " + stock.name(wish.sources().get(0)) + " alone works: "
                            + Print.withinSentence(each.way().title()) + ". Record one after the other.")
                    .orElse("");
            String by = wish.extras().by().stream()
                    .map(stock::name)
                    .reduce((one, other) -> one + " and " + other)
                    .map(names -> " by " + names)
                    .orElse("");
            return Optional.of("Nothing joins "
                    + wish.sources().stream().map(stock::name).collect(Collectors.joining(" and "))
                    + " to " + target + by + " in a way that works." + alone + reason);
        }
        boolean isLost = wish.stereo() == Stereo.KEEP && best.stream().noneMatch(WaySearch::isKept);
        return isLost
                ? Optional.of(
                        "No way keeps left and right apart on " + target + ". The nearest is the first below, in mono.")
                : Optional.empty();
    }
}
