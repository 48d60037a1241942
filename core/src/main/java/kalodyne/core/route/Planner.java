package kalodyne.core.route;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.stream.Stream;
import kalodyne.core.catalogue.Catalogue;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Wiring;

/** Finds the ways to record what somebody wishes, with what is owned and, where that does not do, with little that is not. */
public final class Planner {

    private final List<Device> owned;
    private final List<Lead> leads;
    private final Catalogue catalogue;
    private final Wiring taken;

    /**
     * A planner.
     *
     * @param taken what is plugged already and stays so
     */
    public Planner(List<Device> owned, List<Lead> leads, Catalogue catalogue, Wiring taken) {
        this.owned = List.copyOf(owned);
        this.leads = List.copyOf(leads);
        this.catalogue = catalogue;
        this.taken = taken;
    }

    /** The best ways; what was found until then where somebody cancels. */
    public Plan plan(Wish wish, BooleanSupplier isCancelled) {
        Optional<String> refused = refused(wish);
        return refused.isPresent()
                ? new Plan(List.of(), List.of(), 0, refused)
                : new Search(wish, isCancelled, owned, leads, catalogue, taken).plan();
    }

    private Optional<String> refused(Wish wish) {
        for (String id :
                Stream.concat(wish.sources().stream(), Stream.of(wish.target())).toList()) {
            if (device(id).isEmpty()) {
                return Optional.of("“" + id + "” is not on the shelf. Add it there first.");
            }
        }
        if (wish.sources().isEmpty()) {
            return Optional.of("Nothing is to be recorded. Choose what is played.");
        }
        if (wish.sources().contains(wish.target())) {
            String name = device(wish.target()).orElseThrow().name();
            return Optional.of(
                    name + " cannot record itself through a lead. Choose another recorder, or record inside it.");
        }
        if (new HashSet<>(wish.sources()).size() < wish.sources().size()) {
            return Optional.of("One source stands there twice. Choose each once.");
        }
        for (String id : wish.sources()) {
            Device source = device(id).orElseThrow();
            if (!isSource(source)) {
                return Optional.of(source.name() + " has no output that could be recorded.");
            }
        }
        Device target = device(wish.target()).orElseThrow();
        return isRecorder(target)
                ? Optional.empty()
                : Optional.of(target.name()
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

    private Optional<Device> device(String id) {
        return owned.stream().filter(device -> device.id().equals(id)).findFirst();
    }
}
