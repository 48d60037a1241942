package kalodyne.core.joint.rules;

import java.util.stream.Stream;
import kalodyne.core.findings.Finding;

/** One thing that may be noticed about a joint. */
interface JointRule {
    Stream<Finding> check(Joint joint);
}
