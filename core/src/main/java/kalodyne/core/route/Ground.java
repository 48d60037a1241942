package kalodyne.core.route;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.gear.catalogue.Profile;
import kalodyne.core.joint.Wiring;

/**
 * What there is to look for ways among: what is owned, what one could get, and what is plugged already.
 *
 * @param used marks of leads that are not free
 */
record Ground(Stock stock, Hops hops, Present present, Set<String> used) {
    private static final Set<DeviceKind> TO_GET =
            EnumSet.of(DeviceKind.BOX, DeviceKind.HUB, DeviceKind.PREAMP, DeviceKind.INTERFACE, DeviceKind.MIDI);

    static Ground of(Wish wish, List<Device> owned, List<Lead> leads, Catalogue catalogue, Wiring taken) {
        Replugging replugging = new Replugging(taken, new Stock(owned, Wiring.NONE));
        Wiring others = taken.unplugged(replugging.at(wish.sources()));
        Wiring stays = wish.extras().isBeside() ? others : Wiring.NONE;
        Set<String> used = Planner.used(stays);
        List<Device> all = new ArrayList<>(some(wish, owned, Planner.used(others)));
        catalogue.devices().stream()
                .map(Profile::gear)
                .filter(device -> TO_GET.contains(device.kind()))
                .map(device -> device.withId(Missing.mark(device.id())))
                .forEach(all::add);
        Stock stock = new Stock(all, others);
        List<Lead> shop = catalogue.leadsToGet();
        Hops hops = new Hops(
                stock,
                Drawer.of(leads, used, Planner.used(others), shop),
                leads,
                wish.first() == Priority.ORDINARY_LEADS || wish.then() == Priority.ORDINARY_LEADS);
        List<Hop> there = Plugged.hops(stock, hops.leads(), others).stream()
                .filter(hop -> Faults.worst(hops.joints(hop.made().pluggings())) != Faults.Grade.FATAL)
                .toList();
        return new Ground(stock, hops, new Present(stays, there, replugging), used);
    }

    /**
     * Both ends, and what may stand between: of devices that are alike as many as there are sources, and those that are plugged.
     *
     * @param touched marks of what is plugged
     */
    private static List<Device> some(Wish wish, List<Device> owned, Set<String> touched) {
        Set<String> ends = new HashSet<>(wish.sources());
        ends.add(wish.target());
        ends.addAll(wish.heard().headphones());
        ends.addAll(wish.extras().by());
        ends.addAll(wish.heard().speakers());
        Map<List<Object>, Integer> alike = new HashMap<>();
        return Stream.concat(
                        owned.stream().filter(device -> ends.contains(device.id())),
                        owned.stream()
                                .filter(device -> !ends.contains(device.id()))
                                .filter(device -> touched.contains(device.id())
                                        || alike.merge(Stock.plain(device), 1, Integer::sum)
                                                <= wish.sources().size()))
                .toList();
    }
}
