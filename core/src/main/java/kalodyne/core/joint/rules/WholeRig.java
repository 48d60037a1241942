package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.EarthNet;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;

/**
 * All that is plugged, with what was read of each joint: what rules on the whole look at.
 *
 * @param patch everything, its gear as the switches stand
 * @param contacts what is led to what, as the likelier readings of the plugs have it
 * @param joints those that have a solution
 * @param earth what they are to each other through their grounds
 * @param isHostOwned whether there is a computer, phone or tablet on the shelf
 */
record WholeRig(Patch patch, Contacts contacts, List<Joint> joints, EarthNet earth, boolean isHostOwned) {
    WholeRig {
        joints = List.copyOf(joints);
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

    /** The joint that a socket is in. */
    Optional<Joint> joint(Spot spot) {
        return joints.stream().filter(joint -> joint.patch().isPlugged(spot)).findFirst();
    }

    /** Whether a signal arrives at an input. */
    boolean isFed(Spot input) {
        return joint(input).stream()
                .flatMap(joint -> joint.circuit().hearings().stream()
                        .filter(hearing -> hearing.socket().equals(input))
                        .flatMap(hearing -> joint.to(hearing).stream()))
                .anyMatch(way -> !way.isLost());
    }
}
