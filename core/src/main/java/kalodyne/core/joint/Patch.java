package kalodyne.core.joint;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.SocketPower;
import kalodyne.core.units.Gain;

/**
 * Gear and leads as they are plugged together.
 *
 * @param devices by the marks under which pluggings know them
 * @param leads the same; of a lead that is there twice, each has a mark of its own
 * @param pluggings between spots that are there
 * @param busy sockets of these devices with something in them that is not among the pluggings
 * @param switched those switches of these devices of which it is known how they stand
 * @param mains how far apart the outlets are that all of it hangs on
 */
public record Patch(
        Map<String, Device> devices,
        Map<String, Lead> leads,
        List<Plugging> pluggings,
        Set<Spot> busy,
        List<Switched> switched,
        Mains mains) {
    public Patch {
        devices = new LinkedHashMap<>(devices);
        leads = new LinkedHashMap<>(leads);
        pluggings = List.copyOf(pluggings);
        busy = Set.copyOf(busy);
        switched = List.copyOf(switched);
        for (Plugging plugging : pluggings) {
            requireThere(plugging.plug(), devices, leads);
            requireThere(plugging.socket(), devices, leads);
        }
    }

    public Patch(
            Map<String, Device> devices,
            Map<String, Lead> leads,
            List<Plugging> pluggings,
            Set<Spot> busy,
            List<Switched> switched) {
        this(devices, leads, pluggings, busy, switched, Mains.UNKNOWN);
    }

    public Patch(Map<String, Device> devices, Map<String, Lead> leads, List<Plugging> pluggings) {
        this(devices, leads, pluggings, Set.of(), List.of(), Mains.UNKNOWN);
    }

    public Patch withSwitched(List<Switched> newSwitched) {
        return new Patch(devices, leads, pluggings, busy, newSwitched, mains);
    }

    /** With switches as they stand, as far as their devices are here. */
    public Patch withThoseSwitched(List<Switched> all) {
        return withSwitched(all.stream()
                .filter(each -> devices.containsKey(each.control().item()))
                .toList());
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

    public Connector connector(Spot spot) {
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

    /** Whether something is in it that belongs to this. */
    public boolean isPlugged(Spot spot) {
        return pluggings.stream()
                .anyMatch(plugging ->
                        plugging.plug().equals(spot) || plugging.socket().equals(spot));
    }

    /** Whether anything is in it. */
    public boolean isTaken(Spot spot) {
        return busy.contains(spot) || isPlugged(spot);
    }

    /** The same with its gear as the switches stand. */
    public Patch asSwitched() {
        if (switched.isEmpty()) {
            return this;
        }
        Map<String, Device> now = new LinkedHashMap<>();
        devices.forEach((id, device) -> now.put(id, SwitchedGear.of(id, device, switched)));
        return new Patch(now, leads, pluggings, busy, switched, mains);
    }

    // --- switches ----------------------------------------------------------------------------------------------

    /** The position of a switch, from 0 at its lowest; empty where nobody said. */
    public Optional<Integer> position(String device, DeviceControl control) {
        return standing(new Spot(device, control.id()))
                .map(control.positions()::indexOf)
                .filter(index -> index >= 0);
    }

    /** The position that a switch is known to stand at. */
    public Optional<String> standing(Spot control) {
        return Switched.standing(switched, control);
    }

    /** The automatic level of a device, unless it is known to be off. */
    public Optional<DeviceControl> automaticLevel(String device) {
        return devices.get(device).controls().stream()
                .filter(control -> control.kind() == ControlKind.AUTO_LEVEL)
                .filter(control -> !position(device, control).equals(Optional.of(0)))
                .findFirst();
    }

    /** What a switch adds as it stands; empty where nobody said, or where it has no gain. */
    Optional<Gain> switchedGain(String device, DeviceControl control) {
        return control.taper()
                .flatMap(taper -> position(device, control)
                        .map(index -> taper.at(
                                index / Math.max(1.0, control.positions().size() - 1))));
    }

    /** Whether it is known to be switched on. */
    public boolean isOn(Spot socket, SocketPower power) {
        return power.control()
                .flatMap(devices.get(socket.item())::control)
                .flatMap(control -> position(socket.item(), control))
                .filter(index -> index > 0)
                .isPresent();
    }

    /** Whether it is known to be switched off. What can be on and of which nobody said is taken as on. */
    public boolean isOff(Spot socket, SocketPower power) {
        return power.control()
                .flatMap(devices.get(socket.item())::control)
                .flatMap(control -> position(socket.item(), control))
                .filter(index -> index == 0)
                .isPresent();
    }

    /** The switches that matter to what comes into or out of the sockets here. */
    public List<Spot> switches() {
        Set<String> passing = passages().stream()
                .flatMap(passage -> passage.stage().controls().stream()
                        .map(id -> passage.in().item() + " " + id))
                .collect(Collectors.toSet());
        return devices.entrySet().stream()
                .flatMap(entry -> entry.getValue().controls().stream()
                        .filter(control -> !control.positions().isEmpty())
                        .filter(control -> passing.contains(entry.getKey() + " " + control.id())
                                || isFeeding(entry.getKey(), control)
                                || isChoosing(entry.getKey(), control)
                                || isLifting(entry.getKey(), control))
                        .map(control -> new Spot(entry.getKey(), control.id())))
                .toList();
    }

    private boolean isFeeding(String device, DeviceControl control) {
        return devices.get(device).sockets().stream()
                .filter(socket -> isPlugged(new Spot(device, socket.id())))
                .flatMap(socket -> socket.power().stream())
                .anyMatch(power -> power.control().filter(control.id()::equals).isPresent());
    }

    /** Whether it makes something else of a socket here, or leaves it out. */
    private boolean isChoosing(String id, DeviceControl control) {
        Device device = devices.get(id);
        return device.sockets().stream()
                .filter(socket -> isPlugged(new Spot(id, socket.id())))
                .anyMatch(socket -> SwitchedGear.choosing(device, socket).anyMatch(control::equals)
                        || InputSwitch.leavingOut(device, socket, each -> Optional.of(""))
                                .filter(control::equals)
                                .isPresent());
    }

    private boolean isLifting(String device, DeviceControl control) {
        return control.kind() == ControlKind.GROUND_LIFT
                && devices.get(device).sockets().stream()
                        .anyMatch(socket -> socket.way() == Direction.OUT && isPlugged(new Spot(device, socket.id())));
    }

    /** Windings and dividers that something comes into. */
    List<Passage> passages() {
        return devices.entrySet().stream()
                .flatMap(entry -> Passage.of(entry.getKey(), entry.getValue()).stream())
                .filter(passage -> isReached(passage.in()))
                .toList();
    }

    /** Whether something is plugged into a socket or into another one that is wired to it. */
    private boolean isReached(Spot spot) {
        return devices.get(spot.item()).sockets().stream()
                .map(socket -> new Spot(spot.item(), socket.id()))
                .anyMatch(other -> isPlugged(other) && (other.equals(spot) || isWired(spot, other)));
    }

    /** Whether a device wires two of its sockets straight to each other. */
    boolean isWired(Spot one, Spot other) {
        return isParallel(one, other) || isParallel(other, one);
    }

    private boolean isParallel(Spot one, Spot other) {
        return one.item().equals(other.item())
                && socket(one)
                        .flatMap(socket -> socket.ties().parallelTo())
                        .filter(other.part()::equals)
                        .isPresent();
    }

    // --- parting -----------------------------------------------------------------------------------------------

    /**
     * The parts that hang together through leads, each as a patch with the devices at its ends: a current in one has nothing to
     * do with the others.
     */
    public List<Patch> parted() {
        Map<String, Set<Plugging>> groups = new LinkedHashMap<>();
        pluggings.forEach(plugging -> join(groups, Set.of(plugging), plugging.plug(), plugging.socket()));
        passages().forEach(passage -> join(groups, Set.of(), passage.in(), passage.out()));
        return new LinkedHashSet<>(groups.values())
                .stream().map(group -> only(group)).toList();
    }

    private void join(Map<String, Set<Plugging>> groups, Set<Plugging> more, Spot one, Spot other) {
        Set<Plugging> joined = new LinkedHashSet<>(groups.getOrDefault(key(one), Set.of()));
        joined.addAll(groups.getOrDefault(key(other), Set.of()));
        joined.addAll(more);
        joined.stream().flatMap(each -> each.spots().stream()).forEach(spot -> groups.put(key(spot), joined));
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

    /** What is plugged with the gear that it takes, of more gear and leads. */
    public static Patch of(Map<String, Device> devices, Map<String, Lead> leads, List<Plugging> pluggings) {
        Map<String, Device> someDevices = new LinkedHashMap<>();
        Map<String, Lead> someLeads = new LinkedHashMap<>();
        for (Plugging plugging : pluggings) {
            for (Spot spot : plugging.spots()) {
                if (devices.containsKey(spot.item())) {
                    someDevices.put(spot.item(), devices.get(spot.item()));
                } else {
                    someLeads.put(spot.item(), leads.get(spot.item()));
                }
            }
        }
        return new Patch(someDevices, someLeads, List.copyOf(new LinkedHashSet<>(pluggings)));
    }

    private Patch only(Set<Plugging> group) {
        Patch some = of(devices, leads, List.copyOf(group));
        Set<Spot> elsewhere = new LinkedHashSet<>(busy);
        pluggings.stream()
                .filter(plugging -> !group.contains(plugging))
                .flatMap(plugging -> plugging.spots().stream())
                .forEach(elsewhere::add);
        elsewhere.removeIf(spot -> !some.devices.containsKey(spot.item()));
        List<Switched> known = switched.stream()
                .filter(each -> some.devices.containsKey(each.control().item()))
                .toList();
        return new Patch(some.devices, some.leads, some.pluggings, elsewhere, known, Mains.UNKNOWN);
    }
}
