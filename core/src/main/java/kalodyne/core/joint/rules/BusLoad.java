package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Current;

/**
 * What hangs on a port that gives bus power.
 *
 * @param port which
 * @param drawnAmperes by all that hangs on it, 0 or more
 * @param mostAmperes that it gives
 */
public record BusLoad(Spot port, double drawnAmperes, double mostAmperes) {
    /** Of all ports of something that hangs together, those that feed something. */
    public static List<BusLoad> of(JointRules.Checked joint) {
        return joint.reading().stream()
                .flatMap(reading ->
                        reading.atRest().keySet().stream().flatMap(spot -> at(joint.patch(), reading, spot).stream()))
                .filter(load -> load.drawnAmperes() > 0)
                .toList();
    }

    static Optional<BusLoad> at(Patch patch, JointReading reading, Spot port) {
        return Optional.ofNullable(patch.devices().get(port.item()))
                .flatMap((Device device) -> device.socket(port.part()))
                .flatMap(socket -> socket.busSupply()
                        .map(Current::amperes)
                        .map(most -> new BusLoad(
                                port,
                                socket.contacts().entrySet().stream()
                                        .filter(entry -> entry.getValue() == Carries.POWER)
                                        .mapToDouble(entry -> -amperes(reading, port, entry.getKey()))
                                        .sum(),
                                most)));
    }

    private static double amperes(JointReading reading, Spot port, Contact contact) {
        return Optional.ofNullable(reading.atRest().getOrDefault(port, Map.of()).get(contact))
                .map(JointReading.Direct::amperes)
                .orElse(0.0);
    }
}
