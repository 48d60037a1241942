package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
        return stock.has(port.device()) && Chains.isFree(port, stock.device(port.device()), taken);
    }

    /** Plugs the first free one of some ports into the first free one of others that it fits well; empty where none does. */
    Optional<Hop> join(List<Port> outs, List<Port> ins) {
        Optional<Hop> same = there.stream()
                .filter(hop -> hasSockets(outs, hop.from()) && hasSockets(ins, hop.to()))
                .filter(hop -> isFree(hop.from()) && isFree(hop.to()))
                .findFirst();
        if (same.isPresent()) {
            plug(same.get());
            return same;
        }
        Optional<Hop> best = outs.stream()
                .filter(this::isFree)
                .flatMap(out -> ins.stream().filter(this::isFree).flatMap(in -> hops.best(out, in, used).stream()))
                .filter(hop -> hop.worst() == Faults.Grade.NONE || hop.worst() == Faults.Grade.WEAK)
                .filter(hop -> mayGet || !hop.takesMore())
                .min(Comparator.<Hop>comparingInt(hop -> hop.made().joining().missing() + (hop.takesMore() ? 1 : 0))
                        .thenComparing(Hop::worst, Comparator.reverseOrder()));
        best.ifPresent(this::plug);
        return best;
    }

    /** Plugs one of some ports into an end that a lead of the chains has free, where a device is heard; empty where none fits. */
    Optional<Hop> joinToLead(String player, List<Port> ins) {
        List<Port> free = ins.stream().filter(this::isFree).toList();
        Optional<Hop> found = new FreeEnds(stock, hops, Chain.pluggings(chains), taken).join(player, free, used);
        found.ifPresent(this::plug);
        return found;
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
            Hop last = all.remove(all.size() - 1);
            used.removeAll(last.made().marks());
            taken = taken.unplugged(last.made().pluggings());
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
