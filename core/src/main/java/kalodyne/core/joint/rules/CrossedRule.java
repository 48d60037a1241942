package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.Socket;
import kalodyne.core.joint.OutputSignal;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Transfer;

/** The left side of a source that arrives on the right one, or the other way round. */
final class CrossedRule implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        return joint.circuit().soundings().stream()
                .flatMap(sounding -> joint.best(sounding).stream())
                .filter(way -> !way.isLost() && isCrossed(joint, way))
                .limit(1)
                .flatMap(way -> found(joint, way));
    }

    private static boolean isCrossed(Joint joint, Transfer way) {
        Optional<Carries> from =
                side(joint.socket(way.from().socket()), way.from().channel());
        Optional<Carries> to = side(joint.socket(way.to().socket()), way.to().channel());
        return from.isPresent() && to.isPresent() && !from.equals(to) && !isAlone(joint, way.from());
    }

    private static Optional<Carries> side(Socket socket, Carries channel) {
        return channel == Carries.LEFT || channel == Carries.RIGHT ? Optional.of(channel) : socket.side();
    }

    /** One side that is used without the other one may go anywhere. */
    private static boolean isAlone(Joint joint, OutputSignal given) {
        Spot spot = given.socket();
        boolean isPairInOne = given.channel() == Carries.LEFT || given.channel() == Carries.RIGHT;
        return !isPairInOne
                && joint.device(spot).sockets().stream()
                        .filter(other -> other.side().isPresent()
                                && !other.side().equals(joint.socket(spot).side())
                                && other.way() == joint.socket(spot).way()
                                && other.signal() == joint.socket(spot).signal())
                        .noneMatch(other -> joint.patch().isTaken(new Spot(spot.item(), other.id())));
    }

    private static Stream<Finding> found(Joint joint, Transfer way) {
        return Joint.found(
                FindingCode.STEREO_CROSSED,
                Severity.WEAK,
                way.to().socket(),
                new Figure(2, "sides"),
                "Left and right are crossed",
                joint.name(way.from().socket()) + " arrives on the other side, at "
                        + joint.name(way.to().socket()) + ".",
                "Swap the two plugs at one end: red is right, white or black is left");
    }
}
