package kalodyne.core.joint.rules;

import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.joint.InputSwitch;
import kalodyne.core.joint.Spot;

/** A source in an input that a switch leaves out: the phono input of a channel that stands at "line". */
final class SelectRule implements RigRule {
    @Override
    public Stream<Finding> check(WholeRig rig) {
        return rig.patch().switched().stream()
                .map(switched -> switched.control().item())
                .distinct()
                .flatMap(rig::spots)
                .filter(spot -> rig.isPlugged(spot) && rig.isFed(spot))
                .flatMap(spot -> check(rig, spot));
    }

    private static Stream<Finding> check(WholeRig rig, Spot spot) {
        Device device = rig.device(spot);
        Optional<DeviceControl> away = InputSwitch.leavingOut(
                device, rig.socket(spot), control -> rig.patch().standing(new Spot(spot.item(), control.id())));
        return away.stream()
                .flatMap(control -> Joint.found(
                        FindingCode.INPUT_NOT_SELECTED,
                        Severity.WRONG,
                        spot,
                        new Figure(0, "inputs"),
                        "This input is not selected",
                        control.name() + " of " + device.name() + " stands at “"
                                + rig.patch()
                                        .standing(new Spot(spot.item(), control.id()))
                                        .orElse("")
                                + "”: what comes into " + rig.socket(spot).name() + " is not heard.",
                        "Switch " + control.name() + " to “"
                                + rig.socket(spot).signal().word() + "”"));
    }
}
