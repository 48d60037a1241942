package kalodyne.core.route;

import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;

/** The devices that may take part in a way, those that one could get among them; what each of them can do is worked out once. */
final class Stock {
    private final Wiring present;
    private final Map<String, Device> devices = new LinkedHashMap<>();
    private final Map<String, Ports> ports = new HashMap<>();
    private final Map<List<Object>, Integer> kinds = new HashMap<>();
    private final Map<String, Integer> kindOf = new HashMap<>();

    /**
     * A stock.
     *
     * @param present what is plugged already: a device that it touches does not do what others do
     */
    Stock(Collection<Device> devices, Wiring present) {
        this.present = present;
        Set<String> plugged = Planner.used(present);
        for (Device device : devices) {
            this.devices.put(device.id(), device);
            kindOf.put(
                    device.id(),
                    kinds.computeIfAbsent(
                            List.of(plain(device), plugged.contains(device.id()) ? device.id() : ""),
                            each -> kinds.size()));
        }
    }

    /** Without what tells a device from others that do the same. */
    static List<Object> plain(Device device) {
        return List.of(
                device.kind(),
                device.sockets(),
                device.stages(),
                device.controls(),
                device.powering(),
                device.bitDepths(),
                device.driver(),
                device.facts());
    }

    Device device(String id) {
        return devices.get(id);
    }

    boolean has(String id) {
        return devices.containsKey(id);
    }

    String name(String id) {
        return devices.get(id).name();
    }

    Set<String> ids() {
        return Collections.unmodifiableSet(devices.keySet());
    }

    Map<String, Device> devices() {
        return Collections.unmodifiableMap(devices);
    }

    /** The same number for devices that are alike. */
    int kind(String id) {
        return kindOf.get(id);
    }

    Ports ports(String id) {
        return ports.computeIfAbsent(id, each -> new Ports(devices.get(each)));
    }

    /** Into how many sockets of a port something is plugged now. */
    long taken(Port port) {
        Device device = devices.get(port.device());
        return port.parts().stream()
                .filter(part -> !present.isFree(device, device.socket(part).orElseThrow()))
                .count();
    }

    boolean isBalanced(Spot spot) {
        return devices.get(spot.item())
                .socket(spot.part())
                .flatMap(Socket::balance)
                .filter(balance -> balance != Balance.UNBALANCED)
                .isPresent();
    }

    Inside inside(String id) {
        return ports(id).inside();
    }
}
