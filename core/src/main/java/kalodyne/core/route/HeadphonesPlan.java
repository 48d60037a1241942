package kalodyne.core.route;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
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

/** On which sockets headphones hear a way meanwhile, where all sources are together. */
final class HeadphonesPlan {
    /** There and back through an app with usual buffers; common practice. */
    private static final double THROUGH_AN_APP_MILLISECONDS = 20;

    private final Stock stock;
    private final Feeders feeders;
    private final ListeningWish heard;
    private final Plugs plugs;
    private final Set<String> pluggedAlready = new HashSet<>();

    /** The device that each pair of headphones was plugged into. */
    private final Map<String, String> into = new HashMap<>();

    HeadphonesPlan(Stock stock, Feeders feeders, ListeningWish heard, Plugs plugs) {
        this.stock = stock;
        this.feeders = feeders;
        this.heard = heard;
        this.plugs = plugs;
    }

    /** Plugs all headphones in that are not yet. */
    void plug() {
        headphones().forEach(this::plug);
    }

    private void plug(Device head) {
        List<Port> sockets = sockets(head);
        boolean isPlugged = !sockets.isEmpty() && sockets.stream().noneMatch(plugs::isFree);
        if (isPlugged) {
            pluggedAlready.add(head.id());
        } else if (!sockets.isEmpty()) {
            feeders.order().stream()
                    .filter(id -> plugs.join(outs(stock.device(id)), sockets).isPresent()
                            || plugs.joinToLead(id, sockets).isPresent())
                    .findFirst()
                    .or(() -> withOthers(sockets))
                    .ifPresent(id -> into.put(head.id(), id));
        }
    }

    boolean isPlugged(String head) {
        return into.containsKey(head) || pluggedAlready.contains(head);
    }

    /** Where no socket is free, what others wear is shared with them by a splitter, or an amplifier with more sockets stands between. */
    private Optional<String> withOthers(List<Port> sockets) {
        return into.values().stream()
                .distinct()
                .sorted()
                .filter(id -> shared(id, sockets) || besideOthers(id, sockets) || amplified(id, sockets))
                .findFirst();
    }

    private boolean shared(String id, List<Port> sockets) {
        return worn(id).stream().anyMatch(hop -> plugs.share(hop, sockets));
    }

    /** An amplifier that others hear by already may have a socket left. */
    private boolean besideOthers(String id, List<Port> sockets) {
        return plugs.hops().stream()
                .filter(hop -> hop.from().device().equals(id))
                .map(hop -> hop.to().device())
                .filter(this::isHeadphoneAmplifier)
                .anyMatch(amplifier ->
                        plugs.join(outs(stock.device(amplifier)), sockets).isPresent());
    }

    /** What is worn on a device. */
    private List<Hop> worn(String id) {
        return plugs.hops().stream()
                .filter(hop -> hop.from().device().equals(id) && isWorn(hop.to()))
                .toList();
    }

    private boolean isWorn(Port port) {
        return into.containsKey(port.device());
    }

    /** All that hears a device hears it by a headphone amplifier instead. */
    private boolean amplified(String id, List<Port> sockets) {
        List<Hop> before = worn(id);
        return stock.ids().stream()
                .filter(this::isHeadphoneAmplifier)
                .sorted(Comparator.comparing(Missing::is))
                .anyMatch(amplifier -> plugs.instead(
                        before,
                        () -> plugs.join(
                                                outs(stock.device(id)),
                                                stock.ports(amplifier).inlets())
                                        .isPresent()
                                && Stream.concat(before.stream().map(hop -> List.of(hop.to())), Stream.of(sockets))
                                        .allMatch(worn -> plugs.join(outs(stock.device(amplifier)), worn)
                                                .isPresent())));
    }

    private boolean isHeadphoneAmplifier(String id) {
        return stock.has(id)
                && stock.device(id).kind() == DeviceKind.BOX
                && outs(stock.device(id)).size() > 1
                && !stock.ports(id).inlets().isEmpty();
    }

    /** How all headphones hear, once it is known what comes of all that is plugged. */
    Way.MonitorFeed monitoring(Expectation expected) {
        Set<String> speakers = Set.copyOf(heard.speakers());
        List<Way.MonitorFeed> each =
                headphones().map(head -> monitoring(head, expected, speakers)).toList();
        return each.isEmpty()
                ? new Way.MonitorFeed(Way.MonitorFeed.NO_HEADPHONES, expected.isDirect(speakers), 0, true)
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

    private static List<Port> outs(Device device) {
        return Port.each(device, HeadphonesPlan::isForHeadphones, 2);
    }

    private static boolean isForHeadphones(Socket socket) {
        return socket.signal() == SignalKind.HEADPHONE && !socket.way().word().equals("in");
    }

    /** What plays back can be listened to through the app, whatever else comes out there. */
    private Way.MonitorFeed monitoring(Device device, Device head, boolean canBeDirect) {
        boolean isDirect = canBeDirect && !(heard.through() == MonitorPath.APP && feeders.playsBack(device.id()));
        String where = head.name() + " on " + device.name();
        return isDirect
                ? new Way.MonitorFeed(where + ", direct", true, 0, heard.through() != MonitorPath.APP)
                : new Way.MonitorFeed(
                        where + ", through the app",
                        false,
                        THROUGH_AN_APP_MILLISECONDS,
                        heard.through() != MonitorPath.DIRECT);
    }
}
