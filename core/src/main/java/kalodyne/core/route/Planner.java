package kalodyne.core.route;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.catalogue.Catalogue;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.units.Print;

/** Finds the ways to record what somebody wishes, with what is owned and, where that does not do, with little that is not. */
public final class Planner {

    private static final int MOST_OBVIOUS = 3;

    private final List<Device> owned;
    private final List<Lead> leads;
    private final Catalogue catalogue;
    private final Wiring taken;
    private final Settings settings;

    /**
     * A planner.
     *
     * @param taken what is plugged already
     * @param settings how the controls stand, and how they should be set
     */
    public Planner(List<Device> owned, List<Lead> leads, Catalogue catalogue, Wiring taken, Settings settings) {
        this.settings = settings;
        this.owned = List.copyOf(owned);
        this.leads = List.copyOf(leads);
        this.catalogue = catalogue;
        this.taken = taken;
    }

    /** The best ways; what was found until then where somebody cancels. */
    public Plan plan(Wish wish, BooleanSupplier isCancelled) {
        return plan(wish, isCancelled, early -> {});
    }

    /** The same; tells the first ways as soon as they are found. */
    public Plan plan(Wish wish, BooleanSupplier isCancelled, Consumer<List<Way>> early) {
        Optional<String> refused = refused(wish);
        if (refused.isPresent()) {
            return new Plan(List.of(), List.of(), 0, refused);
        }
        if (wish.isHeardOnly()) {
            Ground ground = Ground.of(wish, owned, leads, catalogue, taken);
            return new HearingSearch(wish, ground, taken.switches(), settings, isCancelled).plan();
        }
        Plan plan = search(wish, isCancelled, early);
        boolean isTooDear = plan.ways().isEmpty() && wish.extras().isLimited();
        return withOwnMicrophone(isTooDear ? withNearest(plan, wish, isCancelled) : plan, wish);
    }

    private Plan withOwnMicrophone(Plan plan, Wish wish) {
        List<Device> sources =
                wish.sources().stream().flatMap(id -> device(id).stream()).toList();
        Optional<Way> builtIn =
                device(wish.target()).flatMap(recorder -> new OwnMicrophone(wish, settings).way(sources, recorder));
        List<Way> all = Stream.concat(plan.ways().stream(), builtIn.stream()).toList();
        return new Plan(all, plan.dropped(), plan.looked(), plan.impossible());
    }

    private Plan search(Wish wish, BooleanSupplier isCancelled, Consumer<List<Way>> early) {
        return new WaySearch(wish, isCancelled, early, owned, leads, catalogue, taken, settings).plan();
    }

    /** Where nothing that may be bought helps: what would. */
    private Plan withNearest(Plan plan, Wish wish, BooleanSupplier isCancelled) {
        Wish richer = wish.withExtras(wish.extras().withoutLimit());
        return search(richer, isCancelled, early -> {}).ways().stream()
                .findFirst()
                .map(way -> new Plan(
                        plan.ways(),
                        plan.dropped(),
                        plan.looked(),
                        plan.impossible()
                                .map(words -> words + " With something more it works: "
                                        + Print.withinSentence(way.title()) + "; " + WayWords.toGet(way) + ".")))
                .orElse(plan);
    }

    /** What would come of the simplest leads between two sockets: why not the obvious one? */
    public List<Obvious> obvious(Device from, Socket out, Device to, Socket in) {
        List<Lead> shop = catalogue.leadsToGet();
        return Obvious.between(from, out, to, in, leads, shop, used(taken), MOST_OBVIOUS);
    }

    /** The marks of what is plugged. */
    static Set<String> used(Wiring taken) {
        return taken.plugged().stream()
                .flatMap(plugging -> plugging.spots().stream())
                .map(Spot::item)
                .collect(Collectors.toSet());
    }

    private Optional<String> refused(Wish wish) {
        List<String> named = Stream.of(
                        wish.sources(),
                        wish.isHeardOnly() ? wish.heard().marks() : List.of(wish.target()),
                        wish.extras().by())
                .flatMap(List::stream)
                .toList();
        for (String id : named) {
            if (device(id).isEmpty()) {
                return Optional.of("“" + id + "” is not on the shelf. Add it there first.");
            }
        }
        if (wish.sources().isEmpty()) {
            return Optional.of("Nothing is to be recorded. Choose what is played.");
        }
        if (wish.isHeardOnly() && wish.heard().isNothing()) {
            return Optional.of(
                    "Nothing records it and nobody hears it. Choose what records, or loudspeakers or headphones.");
        }
        if (wish.sources().contains(wish.target())) {
            String name = device(wish.target()).orElseThrow().name();
            return Optional.of(
                    name + " cannot record itself through a lead. Choose another recorder, or record inside it.");
        }
        if (new HashSet<>(wish.sources()).size() < wish.sources().size()) {
            return Optional.of("One source is listed twice. Choose each only once.");
        }
        for (String id : wish.sources()) {
            Device source = device(id).orElseThrow();
            if (!isSource(source) && !(wish.isHeardOnly() && source.kind().isHost())) {
                return Optional.of(source.name() + " has no output that could be recorded.");
            }
        }
        Optional<Device> target = device(wish.target());
        return target.isEmpty() || isRecorder(target.get())
                ? Optional.empty()
                : Optional.of(target.get().name()
                        + " does not record. Choose a computer, phone, tablet, recorder, camera or mixer.");
    }

    /** Whether something comes out of a device that could be recorded. */
    public static boolean isSource(Device device) {
        Ports ports = new Ports(device);
        return !ports.outlets().isEmpty() || ports.dataOut().isPresent();
    }

    /** Whether a device records, or gathers what is to be heard together. */
    public static boolean isRecorder(Device device) {
        Ports ports = new Ports(device);
        boolean hasConverters =
                device.kind() != DeviceKind.INTERFACE && ports.inlets().stream().anyMatch(ports::converts);
        return (!ports.dataIns().isEmpty() && device.kind() != DeviceKind.HUB)
                || device.kind() == DeviceKind.MIXER
                || hasConverters;
    }

    /** The stages of a device from one of its inputs to the first converter behind it; none where it is not converted there. */
    public static List<Stage> recording(Device device, String socket) {
        return new Inside(device).recording(socket);
    }

    private Optional<Device> device(String id) {
        return owned.stream().filter(device -> device.id().equals(id)).findFirst();
    }
}
