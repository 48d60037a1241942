package kalodyne.core.joint.rules;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Way;
import kalodyne.core.joint.Plugger;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Sounding;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;

/** What would make a joint better, of what one owns: every change is tried out on the circuit before it is told. */
public final class Cures {
    private static final int MOST = 5;
    private static final int MOST_OF_A_KIND = 2;
    private static final int MOST_TO_COMPARE = 6;

    private final Map<String, Device> devices = new LinkedHashMap<>();
    private final List<Lead> leads;
    private final List<Lead> shop;
    private final Wiring wiring;

    /**
     * The shelf, and what is plugged.
     *
     * @param shop leads that one could get; told only where nothing owned does it
     */
    public Cures(List<Device> devices, List<Lead> leads, List<Lead> shop, Wiring wiring) {
        devices.forEach(device -> this.devices.put(device.id(), device));
        this.leads = List.copyOf(leads);
        this.shop = List.copyOf(shop);
        this.wiring = wiring;
    }

    /** The best first; nothing where nothing is wrong, or where nothing helps. */
    public List<Cure> of(JointRules.Checked joint) {
        if (joint.worst().isEmpty()) {
            return List.of();
        }
        List<Cure> all = new ArrayList<>(switches(joint));
        Optional<Ends> ends = Ends.of(joint);
        ends.ifPresent(two -> {
            all.addAll(otherLeads(joint, two, MOST_OF_A_KIND));
            all.addAll(otherSockets(joint, two));
            all.addAll(bothSides(joint, two));
            all.addAll(boxes(joint, two));
        });
        // What would have to be got is told only where it does better than all that is there.
        int owned = better(joint, all).mapToInt(Cure::rank).max().orElse(0);
        ends.stream()
                .flatMap(two -> toGet(two).stream())
                .filter(cure -> cure.rank() > owned)
                .forEach(all::add);
        List<Cure> best = new ArrayList<>();
        better(joint, all)
                .sorted(Cure.BEST_FIRST)
                .filter(cure ->
                        best.stream().filter(each -> each.kind() == cure.kind()).count() < MOST_OF_A_KIND)
                .forEach(best::add);
        return best.stream().limit(MOST).toList();
    }

    /** What is better, and behind it the other leads that fit, to compare with. */
    public List<Cure> alternatives(JointRules.Checked joint) {
        List<Cure> all = new ArrayList<>(of(joint));
        Set<Wiring> known = new HashSet<>(Set.of(wiring));
        all.forEach(cure -> cure.wiring().ifPresent(known::add));
        Ends.of(joint).stream()
                .flatMap(ends -> otherLeads(joint, ends, MOST_TO_COMPARE).stream())
                .filter(cure -> known.add(cure.wiring().orElseThrow()))
                .forEach(all::add);
        return all;
    }

    private static Stream<Cure> better(JointRules.Checked joint, List<Cure> cures) {
        return cures.stream().filter(cure -> cure.isBetterThan(joint));
    }

    /** The two sockets of a joint that has no others. */
    private record Ends(Spot from, Spot to) {
        static Optional<Ends> of(JointRules.Checked joint) {
            List<Spot> sockets = joint.patch().pluggings().stream()
                    .flatMap(plugging -> Stream.of(plugging.plug(), plugging.socket()))
                    .filter(spot -> joint.patch().socket(spot).isPresent())
                    .distinct()
                    .toList();
            if (sockets.size() != 2) {
                return Optional.empty();
            }
            Optional<Spot> giving = joint.circuit().soundings().stream()
                    .map(Sounding::socket)
                    .filter(spot -> joint.patch().socket(spot).orElseThrow().way() == Way.OUT)
                    .findFirst();
            Spot from = giving.orElse(sockets.get(0));
            return Optional.of(new Ends(from, sockets.get(0).equals(from) ? sockets.get(1) : sockets.get(0)));
        }
    }

    // --- switches ----------------------------------------------------------------------------------------------

