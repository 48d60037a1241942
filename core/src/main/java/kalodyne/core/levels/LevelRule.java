package kalodyne.core.levels;

import java.util.Optional;
import kalodyne.core.findings.Finding;

/** One thing that can be wrong with the levels of a run. */
interface LevelRule {
    Optional<Finding> check(LevelPlan plan, Advice advice);
}
