package kalodyne.core.joint.rules;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;

/**
 * An instrument's amplifier that is played while none of its speaker outputs has a loudspeaker: with valves, its output transformer
 * burns without a load.
 */
final class LoadRule implements RigRule {
    @Override
    public Stream<Finding> check(WholeRig rig) {
        return rig.patch().devices().entrySet().stream().flatMap(entry -> check(rig, entry.getKey(), entry.getValue()));
    }

    private static Stream<Finding> check(WholeRig rig, String id, Device device) {
        List<Socket> outputs = device.sockets().stream()
                .filter(socket -> socket.way() == Direction.OUT && socket.signal() == SignalKind.SPEAKER)
                .toList();
        if (outputs.isEmpty() || outputs.stream().anyMatch(output -> isLoaded(rig, new Spot(id, output.id())))) {
            return Stream.empty();
        }
        return device.sockets().stream()
                .filter(socket -> socket.way() == Direction.IN && socket.signal() == SignalKind.INSTRUMENT)
                .map(socket -> new Spot(id, socket.id()))
                .filter(spot -> rig.isPlugged(spot) && rig.isFed(spot))
                .flatMap(
                        spot -> Joint.found(
                                FindingCode.AMPLIFIER_NO_LOAD,
                                Severity.WEAK,
                                spot,
                                new Figure(0, "loudspeakers"),
                                "An amplifier without its loudspeaker",
                                device.name() + " is played with no loudspeaker at its "
                                        + outputs.get(0).name().toLowerCase(Locale.ROOT)
                                        + ". If it has valves, that can burn its output transformer.",
                                "Plug its loudspeaker, or a load that is made for it, before you switch it on; its manual says whether it may run without"));
    }

    private static boolean isLoaded(WholeRig rig, Spot output) {
        return rig.joints().stream()
                .flatMap(joint -> joint.reading().transfers().stream())
                .filter(way -> way.from().socket().equals(output) && !way.isLost())
                .anyMatch(way -> rig.socket(way.to().socket()).signal() == SignalKind.SPEAKER);
    }
}
