package kalodyne.core.joint;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Socket;

/**
 * Gear and leads as they are plugged together.
 *
 * @param devices by the marks under which pluggings know them
 * @param leads the same; of a lead that is there twice, each has a mark of its own
 * @param pluggings between spots that are there
 */
public record Patch(Map<String, Device> devices, Map<String, Lead> leads, List<Plugging> pluggings) {
    public Patch {
        devices = new LinkedHashMap<>(devices);
        leads = new LinkedHashMap<>(leads);
        pluggings = List.copyOf(pluggings);
        for (Plugging plugging : pluggings) {
            requireThere(plugging.plug(), devices, leads);
            requireThere(plugging.socket(), devices, leads);
        }
    }

    private static void requireThere(Spot spot, Map<String, Device> devices, Map<String, Lead> leads) {
        Device device = devices.get(spot.item());
        Lead lead = leads.get(spot.item());
        boolean isThere = device != null
                ? device.socket(spot.part()).isPresent()
                : lead != null && lead.ends().stream().anyMatch(end -> end.id().equals(spot.part()));
        if (!isThere) {
            throw new IllegalArgumentException("there is nothing “" + spot.write() + "” to plug");
        }
    }

    public Optional<Socket> socket(Spot spot) {
        return Optional.ofNullable(devices.get(spot.item())).flatMap(device -> device.socket(spot.part()));
    }

    public Optional<LeadEnd> end(Spot spot) {
        return Optional.ofNullable(leads.get(spot.item()))
                .flatMap(lead -> lead.ends().stream()
                        .filter(end -> end.id().equals(spot.part()))
                        .findFirst());
    }

    Connector connector(Spot spot) {
        return socket(spot)
                .map(Socket::connector)
                .orElseGet(() -> end(spot).orElseThrow().connector());
    }

    Form form(Spot spot) {
        return socket(spot)
                .map(Socket::form)
                .orElseGet(() -> end(spot).orElseThrow().form());
    }

    /** How it may be that a plug sits in its socket; empty where it does not go in. */
    public List<Mating.Reading> readings(Plugging plugging) {
        boolean isPlugInSocket = form(plugging.plug()) == Form.PLUG && form(plugging.socket()) == Form.SOCKET;
        return isPlugInSocket ? Mating.of(connector(plugging.plug()), connector(plugging.socket())) : List.of();
    }

    /** What is at a spot, in words: "Lead 7's 6.35 mm two-pole plug". */
    public String words(Spot spot) {
        return socket(spot)
                .map(socket -> devices.get(spot.item()).name() + ", " + socket.name() + " ("
                        + socket.connector().word() + ")")
                .orElseGet(() -> leads.get(spot.item()).name() + "'s "
                        + end(spot).orElseThrow().words());
    }

    boolean isPlugged(Spot spot) {
        return pluggings.stream()
                .anyMatch(plugging ->
                        plugging.plug().equals(spot) || plugging.socket().equals(spot));
    }

    /**
     * The parts that hang together through leads, each as a patch with the devices at its ends: a current in one has nothing to
     * do with the others.
     */
    public List<Patch> parted() {
        Map<String, Set<Plugging>> groups = new LinkedHashMap<>();
        for (Plugging plugging : pluggings) {
            Set<Plugging> joined = new LinkedHashSet<>();
            for (String key : List.of(key(plugging.plug()), key(plugging.socket()))) {
                joined.addAll(groups.getOrDefault(key, Set.of()));
            }
            joined.add(plugging);
            joined.stream()
                    .flatMap(each -> Stream.of(each.plug(), each.socket()))
                    .forEach(spot -> groups.put(key(spot), joined));
        }
        return new LinkedHashSet<>(groups.values())
                .stream().map(group -> only(group)).toList();
    }

    /** All ends of a lead hang together, and so do all sockets that a device wires to each other; others do not. */
    private String key(Spot spot) {
        if (leads.containsKey(spot.item())) {
            return spot.item();
        }
        String parallel =
                socket(spot).flatMap(socket -> socket.ties().parallelTo()).orElse(spot.part());
        return spot.item() + "." + parallel;
    }

    private Patch only(Set<Plugging> group) {
        Map<String, Device> someDevices = new LinkedHashMap<>();
        Map<String, Lead> someLeads = new LinkedHashMap<>();
        group.stream().flatMap(each -> Stream.of(each.plug(), each.socket())).forEach(spot -> {
            if (devices.containsKey(spot.item())) {
                someDevices.put(spot.item(), devices.get(spot.item()));
            } else {
                someLeads.put(spot.item(), leads.get(spot.item()));
            }
        });
        return new Patch(someDevices, someLeads, List.copyOf(group));
    }
}
