package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;

/** What has to be pulled out so that something else can be plugged in: whole leads, never one end of them. */
final class Replugging {
    private final Wiring present;
    private final Stock stock;

    Replugging(Wiring present, Stock stock) {
        this.present = present;
        this.stock = stock;
    }

    /** What is in the outputs of some sources. */
    List<Plugging> at(List<String> sources) {
        Set<Spot> outputs = sources.stream()
                .flatMap(id -> stock.ports(id).outlets().stream())
                .flatMap(port -> port.sockets().stream())
                .collect(Collectors.toSet());
        return whole(present.plugged().stream()
                .filter(plugging -> plugging.spots().stream().anyMatch(outputs::contains))
                .toList());
    }

    /** What is in the way of what is to be plugged: in the same holes, or with the same leads. */
    List<Plugging> inTheWayOf(List<Plugging> wanted) {
        Set<Object> taken = new HashSet<>();
        wanted.stream()
                .filter(plugging -> !present.plugged().contains(plugging))
                .flatMap(plugging -> plugging.spots().stream())
                .map(this::place)
                .forEach(taken::add);
        List<Plugging> gone = present.plugged().stream()
                .filter(plugging -> !wanted.contains(plugging))
                .filter(plugging -> plugging.spots().stream().map(this::place).anyMatch(taken::contains))
                .toList();
        return whole(gone).stream()
                .filter(plugging -> !wanted.contains(plugging))
                .toList();
    }

    /** Parted into what hangs together through leads and adapters. */
    static List<List<Plugging>> together(List<Plugging> pluggings, Predicate<String> isDevice) {
        List<List<Plugging>> groups = new ArrayList<>();
        for (Plugging plugging : pluggings) {
            Set<String> leads = leads(List.of(plugging), isDevice);
            List<Plugging> joined = new ArrayList<>();
            groups.removeIf(group -> {
                boolean isJoined = !Collections.disjoint(leads(group, isDevice), leads);
                if (isJoined) {
                    joined.addAll(group);
                }
                return isJoined;
            });
            joined.add(plugging);
            groups.add(joined);
        }
        return groups;
    }

    private static Set<String> leads(List<Plugging> pluggings, Predicate<String> isDevice) {
        return pluggings.stream()
                .flatMap(plugging -> plugging.spots().stream())
                .map(Spot::item)
                .filter(isDevice.negate())
                .collect(Collectors.toSet());
    }

    /** A hole of a device, or a lead as a whole. */
    private Object place(Spot spot) {
        if (!stock.has(spot.item())) {
            return spot.item();
        }
        Device device = stock.device(spot.item());
        Optional<String> opening =
                device.socket(spot.part()).flatMap(socket -> socket.ties().opening());
        return List.of(spot.item(), opening.isPresent() ? "hole " + opening.get() : spot.part());
    }

    private List<Plugging> whole(List<Plugging> some) {
        Set<Plugging> all = new LinkedHashSet<>(some);
        Set<String> leads = new HashSet<>();
        int before;
        do {
            before = all.size();
            all.stream()
                    .flatMap(plugging -> plugging.spots().stream())
                    .map(Spot::item)
                    .filter(item -> !stock.has(item))
                    .forEach(leads::add);
            present.plugged().stream()
                    .filter(plugging ->
                            plugging.spots().stream().map(Spot::item).anyMatch(leads::contains))
                    .forEach(all::add);
        } while (all.size() > before);
        return List.copyOf(all);
    }
}
