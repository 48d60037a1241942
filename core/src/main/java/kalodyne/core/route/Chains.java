package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.route.RouteGraph.Node;
import kalodyne.core.route.RouteGraph.Side;

/** Finds the sockets and leads for a way through devices: hop by hop, going on with the best few. */
final class Chains {
    private static final int MOST_KEPT = 4;
    private static final int MOST_PAIRS = 5;

    /** Sockets that are worse made for each other by so much are not tried. */
    private static final double MOST_WORSE = 14;

    /** What is taken now is chosen only where nothing else is left, and the fewer of it the better. */
    private static final long PULLED_OUT = 10;

    /** From here on a socket is made for something else: line into an instrument input. */
    private static final double MADE_FOR_OTHERS = 4;

    /** A balanced microphone signal into a phone. */
    private static final double OF_ANOTHER_KIND = 3;

    private final Stock stock;
    private final Hops hops;
    private final List<Hop> shared;
    private final boolean isHeard;

    /**
     * Finds chains.
     *
     * @param shared hops of other sources, which lead this one on too
     * @param isHeard whether headphones will be looked for a socket
     */
    Chains(Stock stock, Hops hops, List<Hop> shared, boolean isHeard) {
        this.isHeard = isHeard;
        this.stock = stock;
        this.hops = hops;
        this.shared = List.copyOf(shared);
    }

    /**
     * The best first.
     *
     * @param way through sides of devices
     * @param taken what is plugged already
     * @param channels how many channels should be kept
     */
    List<Chain> of(List<Node> way, Wiring taken, Set<String> used, int channels) {
        List<Chain> open = List.of(new Chain(List.of(), used));
        for (int i = 0; i + 1 < way.size(); i++) {
            Node from = way.get(i);
            Node to = way.get(i + 1);
            boolean isHop = !from.device().equals(to.device());
            if (isHop) {
                Side next = way.get(i + 2).side();
                open = kept(open.stream()
                        .flatMap(chain -> further(chain, from, to, next, taken, channels))
                        .sorted(Comparator.comparingDouble(Chain::roughCost))
                        .toList());
            }
        }
        return open;
    }

    /** The best few, the best that needs nothing to get, and the best through sockets that are made for each other. */
    private static List<Chain> kept(List<Chain> sorted) {
        NavigableSet<Integer> kept = new TreeSet<>(
                IntStream.range(0, Math.min(MOST_KEPT, sorted.size())).boxed().toList());
        first(sorted, Chain::isOwned).ifPresent(kept::add);
        first(sorted, chain -> chain.isMadeForIt() && chain.keepsSides()).ifPresent(kept::add);
        return kept.stream().map(sorted::get).toList();
    }

    private static OptionalInt first(List<Chain> sorted, Predicate<Chain> which) {
        return IntStream.range(0, sorted.size())
                .filter(i -> which.test(sorted.get(i)))
                .findFirst();
    }

    private Stream<Chain> further(Chain chain, Node from, Node to, Side next, Wiring taken, int channels) {
        Optional<Hop> there = alongside(chain, from, to);
        if (there.isPresent()) {
            return Stream.of(chain.with(there.get().alongside()));
        }
        List<Port> outs = distinct(outs(chain, from), taken);
        List<Port> ins = distinct(ins(to, next), taken);
        record Pair(Port out, Port in, double cost) {}
        List<Pair> pairs = new ArrayList<>();
        for (Port out : outs) {
            for (Port in : ins) {
                if (isMadeUp(out, in)) {
                    continue;
                }
                hops.joinings().of(out.shape(), in.shape()).stream()
                        .findFirst()
                        .ifPresent(joining -> pairs.add(new Pair(
                                out,
                                in,
                                joining.cost()
                                        + Mismatch.of(
                                                out.shape().signal(), in.shape().signal())
                                        + lost(out, in, channels))));
            }
        }
        double cheapest = pairs.stream().mapToDouble(Pair::cost).min().orElse(0);
        return pairs.stream()
                .filter(pair -> pair.cost() <= cheapest + MOST_WORSE)
                .sorted(Comparator.comparingDouble(Pair::cost))
                .limit(MOST_PAIRS)
                .flatMap(pair -> hops(pair.out(), pair.in(), chain.used()))
                .map(chain::with);
    }

    private Stream<Hop> hops(Port out, Port in, Set<String> used) {
        List<Hop> best = hops.best(out, in, used);
        boolean isMadeSmaller = best.stream()
                .flatMap(hop -> hop.made().joining().leads().stream())
                .anyMatch(LeadSort::attenuates);
        Stream<Hop> asItIs = isMadeSmaller && stock.device(out.device()).hasVolume()
                ? hops.asItIs(out, in, used).stream()
                : Stream.empty();
        return Stream.of(best.stream(), asItIs, openEnded(out, in, used)).flatMap(each -> each);
    }

