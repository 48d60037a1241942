package kalodyne.core.route;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Severity;
import kalodyne.core.joint.rules.JointRules;

/**
 * Two ports joined, and computed.
 *
 * @param made the leads, and what goes into what
 * @param joints what comes of it
 */
record Hop(Port from, Port to, Joining.Made made, List<JointRules.Checked> joints) {
    Hop {
        joints = List.copyOf(joints);
    }

    Optional<Severity> worst() {
        return joints.stream().flatMap(joint -> joint.worst().stream()).min(Severity::compareTo);
    }

    /** The better the higher; harm lowest. */
    int rank() {
        return worst().map(Severity::ordinal).orElse(Severity.values().length);
    }
}
