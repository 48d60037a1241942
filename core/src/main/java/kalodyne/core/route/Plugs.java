package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Wiring;

/** What a way plugs beside its chains: each socket and each lead once. */
final class Plugs {
    private final Stock stock;
    private final Hops hops;
    private final List<Chain> chains;
    private final List<Hop> there;
    private final boolean mayGet;
    private final Set<String> used = new HashSet<>();
    private final List<Hop> all = new ArrayList<>();
    private Wiring taken;

    /**
     * Beside some chains.
     *
     * @param present what is plugged already
     * @param mayGet whether leads and devices that are not owned may be used
     */
    Plugs(Stock stock, Hops hops, List<Chain> chains, Present present, boolean mayGet) {
        this.stock = stock;
        this.hops = hops;
        this.chains = List.copyOf(chains);
        this.there = present.there();
        this.mayGet = mayGet;
        this.taken = present.taken().plugging(Chain.pluggings(chains));
        chains.forEach(chain -> used.addAll(chain.used()));
    }

    boolean isFree(Port port) {
        return stock.has(port.device()) && Chains.isFree(port, stock, taken);
    }

    /** Plugs the first free one of some ports into the first free one of others that it fits well; empty where none does. */
    Optional<Hop> join(List<Port> outs, List<Port> ins) {
        return join(outs, ins, mayGet);
    }

    /** The same with what is owned. */
    Optional<Hop> joinOwned(List<Port> outs, List<Port> ins) {
        return join(outs, ins, false);
    }

    private Optional<Hop> join(List<Port> outs, List<Port> ins, boolean mayGetMore) {
        Optional<Hop> same = there.stream()
                .filter(hop -> hasSockets(outs, hop.from()) && hasSockets(ins, hop.to()))
                .filter(hop -> isFree(hop.from()) && isFree(hop.to()))
                .filter(hops::carriesWhatItShould)
                .findFirst();
        if (same.isPresent()) {
            plug(same.get());
            return same;
        }
        Optional<Hop> best = outs.stream()
                .filter(this::isFree)
                .flatMap(out -> ins.stream().filter(this::isFree).flatMap(in -> hops.best(out, in, used).stream()))
                .filter(hop -> hop.worst() == Faults.Grade.NONE || hop.worst() == Faults.Grade.WEAK)
                .filter(hop -> mayGetMore || !hop.takesMore())
                .filter(hops::carriesWhatItShould)
                .min(Comparator.comparing(Hop::takesMore)
                        .thenComparing(Hop::worst, Comparator.reverseOrder())
                        .thenComparing(hop -> hop.made().joining().missing()));
        best.ifPresent(this::plug);
        return best;
    }

    /** Plugs one of some ports into an end that a lead of the chains has free, where a device is heard; empty where none fits. */
    Optional<Hop> joinToLead(String player, List<Port> ins) {
        List<Port> free = ins.stream().filter(this::isFree).toList();
        Optional<Hop> found = new FreeEnds(stock, hops, Chain.pluggings(chains), taken).join(player, free, used, false);
        found.ifPresent(this::plug);
        return found;
    }

    /** Parts what comes out for some headphones with others, by a splitter; false where none does. */
    boolean share(Hop worn, List<Port> more) {
        Port out = worn.from();
        return hops.splitters().stream()
                .filter(splitter -> mayGet || splitter.isOwned())
                .sorted(Comparator.comparing((LeadSort splitter) -> !splitter.isOwned())
                        .thenComparing(splitter -> splitter.fitting(
                                        out.shape().connectors().get(0),
                                        out.shape().forms().get(0))
                                .isEmpty()))
                .anyMatch(splitter -> instead(List.of(worn), () -> {
                    Optional<Hop> in = intoSplitter(out, splitter);
                    in.ifPresent(this::plug);
                    return in.isPresent()
                            && joinToSplitter(out.device(), in.get(), List.of(worn.to()))
                            && joinToSplitter(out.device(), in.get(), more);
                }));
    }

    private Optional<Hop> intoSplitter(Port out, LeadSort splitter) {
        return splitter.marks().stream()
                .filter(mark -> !used.contains(mark))
                .findFirst()
                .flatMap(mark -> hops.into(out, splitter, mark, used).stream()
                        .filter(hop -> mayGet || !hop.takesMore())
                        .findFirst());
    }

    private boolean joinToSplitter(String player, Hop in, List<Port> heads) {
        List<Plugging> plugged = all.subList(all.indexOf(in), all.size()).stream()
                .flatMap(hop -> hop.made().pluggings().stream())
                .toList();
        Optional<Hop> found = new FreeEnds(stock, hops, plugged, taken)
                .join(player, heads, used, mayGet)
                .filter(hop -> hop.worst() != Faults.Grade.WRONG);
        found.ifPresent(this::plug);
        return found.isPresent();
    }

    /** Does something in place of some hops; all is as before where it cannot be done. */
    boolean instead(List<Hop> before, BooleanSupplier other) {
        List<Hop> kept = List.copyOf(all);
        before.forEach(this::unplug);
        int count = all.size();
        boolean isDone = other.getAsBoolean();
        if (!isDone) {
            backTo(count);
            before.forEach(this::plug);
            all.clear();
            all.addAll(kept);
        }
        return isDone;
    }

    private void unplug(Hop hop) {
        all.remove(hop);
        used.removeAll(hop.made().marks());
        taken = taken.unplugged(hop.made().pluggings());
    }

    private static boolean hasSockets(List<Port> ports, Port wanted) {
        return ports.stream().anyMatch(port -> port.sockets().equals(wanted.sockets()));
    }

    void plug(Hop hop) {
        all.add(hop);
        used.addAll(hop.made().marks());
        taken = taken.plugging(hop.made().pluggings());
    }

    /** Undoes what was plugged since there were so many hops. */
    void backTo(int count) {
        while (all.size() > count) {
            unplug(all.get(all.size() - 1));
        }
    }

    int count() {
        return all.size();
    }

    List<Hop> hops() {
        return List.copyOf(all);
    }

    Stream<Plugging> pluggings() {
        return all.stream().flatMap(hop -> hop.made().pluggings().stream());
    }
}