    private List<Cure> switches(JointRules.Checked joint) {
        return joint.patch().devices().entrySet().stream()
                .flatMap(entry -> entry.getValue().controls().stream()
                        .filter(control ->
                                control.kind() == ControlKind.PHANTOM || control.kind() == ControlKind.GROUND_LIFT)
                        .flatMap(control -> control.positions().stream().map(at -> {
                            Switched now = new Switched(new Spot(entry.getKey(), control.id()), at);
                            return cure(
                                    Cure.Kind.SWITCH,
                                    "Switch " + control.name() + " of "
                                            + entry.getValue().name() + " to “" + at + "”",
                                    wiring.with(now),
                                    joint.patch().pluggings());
                        })))
                .toList();
    }

    // --- leads -------------------------------------------------------------------------------------------------

    private Wiring without(JointRules.Checked joint) {
        return wiring.unplugged(joint.patch().pluggings());
    }

    private Offers offers(JointRules.Checked joint) {
        return new Offers(List.copyOf(devices.values()), leads, without(joint).plugged());
    }

    private List<Cure> otherLeads(JointRules.Checked joint, Ends ends, int most) {
        String present = names(joint.patch().leads().values());
        return offers(joint).between(ends.from(), ends.to()).stream()
                .filter(offer -> !offer.words().equals(present))
                .limit(most)
                .map(offer -> cure(
                        Cure.Kind.LEAD,
                        offer.leads().isEmpty()
                                ? "Plug it straight in, without " + present
                                : "Use " + offer.words() + (present.isEmpty() ? "" : " instead of " + present),
                        without(joint).plugging(offer.pluggings()),
                        offer.pluggings()))
                .toList();
    }

    private static String names(Collection<Lead> leads) {
        return leads.stream().map(Lead::name).collect(Collectors.joining(", "));
    }

    private List<Cure> toGet(Ends ends) {
        return new Offers(List.copyOf(devices.values()), shop, List.of())
                .between(ends.from(), ends.to()).stream()
                        .limit(1)
                        .map(offer -> new Cure(
                                Cure.Kind.GET, "Get: " + offer.words(), Optional.empty(), List.of(offer.checked())))
                        .toList();
    }

    // --- other sockets -----------------------------------------------------------------------------------------

    private List<Cure> otherSockets(JointRules.Checked joint, Ends ends) {
        Stream<Cure> into = beside(joint, ends.to())
                .flatMap(to ->
                        best(joint, ends.from(), to).map(offer -> moved(joint, "Go into " + name(to), offer)).stream());
        Stream<Cure> from = beside(joint, ends.from())
                .flatMap(out ->
                        best(joint, out, ends.to())
                                .map(offer -> moved(joint, "Come from " + name(out), offer))
                                .stream());
        return Stream.concat(into, from).toList();
    }

    private Cure moved(JointRules.Checked joint, String words, Offers.Offer offer) {
        return cure(
                Cure.Kind.SOCKET,
                words + (offer.leads().isEmpty() ? "" : ", with " + offer.words()),
                without(joint).plugging(offer.pluggings()),
                offer.pluggings());
    }

    private Optional<Offers.Offer> best(JointRules.Checked joint, Spot from, Spot to) {
        return offers(joint).between(from, to).stream().findFirst();
    }

    /** Sockets of the same device that are free and go the same way, those of the same kind and the nearest first. */
    private Stream<Spot> beside(JointRules.Checked joint, Spot spot) {
        Device device = devices.get(spot.item());
        Socket present = device.socket(spot.part()).orElseThrow();
        Wiring free = without(joint);
        List<String> order = device.sockets().stream().map(Socket::id).toList();
        int here = order.indexOf(spot.part());
        return device.sockets().stream()
                .filter(socket -> !socket.id().equals(spot.part()) && socket.way() == present.way())
                .filter(socket -> free.isFree(device, socket))
                .sorted(Comparator.comparing((Socket socket) -> socket.signal() != present.signal())
                        .thenComparingInt(socket -> Math.abs(order.indexOf(socket.id()) - here)))
                .map(socket -> new Spot(spot.item(), socket.id()));
    }

    private String name(Spot spot) {
        Device device = devices.get(spot.item());
        return device.socket(spot.part()).map(Socket::name).orElse(spot.part()) + " of " + device.name();
    }

    // --- left and right apart ----------------------------------------------------------------------------------

