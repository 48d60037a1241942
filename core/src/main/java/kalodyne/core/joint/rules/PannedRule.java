package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Carries;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Stage;
import kalodyne.core.joint.Spot;

/** A channel that is panned to one side, while only outputs of the other side are used: nothing of it goes on. */
final class PannedRule implements RigRule {
    @Override
    public Stream<Finding> check(WholeRig rig) {
        return rig.patch().devices().entrySet().stream()
                .flatMap(entry -> entry.getValue().controls().stream()
                        .filter(control -> control.kind() == ControlKind.PAN)
                        .flatMap(control -> check(rig, entry.getKey(), entry.getValue(), control)));
    }

    private static Stream<Finding> check(WholeRig rig, String id, Device device, DeviceControl pan) {
        Optional<String> at = rig.patch().standing(new Spot(id, pan.id())).filter(PannedRule::isSide);
        Set<String> used = usedSides(rig, id, device);
        if (at.isEmpty() || used.isEmpty() || used.contains(at.get())) {
            return Stream.empty();
        }
        return device.stages().stream()
                .filter(stage ->
                        stage.controls().contains(pan.id()) && stage.side().isEmpty())
                .flatMap(stage -> stage.from().stream())
                .map(from -> new Spot(id, Stage.fedBy(from)))
                .filter(spot -> rig.isPlugged(spot) && rig.isFed(spot))
                .flatMap(spot -> found(rig, spot, pan, at.get()));
    }

    private static boolean isSide(String position) {
        return position.equals(Carries.LEFT.word()) || position.equals(Carries.RIGHT.word());
    }

    /** Of the outputs that something is plugged into, which sides they give; both where one of them gives both. */
    private static Set<String> usedSides(WholeRig rig, String id, Device device) {
        Set<String> used = new TreeSet<>();
        device.sockets().stream()
                .filter(socket -> socket.way() == Direction.OUT && rig.isPlugged(new Spot(id, socket.id())))
                .forEach(socket -> used.addAll(
                        socket.side().isPresent()
                                ? Set.of(socket.side().get().word())
                                : socket.contacts().values().stream()
                                        .map(Carries::word)
                                        .filter(PannedRule::isSide)
                                        .collect(Collectors.toSet())));
        return used;
    }

    private static Stream<Finding> found(WholeRig rig, Spot spot, DeviceControl pan, String side) {
        return Joint.found(
                FindingCode.STEREO_PANNED_AWAY,
                Severity.WRONG,
                spot,
                new Figure(0, "outputs"),
                "Panned away from what is used",
                pan.name() + " of " + rig.device(spot).name() + " stands at “" + side
                        + "”, and only the other side goes on: what comes into "
                        + rig.socket(spot).name() + " is not heard behind it.",
                "Turn it to the middle, or use both outputs");
    }
}
