package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Wiring;

/** How a way is heard meanwhile: on headphones, as near to the source as they can be plugged. */
final class Listening {
    /** There and back through an app with usual buffers; common practice. */
    private static final double THROUGH_AN_APP_MILLISECONDS = 20;

    private final Map<String, Device> devices;
    private final Hops hops;

    Listening(Map<String, Device> devices, Hops hops) {
        this.devices = devices;
        this.hops = hops;
    }

    /** A hop to the headphones, and what it is in words. */
    record Heard(Optional<Hop> hop, Way.Monitoring monitoring) {}

    Heard of(List<Chain> chains, Optional<String> headphones, Wiring taken, Set<String> used) {
        if (headphones.isEmpty() || !devices.containsKey(headphones.get())) {
            return new Heard(Optional.empty(), new Way.Monitoring("Not on headphones", 0));
        }
        Device head = devices.get(headphones.get());
        List<Port> plugs = head.sockets().stream()
                .filter(socket -> socket.signal() == SignalKind.HEADPHONE)
                .map(socket -> Port.of(head, List.of(socket), 2))
                .filter(plug -> Chains.isFree(plug, head, taken))
                .toList();
        if (plugs.isEmpty()) {
            return new Heard(Optional.empty(), new Way.Monitoring(head.name() + " as they are plugged already", 0));
        }
        for (String id : nearest(chains)) {
            Device device = devices.get(id);
            for (Port out : outs(device)) {
                for (Port plug : plugs) {
                    Optional<Hop> hop = Chains.isFree(out, device, taken)
                            ? hops.best(out, plug, used).stream()
                                    .filter(each -> each.worst() == Faults.Grade.NONE
                                            && each.made().joining().missing() == 0)
                                    .findFirst()
                            : Optional.empty();
                    if (hop.isPresent()) {
                        return new Heard(hop, monitoring(chains, device, out, head));
                    }
                }
            }
        }
        return new Heard(
                Optional.empty(),
                new Way.Monitoring(
                        "No socket on this way takes " + head.name() + ": listen to the take afterwards", 0));
    }

    /** Where all sources are together first: of what stands before the recorder the nearest to it, then the recorder itself. */
    private static Set<String> nearest(List<Chain> chains) {
        List<String> between = new ArrayList<>();
        chains.forEach(chain -> chain.hops().forEach(hop -> between.add(hop.to().device())));
        String recorder = between.get(between.size() - 1);
        between.removeIf(recorder::equals);
        Collections.reverse(between);
        Set<String> order = new LinkedHashSet<>(between);
        order.add(recorder);
        // What is only heard at its own source is better than nothing.
        chains.forEach(chain -> order.add(chain.hops().get(0).from().device()));
        return order;
    }

    private static List<Port> outs(Device device) {
        return device.sockets().stream()
                .filter(Listening::isForHeadphones)
                .map(socket -> Port.of(device, List.of(socket), 2))
                .toList();
    }

    private static boolean isForHeadphones(Socket socket) {
        return socket.signal() == SignalKind.HEADPHONE && !socket.way().word().equals("in");
    }

    private Way.Monitoring monitoring(List<Chain> chains, Device device, Port out, Device head) {
        Inside inside = new Inside(device);
        boolean hearsInput = chains.stream()
                .flatMap(chain -> chain.hops().stream())
                .filter(hop -> hop.to().device().equals(device.id())
                        && !hop.to().shape().isDigital())
                .anyMatch(hop -> inside.passes(hop.to(), out));
        boolean isSource = chains.stream()
                .anyMatch(chain -> chain.hops().get(0).from().device().equals(device.id()));
        String where = head.name() + " on " + device.name();
        return hearsInput || isSource
                ? new Way.Monitoring(where + ", direct", 0)
                : new Way.Monitoring(where + ", through the app", THROUGH_AN_APP_MILLISECONDS);
    }
}