    /** Where headphones want to hear a phone that its only socket is taken from, a splitter is worth a look. */
    private Stream<Hop> openEnded(Port out, Port in, Set<String> used) {
        boolean isWanted = isHeard && in.shape().signal() == SignalKind.HEADSET;
        return isWanted ? hops.openEnded(out, in, used).stream() : Stream.empty();
    }

    /** Nobody buys a box to plug it where it is not made for: what is to be got has to fit on both of its sides. */
    private static boolean isMadeUp(Port out, Port in) {
        SignalKind given = out.shape().signal();
        SignalKind taken = in.shape().signal();
        boolean isIntoPhone = taken == SignalKind.HEADSET;
        double mismatch = Mismatch.of(given, taken);
        boolean isIntoBought = Missing.is(in.device()) && !isIntoPhone && mismatch >= MADE_FOR_OTHERS;
        boolean isOutOfBought =
                Missing.is(out.device()) && mismatch >= OF_ANOTHER_KIND && !(isIntoPhone && given == SignalKind.LINE);
        return isIntoBought || isOutOfBought;
    }

    /** What is plugged for another source and leads on from here. */
    private Optional<Hop> alongside(Chain chain, Node from, Node to) {
        return shared.stream()
                .filter(hop -> hop.from().device().equals(from.device())
                        && hop.to().device().equals(to.device()))
                .filter(hop -> hop.from().shape().isDigital()
                        ? from.side() == Side.DATA_OUT
                        : from.side() == Side.OUT
                                && !chain.hops().isEmpty()
                                && stock.inside(from.device()).passes(chain.last(), hop.from()))
                .findFirst();
    }

    /** What it costs to lose a side, or to carry one that nobody wants. */
    private static double lost(Port out, Port in, int channels) {
        int kept = Math.min(out.shape().channels(), in.shape().channels());
        return kept < channels ? 6 : kept > channels ? 1 : 0;
    }

    private List<Port> outs(Chain chain, Node from) {
        Ports ports = stock.ports(from.device());
        if (from.side() == Side.DATA_OUT) {
            return ports.dataOut().stream().toList();
        }
        if (chain.hops().isEmpty()) {
            return ports.outlets();
        }
        Inside inside = ports.inside();
        return ports.outlets().stream()
                .filter(out -> inside.passes(chain.last(), out))
                .toList();
    }

    private List<Port> ins(Node to, Side next) {
        Ports ports = stock.ports(to.device());
        if (to.side() == Side.DATA_IN) {
            return ports.dataIns();
        }
        boolean isRecordedHere = next == Side.RECORDED || next == Side.DATA_OUT;
        boolean isMixer = stock.device(to.device()).kind() == DeviceKind.MIXER && next == Side.RECORDED;
        return ports.inlets().stream()
                .filter(in -> !isRecordedHere || isMixer || ports.converts(in))
                .toList();
    }

    /** Of ports of one shape the first that is free; where a device has none of them free, none. */
    private List<Port> distinct(List<Port> ports, Wiring taken) {
        Map<Shape, Port> first = new LinkedHashMap<>();
        for (Port port : ports) {
            if (isFree(port, stock, taken)) {
                // What shares no hole with others leaves those for the next source; what is free now need not be pulled
                // out.
                first.merge(port.shape(), port, (a, b) -> trouble(b) < trouble(a) ? b : a);
            }
        }
        return List.copyOf(first.values());
    }

    private long trouble(Port port) {
        return shared(port) + PULLED_OUT * stock.taken(port);
    }

    private long shared(Port port) {
        Device device = stock.device(port.device());
        return port.parts().stream()
                .filter(part ->
                        device.socket(part).orElseThrow().ties().opening().isPresent())
                .count();
    }

    /** Whether nothing is in its sockets, nor in another one of the same channel: two that share a gain are one input. */
    static boolean isFree(Port port, Stock stock, Wiring taken) {
        Set<Spot> spots = taken.spots();
        return port.sockets().stream().allMatch(spot -> isFree(spot, stock.device(spot.item()), spots));
    }

    private static boolean isFree(Spot spot, Device device, Set<Spot> taken) {
        Socket socket = device.socket(spot.part()).orElseThrow();
        return device.sockets().stream()
                .filter(other -> taken.contains(new Spot(device.id(), other.id())))
                .noneMatch(other -> other.id().equals(socket.id()) || device.isOneInput(socket, other));
    }
}
