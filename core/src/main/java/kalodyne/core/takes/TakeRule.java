package kalodyne.core.takes;

import java.util.List;
import kalodyne.core.findings.Finding;

/** One thing that can be wrong with a take. */
interface TakeRule {
    List<Finding> check(TakeReport take);
}
