package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;

/** Which leads of those that lie in the drawer join two sockets, and what would come of each. */
public final class Offers {
    private static final Comparator<Offer> BEST_FIRST = Comparator.comparingInt(
                    (Offer offer) -> -offer.checked().rank())
            .thenComparingInt(offer -> offer.leads().size())
            .thenComparingInt(offer -> offer.checked().findings().size())
            .thenComparingDouble(Offers::hum);

    private final List<Device> devices;
    private final List<Lead> owned;
    private final Set<String> used = new HashSet<>();

    /**
     * A way of joining two sockets.
     *
     * @param leads their marks, from the first socket on; empty where one goes straight into the other
     * @param pluggings what is plugged then
     * @param checked what would come of it
     */
    public record Offer(List<String> leads, List<Plugging> pluggings, JointRules.Checked checked) {
        public Offer {
            leads = List.copyOf(leads);
            pluggings = List.copyOf(pluggings);
        }

        /** "Lead 4, Little adapter"; empty where one goes straight into the other. */
        public String words() {
            return leads.stream()
                    .map(mark -> checked.patch().leads().get(mark).name())
                    .collect(Collectors.joining(", "));
        }
    }

    /**
     * The drawer.
     *
     * @param devices everything that may be joined
     * @param owned all leads, each as often as it is owned
     * @param plugged what is plugged already; leads in it are not offered
     */
    public Offers(List<Device> devices, List<Lead> owned, List<Plugging> plugged) {
        this.devices = List.copyOf(devices);
        this.owned = List.copyOf(owned);
        plugged.forEach(plugging -> {
            used.add(plugging.plug().item());
            used.add(plugging.socket().item());
        });
    }

    /** The best first; one of each kind of lead; two leads behind each other only where no single one will do and they do. */
    public List<Offer> between(Spot from, Spot to) {
        if (from.equals(to)) {
            return List.of();
        }
        List<Offer> offers = new ArrayList<>();
        straight(from, to).ifPresent(offers::add);
        List<String> free = owned.stream().flatMap(lead -> free(lead).stream()).toList();
        free.forEach(lead -> offer(from, List.of(lead), to).ifPresent(offers::add));
        boolean isEnough = offers.stream().anyMatch(offer -> !offer.checked().cannotWork());
        if (!isEnough) {
            // Of many leads few go into either socket: only those are tried with each other.
            List<String> lasts =
                    free.stream().filter(mark -> goesInto(mark, to)).toList();
            free.stream()
                    .filter(mark -> goesInto(mark, from))
                    .forEach(first -> lasts.stream()
                            .filter(last -> !last.equals(first))
                            .flatMap(last -> offer(from, List.of(first, last), to).stream())
                            .filter(offer -> !offer.checked().cannotWork())
                            .forEach(offers::add));
        }
        return offers.stream().sorted(BEST_FIRST).toList();
    }

    /** Whether some end of a lead goes into a socket. */
    private boolean goesInto(String mark, Spot socket) {
        Plugger plugger = new Plugger().with(mark, lead(mark)).with(socket.item(), device(socket.item()));
        return plugger.freeEnd(mark, socket).isPresent();
    }

    /** The mark of the first that is not in use, of several of a kind. */
    Optional<String> free(Lead lead) {
        return Spot.marks(lead).filter(mark -> !used.contains(mark)).findFirst();
    }

    private Optional<Offer> straight(Spot from, Spot to) {
        if (isInPanel(from) && isInPanel(to)) {
            return Optional.empty();
        }
        Patch patch = plugger(from, to).plug(from, to).patch();
        return patch.readings(patch.pluggings().get(0)).isEmpty()
                ? Optional.empty()
                : Optional.of(new Offer(List.of(), patch.pluggings(), JointRules.checkOne(patch)));
    }

    /** XLR pins sit in a panel, as sockets do; only of a barrel with one at each end they go straight into another device. */
    private boolean isInPanel(Spot spot) {
        Device device = device(spot.item());
        Connector connector = device.socket(spot.part()).orElseThrow().connector();
        return connector == Connector.XLR && device.sockets().size() != 2;
    }

    private Optional<Offer> offer(Spot from, List<String> chain, Spot to) {
        Plugger plugger = plugger(from, to);
        for (String mark : new LinkedHashSet<>(chain)) {
            plugger.with(mark, lead(mark));
        }
        try {
            Patch patch = plugger.join(from, chain, to).patch();
            return Optional.of(new Offer(chain, patch.pluggings(), JointRules.checkOne(patch)));
        } catch (IllegalArgumentException e) {
            // It does not go in.
            return Optional.empty();
        }
    }

    private Plugger plugger(Spot from, Spot to) {
        Plugger plugger = new Plugger();
        Stream.of(from, to).forEach(spot -> plugger.with(spot.item(), device(spot.item())));
        return plugger;
    }

    private Device device(String id) {
        return devices.stream()
                .filter(device -> device.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private Lead lead(String mark) {
        String kind = new Spot(mark, "a").kind();
        return owned.stream().filter(lead -> lead.id().equals(kind)).findFirst().orElseThrow();
    }

    /** Of the input where most of it is expected; a balanced lead has less. */
    private static double hum(Offer offer) {
        return offer.checked().hum().values().stream()
                .mapToDouble(hum -> hum.likely().dbu())
                .max()
                .orElse(0);
    }
}
