package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;

/** Joins ports by leads and computes what comes of it; what was computed once is not computed again. */
final class Hops {
    /** Of joinings with as many leads, of which as many are to be got: single leads or owned ones, and others. */
    private static final int MOST_SINGLE = 16;

    private static final int MOST_OF_SEVERAL = 4;

    private final Stock stock;
    private final Map<String, Lead> leads = new HashMap<>();
    private final Joinings joinings;
    private final Map<Set<Plugging>, JointRules.Checked> known = new HashMap<>();
    private final Map<List<Object>, Learned> learned = new HashMap<>();
    private int looked;

    /**
     * Hops.
     *
     * @param owned leads with the names that their owner gave them
     * @param prefersOrdinary whether two ordinary leads come before a special one
     */
    Hops(Stock stock, List<LeadSort> kinds, List<Lead> owned, boolean prefersOrdinary) {
        this.stock = stock;
        this.joinings = new Joinings(kinds, prefersOrdinary);
        kinds.forEach(kind -> kind.marks().forEach(mark -> leads.put(mark, kind.lead())));
        // Those of one kind do the same; each has the name that its owner gave it. What is plugged is known too.
        owned.forEach(lead -> Spot.marks(lead).forEach(mark -> leads.put(mark, lead)));
    }

    Joinings joinings() {
        return joinings;
    }

    /** How many joints were computed. */
    int looked() {
        return looked;
    }

    /**
     * The best with leads that are not used elsewhere: one of what is owned, and one with something to get where that is better
     * or nothing owned is free.
     */
    List<Hop> best(Port from, Port to, Set<String> used) {
        List<Joining> all = joinings.of(from.shape(), to.shape());
        Learned before = learned.computeIfAbsent(key(from, to), each -> new Learned());
        Optional<Hop> owned = best(from, to, used, all, before, true);
        boolean isDone = owned.filter(Hops::isFaultless).isPresent();
        Optional<Hop> toGet = isDone ? Optional.empty() : best(from, to, used, all, before, false);
        return Stream.concat(
                        owned.stream(),
                        toGet
                                .filter(hop -> owned.isEmpty()
                                        || hop.worst().compareTo(owned.get().worst()) > 0)
                                .stream())
                .toList();
    }

    /** The best by something that headphones can go into too: a splitter. */
    Optional<Hop> openEnded(Port from, Port to, Set<String> used) {
        return best(from, to, used, Hops::isOpenEnded);
    }

    /** The best by leads that leave a level as it is: what comes out has a control that takes it down. */
    Optional<Hop> asItIs(Port from, Port to, Set<String> used) {
        return best(from, to, used, joining -> joining.leads().stream().noneMatch(LeadSort::attenuates));
    }

    private Optional<Hop> best(Port from, Port to, Set<String> used, Predicate<Joining> which) {
        Iterator<Joining.Made> some = joinings.of(from.shape(), to.shape()).stream()
                .filter(which)
                .flatMap(joining -> joining.between(from, to, used).stream())
                .limit(MOST_SINGLE)
                .iterator();
        Optional<Hop> best = Optional.empty();
        while (some.hasNext() && best.filter(Hops::isFaultless).isEmpty()) {
            Joining.Made made = some.next();
            Hop hop = Hop.of(from, to, made, joints(made.pluggings()));
            boolean isBetter = hop.worst().compareTo(best.map(Hop::worst).orElse(Faults.Grade.FATAL)) > 0;
            best = isBetter ? Optional.of(hop) : best;
        }
        return best;
    }

    private static boolean isFaultless(Hop hop) {
        return hop.worst() == Faults.Grade.NONE;
    }

    /** Leads with one plug and more than one socket for headphones. */
    List<LeadSort> splitters() {
        return joinings.kinds().stream().filter(Hops::isSplitter).toList();
    }

    private static boolean isSplitter(LeadSort sort) {
        List<LeadEnd> ends = sort.lead().ends();
        return ends.stream().filter(end -> end.form() == Form.PLUG).count() == 1
                && ends.stream().filter(end -> end.form() == Form.SOCKET).count() > 1;
    }

    /** A socket with the plug of a splitter in it, by an adapter where they differ; what comes of it is seen when all hangs on it. */
    Optional<Hop> into(Port out, LeadSort splitter, String mark, Set<String> used) {
        LeadEnd plug = splitter.lead().ends().stream()
                .filter(end -> end.form() == Form.PLUG)
                .findFirst()
                .orElseThrow();
        Port in = new Port(
                out.device(),
                List.of(new Spot(mark, plug.id())),
                new Shape(
                        List.of(plug.connector()),
                        List.of(plug.form()),
                        out.shape().signal(),
                        2));
        return joinings.of(out.shape(), in.shape()).stream()
                .filter(joining -> joining.leads().size() <= 1)
                .flatMap(joining -> joining.between(out, in, used).stream())
                .findFirst()
                .map(made -> {
                    List<String> marks = new ArrayList<>(made.marks());
                    marks.add(mark);
                    return new Hop(
                            out,
                            in,
                            new Joining.Made(made.joining(), marks, made.pluggings()),
                            List.of(),
                            Faults.Grade.NONE);
                });
    }

    private static boolean isOpenEnded(Joining joining) {
        return joining.leads().stream()
                .anyMatch(sort -> sort.lead().ends().stream()
                        .anyMatch(end -> end.form() == Form.SOCKET && end.name().equals("headphones")));
    }

