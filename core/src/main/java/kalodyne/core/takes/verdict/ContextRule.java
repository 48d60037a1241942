package kalodyne.core.takes.verdict;

import java.util.List;
import java.util.Optional;
import kalodyne.core.findings.Finding;
import kalodyne.core.gear.Device;
import kalodyne.core.takes.TakeReport;

/** One thing that can be told of a take only by another take or by its run. */
interface ContextRule {
    /**
     * By another take of the same part.
     *
     * @param devices that the run passes; empty where nothing is known of them
     */
    Optional<Finding> against(TakeReport take, TakeReport reference, List<Device> devices);

    /** By the run. */
    Optional<Finding> byRun(TakeReport take, TakeContext context);

    /** By another take where there is one, else by the run. */
    default Optional<Finding> check(TakeReport take, TakeContext context) {
        return context.reference()
                .map(reference -> against(take, reference, context.devices()))
                .orElseGet(() -> byRun(take, context));
    }
}
