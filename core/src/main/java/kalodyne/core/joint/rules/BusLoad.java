package kalodyne.core.joint.rules;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Contact;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.joint.JointReading;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Current;
import kalodyne.core.units.Print;

/**
 * What hangs on a port that gives bus power.
 *
 * @param port which
 * @param drawnAmperes by all that hangs on it, 0 or more
 * @param mostAmperes that it gives
 * @param living sockets by which devices hang on it that usually run on nothing else, one of each
 */
public record BusLoad(Spot port, double drawnAmperes, double mostAmperes, List<Spot> living) {
    public BusLoad {
        living = List.copyOf(living);
    }

    /** Whether it gives enough; what usually runs on something else does not fail. */
    public boolean isFed() {
        return drawnAmperes <= mostAmperes || living.isEmpty();
    }

    /** "340 mA": the circuit is as good as what makers print. */
    public String drawn() {
        return Print.about(drawnAmperes, "A");
    }

    public String most() {
        return Print.about(mostAmperes, "A");
    }

    /** "Interface draws 340 mA; Laptop, USB 1 gives 900 mA". */
    public String words(Patch patch) {
        List<String> fed = living.stream()
                .map(spot -> patch.devices().get(spot.item()).name())
                .toList();
        Device giving = patch.devices().get(port.item());
        return String.join(" and ", fed) + (fed.size() == 1 ? " draws " : " draw ")
                + drawn() + "; " + giving.name() + ", "
                + giving.socket(port.part()).orElseThrow().name() + " gives " + most();
    }

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
                                most,
                                living(patch, reading))));
    }

    private static List<Spot> living(Patch patch, JointReading reading) {
        Set<String> devices = new HashSet<>();
        return reading.atRest().keySet().stream()
                .filter(spot -> patch.socket(spot)
                        .filter(socket -> socket.has(PowerKind.BUS, PowerRole.NEEDS))
                        .isPresent())
                .filter(spot -> patch.devices().get(spot.item()).powering().stream()
                        .limit(1)
                        .allMatch(powering -> powering.source() == PowerSource.BUS))
                .filter(spot -> devices.add(spot.item()))
                .toList();
    }

    private static double amperes(JointReading reading, Spot port, Contact contact) {
        return Optional.ofNullable(reading.atRest().getOrDefault(port, Map.of()).get(contact))
                .map(JointReading.Direct::amperes)
                .orElse(0.0);
    }
}
