package kalodyne.core.route;

import java.util.List;
import kalodyne.core.joint.rules.JointRules;

/**
 * Two ports joined, and computed.
 *
 * @param made the leads, and what goes into what
 * @param joints what comes of it
 * @param worst of that
 */
record Hop(Port from, Port to, Joining.Made made, List<JointRules.Checked> joints, Faults.Grade worst) {
    Hop {
        joints = List.copyOf(joints);
    }

    static Hop of(Port from, Port to, Joining.Made made, List<JointRules.Checked> joints) {
        return new Hop(from, to, made, joints, Faults.worst(joints));
    }

    /** Whether something has to be got for it. */
    boolean takesMore() {
        return made.joining().missing() > 0 || Missing.is(from.device()) || Missing.is(to.device());
    }

    /** The same for another source: it is plugged, and costs nothing more. */
    Hop alongside() {
        Joining there = Joining.plugged(made.joining().links().size());
        return new Hop(from, to, new Joining.Made(there, made.marks(), made.pluggings()), List.of(), Faults.Grade.NONE);
    }

    /** Plugs one behind the other: of two strands side by side one counts. */
    int breaks() {
        int links = made.joining().links().size();
        int strands = Math.max(
                from.shape().connectors().size(), to.shape().connectors().size());
        boolean isParted = strands == 2
                && from.shape().connectors().size() != to.shape().connectors().size();
        return isParted ? 1 + (links - 1) / 2 : links / strands;
    }
}
