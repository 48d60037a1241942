package kalodyne.core.joint;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;

/**
 * How gear and leads are plugged together; of gear that is, or was, on the shelf.
 *
 * @param plugged what goes into what
 * @param switches how switches stand, of those of which it is known; each once
 * @param mains how far apart the outlets are that the gear hangs on
 */
public record Wiring(List<Plugging> plugged, List<Switched> switches, Mains mains) {
    public static final Wiring NONE = new Wiring(List.of(), List.of());

    public Wiring(List<Plugging> plugged, List<Switched> switches) {
        this(plugged, switches, Mains.UNKNOWN);
    }

    public Wiring {
        plugged = List.copyOf(plugged);
        switches = List.copyOf(switches);
    }

    public Wiring withPlugged(List<Plugging> newPlugged) {
        return new Wiring(newPlugged, switches, mains);
    }

    /** With outlets so far apart. */
    public Wiring with(Mains newMains) {
        return new Wiring(plugged, switches, newMains);
    }

    /** With a switch that stands so, whatever was known of it. */
    public Wiring with(Switched now) {
        return new Wiring(
                plugged,
                Stream.concat(without(now.control()).stream(), Stream.of(now)).toList(),
                mains);
    }

    /** The position that a switch is known to stand at. */
    public Optional<String> standing(Spot control) {
        return Switched.standing(switches, control);
    }

    /** With a switch of which nobody knows how it stands. */
    public Wiring forgetting(Spot control) {
        return new Wiring(plugged, without(control), mains);
    }

    private List<Switched> without(Spot control) {
        return switches.stream().filter(each -> !each.control().equals(control)).toList();
    }

    /** Without some of what is plugged. */
    public Wiring unplugged(Collection<Plugging> away) {
        return withPlugged(plugged.stream().filter(each -> !away.contains(each)).toList());
    }

    public Wiring plugging(List<Plugging> more) {
        return withPlugged(Stream.concat(plugged.stream(), more.stream()).toList());
    }

    /** All ends and sockets that are in use. */
    public Set<Spot> spots() {
        return plugged.stream().flatMap(plugging -> plugging.spots().stream()).collect(Collectors.toSet());
    }

    /** Whether nothing is plugged into a socket of a device, or into another one that is the same hole. */
    public boolean isFree(Device device, Socket socket) {
        Set<Spot> taken = spots();
        return device.sockets().stream()
                .filter(other -> other.id().equals(socket.id()) || other.isSameHole(socket))
                .noneMatch(other -> taken.contains(new Spot(device.id(), other.id())));
    }

    /** The gear and leads that are plugged; what is no longer on the shelf is left out. */
    public Patch patch(Function<String, Optional<Device>> device, Function<String, Optional<Lead>> lead) {
        return patch(device, lead, List.of());
    }

    /**
     * The same with what is used though nothing is plugged into it.
     *
     * @param device the device of a mark
     * @param lead the lead of a mark
     * @param byThemselves what is used though nothing is plugged into it
     */
    public Patch patch(
            Function<String, Optional<Device>> device,
            Function<String, Optional<Lead>> lead,
            Collection<Device> byThemselves) {
        Map<String, Device> devices = new LinkedHashMap<>();
        Map<String, Lead> leads = new LinkedHashMap<>();
        List<Plugging> there = new ArrayList<>();
        for (Plugging plugging : plugged) {
            List<Spot> spots = plugging.spots();
            if (spots.stream().allMatch(spot -> isThere(spot, device, lead))) {
                there.add(plugging);
                for (Spot spot : spots) {
                    device.apply(spot.item()).ifPresent(it -> devices.put(spot.item(), it));
                    lead.apply(spot.kind()).ifPresent(it -> leads.put(spot.item(), it));
                }
            }
        }
        byThemselves.forEach(each -> devices.putIfAbsent(each.id(), each));
        List<Switched> known = switches.stream()
                .filter(each -> devices.containsKey(each.control().item()))
                .toList();
        return new Patch(devices, leads, there, Set.of(), known, mains);
    }

    private static boolean isThere(
            Spot spot, Function<String, Optional<Device>> device, Function<String, Optional<Lead>> lead) {
        return device.apply(spot.item()).flatMap(it -> it.socket(spot.part())).isPresent()
                || lead.apply(spot.kind()).stream()
                        .flatMap(it -> it.ends().stream())
                        .anyMatch(end -> end.id().equals(spot.part()));
    }

    /** Both; where both know how a switch stands, the other one is right. */
    public Wiring joined(Wiring other) {
        List<Plugging> both = Stream.concat(plugged.stream(), other.plugged.stream())
                .distinct()
                .toList();
        Wiring joined = new Wiring(both, switches, other.mains == Mains.UNKNOWN ? mains : other.mains);
        for (Switched now : other.switches) {
            joined = joined.with(now);
        }
        return joined;
    }

    /** The same with the marks of gear changed. */
    public Wiring renamed(Function<Spot, Spot> anew) {
        List<Plugging> everything = new ArrayList<>();
        plugged.forEach(each -> everything.add(new Plugging(anew.apply(each.plug()), anew.apply(each.socket()))));
        return new Wiring(
                everything,
                switches.stream()
                        .map(each -> new Switched(anew.apply(each.control()), each.at()))
                        .toList(),
                mains);
    }
}
