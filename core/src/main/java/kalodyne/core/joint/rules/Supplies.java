package kalodyne.core.joint.rules;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.LeadPath;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Current;

/**
 * What feeds what over USB in a whole rig: a supply is only what is itself supplied. A hub or adapter without a supply of its own passes
 * on what its charging socket gets, or else what is left of what the phone or computer gives it. USB 2.0, from memory: devices draw what
 * they draw whatever the voltage; a port holds 4.75 V, and a device wants 4.4 V at its own end.
 */
final class Supplies {
    private static final double PORT_VOLTS = 4.75;
    private static final double LEAST_VOLTS = 4.4;

    /** Power and ground, there and back. */
    private static final int WIRES = 2;

    private final Patch patch;
    private final Contacts contacts;
    private final Map<String, Spot> upstream;

    private Supplies(Patch patch, Contacts contacts) {
        this.patch = patch;
        this.contacts = contacts;
        this.upstream = upstream();
    }

    static Supplies of(Patch patch) {
        return of(patch, Contacts.of(patch));
    }

    /**
     * The same.
     *
     * @param contacts what is led to what in that rig
     */
    static Supplies of(Patch patch, Contacts contacts) {
        return new Supplies(patch, contacts);
    }

    /** Every port that feeds something. */
    List<BusLoad> loads() {
        return digital()
                .filter(spot -> socket(spot).has(PowerKind.BUS, PowerRole.GIVES))
                .filter(spot -> socket(spot).busSupply().isPresent())
                .map(port -> new BusLoad(port, drawn(port), available(port), living(port)))
                .filter(load -> load.drawnAmperes() > 0)
                .toList();
    }

    /** Sockets by which devices hang on power, of those that run on nothing else, with nothing behind them that gives any. */
    List<Spot> unfed() {
        return digital()
                .filter(spot -> needs(spot).isPresent() && hasOnlyBus(device(spot)))
                .filter(spot -> feeders(spot).findAny().isEmpty())
                .toList();
    }

    /** What is left of a port's voltage at a device's own end; empty where that is enough, or nobody feeds it. */
    Optional<Double> tooLow(Spot fed) {
        return needs(fed)
                .filter(amperes -> livesOnBus(device(fed)))
                .flatMap(amperes -> feeders(fed)
                        .findFirst()
                        .flatMap(port -> LeadPath.between(patch, port, fed))
                        .map(path -> PORT_VOLTS - amperes * ohms(path)))
                .filter(volts -> volts < LEAST_VOLTS);
    }

    private static double ohms(LeadPath path) {
        return path.leads().stream()
                .mapToDouble(lead -> WIRES
                        * lead.metres()
                        * lead.facts()
                                .quantity(Fact.CORE_RESISTANCE)
                                .map(each -> each.ohms())
                                .orElse(0.0))
                .sum();
    }

    /** All sockets that power or data can go through and that something is plugged into. */
    Stream<Spot> digital() {
        return patch.devices().entrySet().stream()
                .flatMap(entry -> entry.getValue().sockets().stream()
                        .filter(socket -> socket.signal() == SignalKind.DIGITAL)
                        .map(socket -> new Spot(entry.getKey(), socket.id())))
                .filter(patch::isPlugged);
    }

    private Socket socket(Spot spot) {
        return patch.socket(spot).orElseThrow();
    }

    private Device device(Spot spot) {
        return patch.devices().get(spot.item());
    }

    /** Ports to which the power contact of a socket is led and that give power. */
    private Stream<Spot> feeders(Spot spot) {
        return contacts.led(spot, Carries.POWER).stream()
                .filter(other -> !other.item().equals(spot.item()))
                .filter(other -> socket(other).has(PowerKind.BUS, PowerRole.GIVES));
    }

