package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Figure;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.PowerKind;
import kalodyne.core.gear.PowerRole;
import kalodyne.core.joint.Phantom;

/**
 * The caution that stands with every microphone that phantom power can harm, however well it is connected: a plug that is pulled
 * halfway is enough.
 */
final class PhantomCaution implements JointRule {
    @Override
    public Stream<Finding> check(Joint joint) {
        boolean isFed = joint.spots().anyMatch(spot -> joint.has(spot, PowerKind.PHANTOM, PowerRole.GIVES));
        return isFed
                ? joint.spots()
                        .filter(spot -> joint.has(spot, PowerKind.PHANTOM, PowerRole.HARMED))
                        .flatMap(spot -> Joint.found(
                                "caution.phantom",
                                Severity.NOTE,
                                spot,
                                new Figure(Phantom.VOLTS, "V"),
                                "Keep phantom power off here",
                                "The input can give 48 V, which harm "
                                        + joint.device(spot).name() + " as soon as a plug is pulled halfway.",
                                "Check that phantom power is off before you plug"))
                : Stream.empty();
    }
}
