package kalodyne.core.route;

import java.util.List;
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

    Faults.Grade worst() {
        return Faults.worst(joints);
    }
}
