package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;

/** A joint with the shelf around it, on which changes are tried out. */
final class Trial {
    private final JointRules.Checked joint;
    private final Map<String, Device> devices;
    private final List<Lead> leads;
    private final Wiring wiring;
    private final Wiring without;
    private final Offers offers;
    private final Map<Patch, JointRules.Checked> known = new HashMap<>();

    Trial(JointRules.Checked joint, Map<String, Device> devices, List<Lead> leads, Wiring wiring) {
        this.joint = joint;
        this.devices = devices;
        this.leads = leads;
        this.wiring = wiring;
        this.without = wiring.unplugged(joint.patch().pluggings());
        this.offers = offers(without);
    }

    JointRules.Checked joint() {
        return joint;
    }

    Collection<Device> devices() {
        return devices.values();
    }

    Device device(Spot spot) {
        return devices.get(spot.item());
    }

    List<Lead> leads() {
        return leads;
    }

    /** All that is plugged. */
    Wiring wiring() {
        return wiring;
    }

    /** All that is plugged but this joint. */
    Wiring without() {
        return without;
    }

    /** The drawer with the leads of this joint in it. */
    Offers offers() {
        return offers;
    }

    final Offers offers(Wiring plugged) {
        return new Offers(List.copyOf(devices.values()), leads, plugged.plugged());
    }

    Optional<Offers.Offer> best(Spot from, Spot to) {
        return offers.between(from, to).stream().findFirst();
    }

    /** Sockets of the same device that are free and go the same way, those of the same kind and the nearest first. */
    Stream<Spot> beside(Spot spot) {
        Device device = devices.get(spot.item());
        Socket present = device.socket(spot.part()).orElseThrow();
        List<String> order = device.sockets().stream().map(Socket::id).toList();
        int here = order.indexOf(spot.part());
        return device.sockets().stream()
                .filter(socket -> !socket.id().equals(spot.part()) && socket.way() == present.way())
                .filter(socket -> without.isFree(device, socket))
                .sorted(Comparator.comparing((Socket socket) -> socket.signal() != present.signal())
                        .thenComparingInt(socket -> Math.abs(order.indexOf(socket.id()) - here)))
                .map(socket -> new Spot(spot.item(), socket.id()));
    }

    String name(Spot spot) {
        Device device = devices.get(spot.item());
        return device.socket(spot.part()).map(Socket::name).orElse(spot.part()) + " of " + device.name();
    }

    /** Goes by an offer instead. */
    Cure moved(String words, Offers.Offer offer) {
        return cure(
                Cure.Kind.SOCKET,
                words + (offer.leads().isEmpty() ? "" : ", with " + offer.words()),
                without.plugging(offer.pluggings()),
                offer.pluggings());
    }

    /**
     * A box between two sockets.
     *
     * @param in where it is entered
     * @param out where it is left
     */
    Stream<Cure> between(Ends ends, Device box, Spot in, Spot out) {
        return best(ends.from(), in).stream().flatMap(before -> {
            Wiring half = without.plugging(before.pluggings());
            return offers(half).between(out, ends.to()).stream().limit(1).map(behind -> {
                List<Plugging> all = new ArrayList<>(before.pluggings());
                all.addAll(behind.pluggings());
                return cure(
                        Cure.Kind.BOX,
                        "Put " + box.name() + " between" + with(before, " before it") + with(behind, " behind it"),
                        without.plugging(all),
                        all);
            });
        });
    }

    private static String with(Offers.Offer offer, String where) {
        return offer.leads().isEmpty() ? "" : ", " + offer.words() + where;
    }

    /** Tries it: computes the joints in which something is then plugged otherwise. */
    Cure cure(Cure.Kind kind, String words, Wiring after, Collection<Plugging> touched) {
        Function<String, Optional<Device>> device = id -> Optional.ofNullable(devices.get(id));
        Function<String, Optional<Lead>> lead =
                id -> leads.stream().filter(each -> each.id().equals(id)).findFirst();
        Patch whole = after.patch(device, lead);
        List<JointRules.Checked> alone = whole.parted().stream()
                .map(part -> known.computeIfAbsent(part, JointRules::alone))
                .toList();
        List<JointRules.Checked> joints = JointRules.together(whole, alone, devices.values()).stream()
                .filter(checked -> checked.patch().pluggings().stream().anyMatch(touched::contains))
                .toList();
        return new Cure(kind, words, Optional.of(after), joints);
    }
}
