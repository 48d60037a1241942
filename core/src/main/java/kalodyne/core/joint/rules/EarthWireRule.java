package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;

/**
 * The earth wire of a turntable that is left off: its arm and motor are tied to no ground then, and what they pick up comes into the
 * cartridge. The first cause of hum with turntables; common practice.
 */
final class EarthWireRule implements RigRule {
    @Override
    public Stream<Finding> check(WholeRig rig) {
        return rig.patch().devices().keySet().stream()
                .flatMap(id -> rig.spots(id)
                        .filter(spot -> rig.socket(spot).signal() == SignalKind.EARTH && !rig.isPlugged(spot))
                        .filter(spot -> rig.spots(id)
                                .anyMatch(other -> rig.socket(other).signal() == SignalKind.PHONO
                                        && rig.socket(other).way() == Direction.OUT
                                        && rig.isPlugged(other)))
                        .limit(1)
                        .flatMap(spot -> found(rig, spot)));
    }

    private static Stream<Finding> found(WholeRig rig, Spot post) {
        Optional<Socket> there = rig.patch().devices().entrySet().stream()
                .filter(entry -> !entry.getKey().equals(post.item()))
                .flatMap(entry -> entry.getValue().sockets().stream())
                .filter(socket -> socket.signal() == SignalKind.EARTH)
                .findFirst();
        return Joint.found(
                FindingCode.HUM_EARTH_WIRE,
                Severity.WEAK,
                post,
                new Figure(0, "wires"),
                "The earth wire is not connected",
                "Without its earth wire " + rig.device(post).name()
                        + " usually hums: arm and motor are tied to nothing.",
                there.isPresent()
                        ? "Join its earth wire to the earth post of the phono input"
                        : "Join its earth wire to bare metal of what it is plugged into, its case for one");
    }
}
