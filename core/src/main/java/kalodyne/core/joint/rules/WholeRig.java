package kalodyne.core.joint.rules;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.EarthNet;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;

/** All that is plugged, with what was read of each joint: what rules on the whole look at. */
final class WholeRig {
    private final Patch patch;
    private final Contacts contacts;
    private final List<Joint> joints;
    private final EarthNet earth;
    private final boolean isHostOwned;
    private final Set<Spot> plugged = new HashSet<>();
    private final Map<Spot, Joint> jointOf = new HashMap<>();

    /**
     * All of it.
     *
     * @param patch everything, its gear as the switches stand
     * @param joints those that have a solution
     * @param earth what they are to each other through their grounds
     * @param isHostOwned whether there is a computer, phone or tablet on the shelf
     */
    WholeRig(Patch patch, List<Joint> joints, EarthNet earth, boolean isHostOwned) {
        this.patch = patch;
        this.contacts = Contacts.of(patch);
        this.joints = List.copyOf(joints);
        this.earth = earth;
        this.isHostOwned = isHostOwned;
        patch.pluggings().forEach(plugging -> plugged.addAll(plugging.spots()));
        joints.forEach(joint -> joint.patch().pluggings().stream()
                .flatMap(plugging -> plugging.spots().stream())
                .forEach(spot -> jointOf.putIfAbsent(spot, joint)));
    }

    Patch patch() {
        return patch;
    }

    /** What is led to what, as the likelier readings of the plugs have it. */
    Contacts contacts() {
        return contacts;
    }

    List<Joint> joints() {
        return joints;
    }

    EarthNet earth() {
        return earth;
    }

    boolean isHostOwned() {
        return isHostOwned;
    }

    /** "Bass synth, Output". */
    String name(Spot spot) {
        return device(spot).name() + ", " + socket(spot).name();
    }

    Socket socket(Spot spot) {
        return patch.socket(spot).orElseThrow();
    }

    Device device(Spot spot) {
        return patch.devices().get(spot.item());
    }

    /** All sockets of a device. */
    Stream<Spot> spots(String device) {
        return patch.devices().get(device).sockets().stream().map(socket -> new Spot(device, socket.id()));
    }

    boolean isPlugged(Spot spot) {
        return plugged.contains(spot);
    }

    /** Whether a signal arrives at an input. */
    boolean isFed(Spot input) {
        return Optional.ofNullable(jointOf.get(input)).stream()
                .flatMap(joint -> joint.circuit().hearings().stream()
                        .filter(hearing -> hearing.socket().equals(input))
                        .flatMap(hearing -> joint.to(hearing).stream()))
                .anyMatch(way -> !way.isLost());
    }
}
