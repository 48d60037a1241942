package kalodyne.core.route;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;

/** Which outputs play a way on loudspeakers, by the subwoofer where there is one. */
final class SpeakersPlan {
    private static final Set<SignalKind> FOR_EARS = EnumSet.of(SignalKind.HEADPHONE, SignalKind.HEADSET);

    private final Stock stock;
    private final Feeders feeders;
    private final List<String> wished;
    private final Plugs plugs;
    private final Predicate<Port> row;

    SpeakersPlan(Stock stock, Feeders feeders, List<String> speakers, Plugs plugs) {
        this(stock, feeders, speakers, plugs, in -> true);
    }

    /**
     * Plans by one row of sockets.
     *
     * @param row the inputs that may be used of what comes first behind the outputs
     */
    SpeakersPlan(Stock stock, Feeders feeders, List<String> speakers, Plugs plugs, Predicate<Port> row) {
        this.row = row;
        this.stock = stock;
        this.feeders = feeders;
        this.wished = speakers.stream().filter(stock::has).toList();
        this.plugs = plugs;
    }

    /** Plugs the loudspeakers in, by the subwoofer where there is one. */
    Optional<SideTask> plugged() {
        if (wished.isEmpty()) {
            return Optional.empty();
        }
        Optional<String> sub = wished.stream().filter(id -> passesOn(stock, id)).findFirst();
        List<String> ends =
                wished.stream().filter(id -> sub.filter(id::equals).isEmpty()).toList();
        String names = ends.stream().map(stock::name).collect(Collectors.joining(" and "));
        int before = plugs.count();
        for (String id : feeders.order()) {
            boolean isJoined = sub.isPresent()
                    ? plugs.join(lines(stock, id), inlets(sub.get(), row)).isPresent()
                            && into(lines(stock, sub.get()), ends, in -> true)
                    : into(lines(stock, id), ends, row);
            if (isJoined) {
                String by = sub.map(mark -> " by " + stock.name(mark)
                                + ", from its outputs; its crossover at 80 Hz, 120 Hz at most")
                        .orElse("");
                return Optional.of(new SideTask(
                        SideTask.Of.SPEAKERS,
                        (names.isEmpty() ? "All of it" : names) + " on " + stock.name(id) + by
                                + ". Plug them while they are switched off; mute them while a microphone is open.",
                        true));
            }
            plugs.backTo(before);
        }
        return Optional.of(new SideTask(
                SideTask.Of.SPEAKERS,
                "No free output on this way leads to " + (names.isEmpty() ? "them" : names) + " with these leads.",
                false));
    }

    /** Whether a loudspeaker leads on to others: a subwoofer does. */
    static boolean passesOn(Stock stock, String id) {
        Ports ports = stock.ports(id);
        return ports.inlets().stream()
                .anyMatch(in -> ports.outlets().stream()
                        .anyMatch(out -> out.shape().signal() == SignalKind.LINE
                                && ports.inside().passes(in, out)));
    }

    /** Line outputs; what has none plays by what it has for headphones. */
    static List<Port> lines(Stock stock, String id) {
        List<Port> all = stock.ports(id).outlets();
        List<Port> lines = all.stream()
                .filter(out -> out.shape().signal() == SignalKind.LINE)
                .toList();
        return lines.isEmpty() ? Port.each(stock.device(id), SpeakersPlan::isForEars, 2) : lines;
    }

    private static boolean isForEars(Socket socket) {
        return FOR_EARS.contains(socket.signal()) && socket.way() != Direction.IN;
    }

    /** Balanced where that can be; what is owned before what is to be got. */
    private boolean into(List<Port> outs, List<String> ends, Predicate<Port> inputs) {
        if (ends.isEmpty()) {
            return true;
        }
        boolean isPair = ends.size() > 1;
        List<Port> from = isPair
                ? outs.stream().filter(out -> out.shape().channels() == 2).toList()
                : outs;
        List<Port> to = isPair ? pairs(ends.get(0), ends.get(1), inputs) : inlets(ends.get(0), inputs);
        List<Port> balancedFrom = balanced(from);
        List<Port> balancedTo = balanced(to);
        return plugs.joinOwned(balancedFrom, balancedTo).isPresent()
                || plugs.joinOwned(from, to).isPresent()
                || plugs.join(balancedFrom, balancedTo).isPresent()
                || plugs.join(from, to).isPresent();
    }

    private List<Port> balanced(List<Port> ports) {
        return ports.stream()
                .filter(port -> port.sockets().stream().allMatch(stock::isBalanced))
                .toList();
    }

    private List<Port> inlets(String id, Predicate<Port> inputs) {
        return stock.ports(id).inlets().stream().filter(inputs).toList();
    }

    /** Inputs of two loudspeakers that take left and right. */
    private List<Port> pairs(String left, String right, Predicate<Port> inputs) {
        return inlets(left, inputs).stream()
                .filter(in -> in.sockets().size() == 1)
                .flatMap(in -> inlets(right, inputs).stream()
                        .filter(other -> other.shape().equals(in.shape()))
                        .map(other -> new Port(
                                left,
                                List.of(in.sockets().get(0), other.sockets().get(0)),
                                new Shape(
                                        twice(in.shape().connectors()),
                                        twice(in.shape().forms()),
                                        in.shape().signal(),
                                        2))))
                .toList();
    }

    private static <T> List<T> twice(List<T> one) {
        return List.of(one.get(0), one.get(0));
    }
}