    /** Tries joinings until one is as good as any of them was between ports of such contacts. */
    private Optional<Hop> best(
            Port from, Port to, Set<String> used, List<Joining> all, Learned before, boolean isOwned) {
        List<Hop> hops = new ArrayList<>();
        Map<List<Integer>, Integer> tried = new HashMap<>();
        for (Joining joining : before.order(all, isOwned)) {
            List<Integer> alike = List.of(joining.missing(), joining.leads().size());
            int most = joining.leads().size() > 1 && joining.missing() == 1 ? MOST_OF_SEVERAL : MOST_SINGLE;
            Optional<Joining.Made> made =
                    tried.getOrDefault(alike, 0) >= most ? Optional.empty() : joining.between(from, to, used);
            if (made.isPresent()) {
                tried.merge(alike, 1, Integer::sum);
                Joining.Made earthed = Earth.joined(made.get(), stock.device(from.device()), stock.device(to.device()));
                Hop hop = Hop.of(from, to, earthed, joints(earthed.pluggings()));
                hops.add(hop);
                if (isFaultless(hop) || before.isBest(isOwned, hop.worst())) {
                    break;
                }
            }
        }
        before.learn(isOwned, hops);
        return hops.stream().max(Comparator.comparing(Hop::worst));
    }

    /** Ports of one key differ in nothing that decides which lead is right for them. */
    private List<Object> key(Port from, Port to) {
        return List.of(from.shape(), to.shape(), contacts(from), contacts(to));
    }

    private List<Object> contacts(Port port) {
        return port.sockets().stream()
                .map(spot -> stock.device(spot.item()).socket(spot.part()).orElseThrow())
                .<Object>map(socket -> List.of(socket.contacts(), socket.balance(), powers(socket)))
                .toList();
    }

    private static List<Object> powers(Socket socket) {
        return socket.power().stream()
                .<Object>map(power -> List.of(power.kind(), power.role()))
                .toList();
    }

    /** Which joinings did well between ports of one key. */
    private static final class Learned {
        // The joinings of two shapes are made once: each is itself only.
        private final IdentityHashMap<Joining, Faults.Grade> grades = new IdentityHashMap<>();
        private final Map<Boolean, Faults.Grade> best = new HashMap<>();

        /** Those that are owned, or the others; the best known first, the simplest before others as good. */
        List<Joining> order(List<Joining> all, boolean isOwned) {
            return all.stream()
                    .filter(joining -> (joining.missing() == 0) == isOwned)
                    .sorted(Comparator.comparing((Joining joining) -> grades.getOrDefault(joining, Faults.Grade.FATAL))
                            .reversed())
                    .toList();
        }

        /** Whether nothing that was tried before did better. */
        boolean isBest(boolean isOwned, Faults.Grade grade) {
            return best.containsKey(isOwned) && best.get(isOwned).compareTo(grade) <= 0;
        }

        void learn(boolean isOwned, List<Hop> hops) {
            for (Hop hop : hops) {
                grades.merge(hop.made().joining(), hop.worst(), Learned::better);
                best.merge(isOwned, hop.worst(), Learned::better);
            }
        }

        private static Faults.Grade better(Faults.Grade one, Faults.Grade other) {
            return one.compareTo(other) >= 0 ? one : other;
        }
    }

    /** What comes of it, roughly: enough to compare. */
    List<JointRules.Checked> joints(List<Plugging> pluggings) {
        Map<Set<Plugging>, Patch> parts = new LinkedHashMap<>();
        patch(pluggings).parted().forEach(part -> parts.put(Set.copyOf(part.pluggings()), part));
        List<Map.Entry<Set<Plugging>, Patch>> unknown = parts.entrySet().stream()
                .filter(part -> !known.containsKey(part.getKey()))
                .toList();
        looked += unknown.size();
        // Left and right have nothing in common.
        unknown.parallelStream()
                .map(part -> Map.entry(part.getKey(), JointRules.aloneRoughly(part.getValue())))
                .toList()
                .forEach(each -> known.put(each.getKey(), each.getValue()));
        return parts.keySet().stream().map(known::get).toList();
    }

    /** The same with what only all of it together tells: power and data along chains, hum. */
    List<JointRules.Checked> together(List<Plugging> pluggings) {
        return JointRules.togetherAsPlanned(patch(pluggings), joints(pluggings));
    }

    /** What is plugged, with the gear that it takes. */
    Patch patch(List<Plugging> pluggings) {
        return Patch.of(stock.devices(), leads, pluggings);
    }

    /** By their marks, those that one could get among them. */
    Map<String, Lead> leads() {
        return Collections.unmodifiableMap(leads);
    }

    Lead lead(String mark) {
        return leads.get(mark);
    }

    /** The names of the leads of a hop. */
    List<String> names(Hop hop) {
        return hop.made().marks().stream().map(mark -> lead(mark).name()).toList();
    }

    /** How many of its leads have another plug at each end; USB leads are meant to differ at their ends, adapters too. */
    int special(Hop hop) {
        return hop.from().shape().isDigital()
                ? 0
                : (int) hop.made().marks().stream()
                        .distinct()
                        .map(this::lead)
                        .filter(Joinings::isSpecial)
                        .count();
    }

    /** Whether data get through where data should: a lead that only charges fits as well. */
    boolean carriesWhatItShould(Hop hop) {
        boolean isData = hop.from().shape().isDigital()
                && Math.min(hop.from().shape().channels(), hop.to().shape().channels()) > 1;
        return !isData || hop.made().marks().stream().map(this::lead).allMatch(Lead::carriesData);
    }
}
