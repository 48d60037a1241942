package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.DeviceKind;

/**
 * The devices on which all that is played can be heard together.
 *
 * @param order their marks, where one would look first
 * @param playBack those that play what a computer sends
 */
record Feeders(List<String> order, Set<String> playBack) {
    Feeders {
        order = List.copyOf(order);
        playBack = Set.copyOf(playBack);
    }

    /** Of what stands before the recorder the nearest to it, then the recorder itself. */
    static Feeders of(List<Chain> chains, MonitorPath through, Stock stock) {
        List<String> between = new ArrayList<>();
        chains.forEach(chain -> chain.hops().forEach(hop -> between.add(hop.to().device())));
        String recorder = between.get(between.size() - 1);
        between.removeIf(recorder::equals);
        Collections.reverse(between);
        Set<String> playBack = Chain.hops(chains)
                .filter(hop -> hop.from().shape().isDigital())
                .map(hop -> hop.from().device())
                .filter(id -> stock.device(id).kind() != DeviceKind.HUB)
                .collect(Collectors.toSet());
        Set<String> order = new LinkedHashSet<>();
        if (through == MonitorPath.APP) {
            // What plays back what the app sends: what the recorder is joined to by data, then the recorder.
            between.stream().filter(playBack::contains).forEach(order::add);
            order.add(recorder);
        }
        order.addAll(between);
        order.add(recorder);
        // What is only heard at its own source is better than nothing.
        chains.forEach(chain -> order.add(chain.hops().get(0).from().device()));
        return new Feeders(List.copyOf(order), playBack);
    }

    /** Only one device. */
    static Feeders only(String id) {
        return new Feeders(List.of(id), Set.of());
    }

    boolean playsBack(String id) {
        return playBack.contains(id);
    }
}
