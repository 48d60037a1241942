package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;

/** How a way is heard meanwhile: on headphones and loudspeakers, where all sources are together. */
final class ListeningPlan {
    /** There and back through an app with usual buffers; common practice. */
    private static final double THROUGH_AN_APP_MILLISECONDS = 20;

    private final Stock stock;
    private final List<Chain> chains;
    private final ListeningWish heard;
    private final Plugs plugs;
    private final Set<String> pluggedAlready = new HashSet<>();

    /** The device that each pair of headphones was plugged into. */
    private final Map<String, String> into = new HashMap<>();

    ListeningPlan(Stock stock, List<Chain> chains, ListeningWish heard, Plugs plugs) {
        this.stock = stock;
        this.chains = List.copyOf(chains);
        this.heard = heard;
        this.plugs = plugs;
    }

    // --- headphones --------------------------------------------------------------------------------------------

    /** Plugs all headphones in that are not yet. */
    void plugHeadphones() {
        headphones().forEach(this::plug);
    }

    private void plug(Device head) {
        List<Port> sockets = sockets(head);
        boolean isPlugged = !sockets.isEmpty() && sockets.stream().noneMatch(plugs::isFree);
        if (isPlugged) {
            pluggedAlready.add(head.id());
        } else if (!sockets.isEmpty()) {
            nearest().stream()
                    .filter(id -> plugs.join(outs(stock.device(id)), sockets).isPresent()
                            || plugs.joinToLead(id, sockets).isPresent())
                    .findFirst()
                    .ifPresent(id -> into.put(head.id(), id));
        }
    }

    /** How all headphones hear, once it is known what comes of all that is plugged. */
    Way.MonitorFeed monitoring(Expectation expected) {
        Set<String> speakers = Set.copyOf(heard.speakers());
        List<Way.MonitorFeed> each =
                headphones().map(head -> monitoring(head, expected, speakers)).toList();
        return each.isEmpty()
                ? new Way.MonitorFeed("Not on headphones", expected.isDirect(speakers), 0, true)
                : new Way.MonitorFeed(
                        each.stream().map(Way.MonitorFeed::words).collect(Collectors.joining("; ")),
                        each.stream().allMatch(Way.MonitorFeed::isDirect),
                        each.stream()
                                .mapToDouble(Way.MonitorFeed::delayMilliseconds)
                                .max()
                                .orElse(0),
                        each.stream().allMatch(Way.MonitorFeed::isAsWished));
    }

    private Way.MonitorFeed monitoring(Device head, Expectation expected, Set<String> speakers) {
        boolean isDirect = expected.isDirect(Set.of(head.id()));
        if (pluggedAlready.contains(head.id())) {
            return new Way.MonitorFeed(head.name() + " as they are plugged already", isDirect, 0, true);
        }
        return Optional.ofNullable(into.get(head.id()))
                .map(stock::device)
                .map(device -> monitoring(device, head, isDirect))
                .orElseGet(() -> new Way.MonitorFeed(
                        "No socket on this way takes " + head.name() + ": listen to the take afterwards",
                        expected.isDirect(speakers),
                        0,
                        false));
    }

    private Stream<Device> headphones() {
        return heard.headphones().stream().filter(stock::has).map(stock::device);
    }

    private static List<Port> sockets(Device head) {
        return Port.each(head, socket -> socket.signal() == SignalKind.HEADPHONE, 2);
    }

    /** Where all sources are together first: of what stands before the recorder the nearest to it, then the recorder itself. */
    private Set<String> nearest() {
        List<String> between = new ArrayList<>();
        chains.forEach(chain -> chain.hops().forEach(hop -> between.add(hop.to().device())));
        String recorder = between.get(between.size() - 1);
        between.removeIf(recorder::equals);
        Collections.reverse(between);
        Set<String> order = new LinkedHashSet<>();
        if (heard.through() == MonitorPath.APP) {
            // What plays back what the app sends: what the recorder is joined to by data, then the recorder.
            between.stream().filter(this::playsBack).forEach(order::add);
            order.add(recorder);
        }
        order.addAll(between);
        order.add(recorder);
        // What is only heard at its own source is better than nothing.
        chains.forEach(chain -> order.add(chain.hops().get(0).from().device()));
        return order;
    }

