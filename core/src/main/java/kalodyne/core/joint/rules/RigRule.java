package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Finding;

/** One thing that may be noticed about all that is plugged together, which no joint tells by itself. */
interface RigRule {
    Stream<Finding> check(WholeRig rig);
}