    /** A lead that parts left and right, into this socket and one beside it. */
    private List<Cure> bothSides(JointRules.Checked joint, Ends ends) {
        Device source = devices.get(ends.from().item());
        boolean isStereo = source.socket(ends.from().part())
                .filter(socket -> socket.contacts().containsValue(Carries.LEFT)
                        && socket.contacts().containsValue(Carries.RIGHT))
                .isPresent();
        if (!isStereo) {
            return List.of();
        }
        Wiring free = without(joint);
        Offers drawer = offers(joint);
        return beside(joint, ends.to())
                .flatMap(second -> leads.stream()
                        .filter(lead -> lead.ends().size() == 3)
                        .flatMap(lead -> drawer.free(lead).stream()
                                .flatMap(mark -> parted(ends, second, mark, lead).stream())
                                .map(pluggings -> cure(
                                        Cure.Kind.BOTH_SIDES,
                                        "Take left and right to " + name(ends.to()) + " and " + name(second) + ", with "
                                                + lead.name(),
                                        free.plugging(pluggings),
                                        pluggings))))
                .toList();
    }

    private Optional<List<Plugging>> parted(Ends ends, Spot second, String mark, Lead lead) {
        Plugger plugger = new Plugger().with(mark, lead);
        Stream.of(ends.from(), ends.to(), second).forEach(spot -> plugger.with(spot.item(), devices.get(spot.item())));
        for (Spot socket : List.of(ends.from(), ends.to(), second)) {
            Optional<Spot> end = plugger.freeEnd(mark, socket);
            if (end.isEmpty()) {
                return Optional.empty();
            }
            plugger.plug(end.get(), socket);
        }
        return Optional.of(plugger.patch().pluggings());
    }

    // --- boxes -------------------------------------------------------------------------------------------------

    /** A box that is owned and free, put between. */
    private List<Cure> boxes(JointRules.Checked joint, Ends ends) {
        Wiring free = without(joint);
        return devices.values().stream()
                .filter(box -> box.kind() == DeviceKind.BOX || box.kind() == DeviceKind.PREAMP)
                .filter(box -> !box.id().equals(ends.from().item())
                        && !box.id().equals(ends.to().item()))
                .flatMap(box -> sockets(free, box, Way.IN)
                        .flatMap(in -> sockets(free, box, Way.OUT).flatMap(out -> between(joint, ends, box, in, out))))
                .toList();
    }

    private static Stream<Spot> sockets(Wiring free, Device box, Way way) {
        return box.sockets().stream()
                .filter(socket -> socket.way() == way && free.isFree(box, socket))
                .filter(socket -> socket.ties().parallelTo().isEmpty())
                .map(socket -> new Spot(box.id(), socket.id()));
    }

    private Stream<Cure> between(JointRules.Checked joint, Ends ends, Device box, Spot in, Spot out) {
        Wiring free = without(joint);
        return best(joint, ends.from(), in).stream().flatMap(before -> {
            Wiring half = free.plugging(before.pluggings());
            return new Offers(List.copyOf(devices.values()), leads, half.plugged())
                    .between(out, ends.to()).stream().limit(1).map(behind -> {
                        List<Plugging> all = new ArrayList<>(before.pluggings());
                        all.addAll(behind.pluggings());
                        return cure(
                                Cure.Kind.BOX,
                                "Put " + box.name() + " between" + with(before, " before it")
                                        + with(behind, " behind it"),
                                free.plugging(all),
                                all);
                    });
        });
    }

    private static String with(Offers.Offer offer, String where) {
        return offer.leads().isEmpty() ? "" : ", " + offer.words() + where;
    }

    // --- trying ------------------------------------------------------------------------------------------------

    private Cure cure(Cure.Kind kind, String words, Wiring after, Collection<Plugging> touched) {
        Function<String, Optional<Device>> device = id -> Optional.ofNullable(devices.get(id));
        Function<String, Optional<Lead>> lead =
                id -> leads.stream().filter(each -> each.id().equals(id)).findFirst();
        List<JointRules.Checked> joints = after.patch(device, lead).parted().stream()
                .filter(part -> part.pluggings().stream().anyMatch(touched::contains))
                .map(JointRules::checkOne)
                .toList();
        return new Cure(kind, words, Optional.of(after), joints);
    }
}