    private boolean playsBack(String id) {
        return stock.device(id).kind() != DeviceKind.HUB && Chain.sends(chains, id);
    }

    private static List<Port> outs(Device device) {
        return Port.each(device, ListeningPlan::isForHeadphones, 2);
    }

    private static boolean isForHeadphones(Socket socket) {
        return socket.signal() == SignalKind.HEADPHONE && !socket.way().word().equals("in");
    }

    /** What plays back can be listened to through the app, whatever else comes out there. */
    private Way.MonitorFeed monitoring(Device device, Device head, boolean canBeDirect) {
        boolean isDirect = canBeDirect && !(heard.through() == MonitorPath.APP && playsBack(device.id()));
        String where = head.name() + " on " + device.name();
        return isDirect
                ? new Way.MonitorFeed(where + ", direct", true, 0, heard.through() != MonitorPath.APP)
                : new Way.MonitorFeed(
                        where + ", through the app",
                        false,
                        THROUGH_AN_APP_MILLISECONDS,
                        heard.through() != MonitorPath.DIRECT);
    }

    // --- loudspeakers ------------------------------------------------------------------------------------------

    /** Plugs the loudspeakers in, by the subwoofer where there is one. */
    Optional<SideTask> speakers() {
        List<String> wished = heard.speakers().stream().filter(stock::has).toList();
        if (wished.isEmpty()) {
            return Optional.empty();
        }
        Optional<String> sub = wished.stream().filter(this::passesOn).findFirst();
        List<String> ends =
                wished.stream().filter(id -> sub.filter(id::equals).isEmpty()).toList();
        String names = ends.stream().map(stock::name).collect(Collectors.joining(" and "));
        int before = plugs.count();
        for (String id : nearest()) {
            boolean isJoined = sub.isPresent()
                    ? plugs.join(lines(id), stock.ports(sub.get()).inlets()).isPresent() && into(lines(sub.get()), ends)
                    : into(lines(id), ends);
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

    private boolean passesOn(String id) {
        Ports ports = stock.ports(id);
        return ports.inlets().stream()
                .anyMatch(in -> ports.outlets().stream()
                        .anyMatch(out -> out.shape().signal() == SignalKind.LINE
                                && ports.inside().passes(in, out)));
    }

    /** Line outputs that are not in use; of a device that records the way those that play back. */
    private List<Port> lines(String id) {
        return stock.ports(id).outlets().stream()
                .filter(out -> out.shape().signal() == SignalKind.LINE)
                .toList();
    }

    private boolean into(List<Port> outs, List<String> ends) {
        if (ends.isEmpty()) {
            return true;
        }
        if (ends.size() == 1) {
            return plugs.join(outs, stock.ports(ends.get(0)).inlets()).isPresent();
        }
        return outs.stream()
                .filter(out -> out.sockets().size() == 2)
                .filter(plugs::isFree)
                .findFirst()
                .filter(out -> {
                    List<Port> sides = sides(out);
                    return plugs.join(
                                            sides.subList(0, 1),
                                            stock.ports(ends.get(0)).inlets())
                                    .isPresent()
                            && plugs.join(
                                            sides.subList(1, 2),
                                            stock.ports(ends.get(1)).inlets())
                                    .isPresent();
                })
                .isPresent();
    }

    /** Left and right of a pair, each for itself. */
    private List<Port> sides(Port pair) {
        Device device = stock.device(pair.device());
        return pair.parts().stream()
                .map(part -> Port.of(device, List.of(device.socket(part).orElseThrow()), 1))
                .toList();
    }
}
