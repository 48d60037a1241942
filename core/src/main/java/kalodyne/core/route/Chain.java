package kalodyne.core.route;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.joint.Plugging;

/** Hops one behind the other, from a source on. */
record Chain(List<Hop> hops, Set<String> used) {
    private static final double GET_DEVICE = 12;

    Chain {
        hops = List.copyOf(hops);
        used = Set.copyOf(used);
    }

    /** The hops of several. */
    static Stream<Hop> hops(List<Chain> chains) {
        return chains.stream().flatMap(chain -> chain.hops.stream());
    }

    /** Whether a device sends data on some of them. */
    static boolean sends(List<Chain> chains, String device) {
        return hops(chains)
                .anyMatch(hop ->
                        hop.from().device().equals(device) && hop.from().shape().isDigital());
    }

    /** What several plug. */
    static List<Plugging> pluggings(List<Chain> chains) {
        return chains.stream().flatMap(chain -> chain.pluggings().stream()).toList();
    }

    Chain with(Hop hop) {
        List<Hop> more = new ArrayList<>(hops);
        more.add(hop);
        Set<String> all = new HashSet<>(used);
        all.addAll(hop.made().marks());
        return new Chain(more, all);
    }

    Port last() {
        return hops.get(hops.size() - 1).to();
    }

    List<Plugging> pluggings() {
        return hops.stream().flatMap(hop -> hop.made().pluggings().stream()).toList();
    }

    /** Whether nothing has to be got for it. */
    boolean isOwned() {
        return hops.stream().noneMatch(Hop::takesMore);
    }

    /** Whether each socket is meant for what comes out of the one before. */
    boolean isMadeForIt() {
        return hops.stream()
                .allMatch(hop -> hop.worst() == Faults.Grade.NONE
                        && Mismatch.of(
                                        hop.from().shape().signal(),
                                        hop.to().shape().signal())
                                == 0);
    }

    /** Whether left and right have ways of their own all along. */
    boolean keepsSides() {
        return hops.stream()
                .filter(hop -> !hop.from().shape().isDigital())
                .allMatch(hop ->
                        hop.from().shape().channels() > 1 && hop.to().shape().channels() > 1);
    }

    /** How much it takes: devices, leads, and what is to be got. */
    double leadCost() {
        return hops.stream()
                .mapToDouble(hop ->
                        2 + hop.made().joining().cost() + (Missing.is(hop.to().device()) ? GET_DEVICE : 0))
                .sum();
    }

    /** The lower the better, as far as one sees before all of it is computed. */
    double roughCost() {
        double cost = 0;
        for (Hop hop : hops) {
            cost += switch (hop.worst()) {
                case FATAL -> 1000;
                case WRONG -> 60;
                case CAUTION -> 25;
                case WEAK -> 8;
                case NONE -> 0;
            };
            cost += hop.made().joining().cost();
            cost += hop.from().shape().channels() == hop.to().shape().channels() ? 0 : 2;
        }
        return cost;
    }
}
