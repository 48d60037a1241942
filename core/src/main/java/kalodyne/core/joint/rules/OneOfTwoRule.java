package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.Spot;

/** One output of a pair that is used alone: of some gear the one gives both sides together, and the other one only its own. */
final class OneOfTwoRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.spots()
                .filter(spot ->
                        joint.patch().isPlugged(spot) && joint.socket(spot).way() == Direction.OUT)
                .flatMap(spot -> Stream.concat(both(joint, spot), half(joint, spot)));
    }

    private static Stream<Finding> both(Joint joint, Spot spot) {
        return joint.socket(spot).ties().monoWithout().stream()
                .filter(other -> !joint.patch().isTaken(new Spot(spot.item(), other)))
                .flatMap(other -> Joint.found(
                        FindingCode.STEREO_MONO_OUTPUT,
                        Severity.NOTE,
                        spot,
                        new Figure(1, "channel"),
                        "Both sides in one",
                        "As nothing is plugged into " + name(joint, spot, other) + ", " + joint.name(spot)
                                + " gives left and right together: it is mono.",
                        ""));
    }

    private static Stream<Finding> half(Joint joint, Spot spot) {
        Optional<Socket> summing = joint.device(spot).sockets().stream()
                .filter(other ->
                        other.ties().monoWithout().filter(spot.part()::equals).isPresent())
                .filter(other -> !joint.patch().isTaken(new Spot(spot.item(), other.id())))
                .findFirst();
        return summing.stream()
                .flatMap(other -> Joint.found(
                        FindingCode.STEREO_HALF_OUTPUT,
                        Severity.WEAK,
                        spot,
                        new Figure(1, "channel"),
                        "Only one side is taken",
                        joint.name(spot) + " gives one side only. " + other.name()
                                + " gives both together while it is used alone.",
                        "Use " + other.name() + " for mono, or both for stereo"));
    }

    private static String name(Joint joint, Spot spot, String socket) {
        Device device = joint.device(spot);
        return device.socket(socket).map(Socket::name).orElse(socket);
    }
}
