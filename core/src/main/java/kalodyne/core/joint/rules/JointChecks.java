package kalodyne.core.joint.rules;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules.Checked;

/**
 * Checks what is plugged again and again, as it is edited: of joints that an edit did not touch, nothing is computed again. For
 * one thread at a time.
 */
public final class JointChecks {
    private Map<Patch, Checked> known = Map.of();

    /**
     * All that is plugged now, in the parts that hang together.
     *
     * @param shelf all gear that is owned
     */
    public List<Checked> check(Patch now, Collection<Device> shelf) {
        List<Patch> parts = now.parted();
        List<Checked> all = parts.parallelStream()
                .map(part -> {
                    Checked before = known.get(part);
                    return before == null ? JointRules.alone(part) : before;
                })
                .toList();
        Map<Patch, Checked> next = new HashMap<>();
        all.forEach(checked -> next.put(checked.patch(), checked));
        known = next;
        return JointRules.together(now, all, shelf);
    }
}