    private Optional<Double> needs(Spot spot) {
        return socket(spot).power().stream()
                .filter(power -> power.kind() == PowerKind.BUS && power.role() == PowerRole.NEEDS)
                .flatMap(power -> power.facts().quantity(Fact.SUPPLY_CURRENT).stream())
                .map(Current::amperes)
                .findFirst();
    }

    /** Whether a device usually runs on nothing else. */
    static boolean livesOnBus(Device device) {
        return device.kind() != DeviceKind.HUB
                && !device.powering().isEmpty()
                && device.powering().get(0).source() == PowerSource.BUS;
    }

    /** Whether a device can run on nothing else. */
    static boolean hasOnlyBus(Device device) {
        return livesOnBus(device)
                && device.powering().stream().allMatch(powering -> powering.source() == PowerSource.BUS);
    }

    /** Whether what a device gives comes to it over USB: a hub or adapter that has no supply. */
    private static boolean passesOn(Device device) {
        boolean hasOwn = device.powering().stream().anyMatch(powering -> powering.source() != PowerSource.BUS);
        boolean isFed = device.sockets().stream().anyMatch(socket -> socket.has(PowerKind.BUS, PowerRole.NEEDS));
        return !hasOwn && isFed;
    }

    // --- along the chain ---------------------------------------------------------------------------------------

    /** From the phones and computers on: by which socket each hub or adapter hangs on them. */
    private Map<String, Spot> upstream() {
        Map<String, Spot> found = new LinkedHashMap<>();
        Deque<Spot> open = new ArrayDeque<>();
        digital().filter(spot -> device(spot).kind().isHost()).forEach(open::add);
        while (!open.isEmpty()) {
            for (Spot there : contacts.led(open.poll(), Carries.POWER)) {
                boolean isNew = passesOn(device(there)) && !found.containsKey(there.item());
                if (isNew) {
                    found.put(there.item(), there);
                    digital()
                            .filter(spot -> spot.item().equals(there.item()) && !spot.equals(there))
                            .forEach(open::add);
                }
            }
        }
        return found;
    }

    /** Whether something feeds a hub by another socket than the one by which it hangs on the computer. */
    private boolean isCharged(String hub) {
        return digital()
                .filter(spot -> spot.item().equals(hub) && !spot.equals(upstream.get(hub)))
                .filter(spot -> needs(spot).isPresent())
                .anyMatch(spot -> feeders(spot).findAny().isPresent());
    }

    /** What is drawn at a port by all that hangs on it. */
    private double drawn(Spot port) {
        double sum = 0;
        for (Spot fed : contacts.led(port, Carries.POWER)) {
            if (!fed.item().equals(port.item())) {
                sum += needs(fed).orElse(0.0);
                if (fed.equals(upstream.get(fed.item())) && !isCharged(fed.item())) {
                    sum += digital()
                            .filter(spot -> spot.item().equals(fed.item()) && !spot.equals(fed))
                            .filter(spot -> socket(spot).has(PowerKind.BUS, PowerRole.GIVES))
                            .mapToDouble(this::drawn)
                            .sum();
                }
            }
        }
        return sum;
    }

    /** What a port can give: what is printed, but no more than gets to its device where that has no supply. */
    private double available(Spot port) {
        double printed = socket(port).busSupply().map(Current::amperes).orElse(0.0);
        if (!passesOn(device(port)) || isCharged(port.item())) {
            return printed;
        }
        Spot up = upstream.get(port.item());
        if (up == null || up.equals(port)) {
            // Nothing is said yet of what it hangs on.
            return printed;
        }
        double got = feeders(up).mapToDouble(this::available).max().orElse(0);
        return Math.min(printed, Math.max(0, got - needs(up).orElse(0.0)));
    }

    private List<Spot> living(Spot port) {
        Set<String> devices = new HashSet<>();
        return contacts.led(port, Carries.POWER).stream()
                .filter(spot -> needs(spot).isPresent() && livesOnBus(device(spot)))
                .filter(spot -> devices.add(spot.item()))
                .toList();
    }
}
