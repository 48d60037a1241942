package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;

/** Joins ports by leads and computes what comes of it; what was computed once is not computed again. */
final class Hops {
    /** Of those that need as much to be got: single leads or owned ones, and others. */
    private static final int MOST_SINGLE = 16;

    private static final int MOST_OF_SEVERAL = 4;

    private static final int MOST_TOLD = 2;

    private final Map<String, Device> devices;
    private final Map<String, Lead> leads = new HashMap<>();
    private final Joinings joinings;
    private final Map<Set<Plugging>, JointRules.Checked> known = new HashMap<>();
    private int looked;

    /**
     * Hops.
     *
     * @param owned leads with the names that their owner gave them
     */
    Hops(Map<String, Device> devices, List<LeadKind> kinds, List<Lead> owned) {
        this.devices = devices;
        this.joinings = new Joinings(kinds);
        Map<String, Lead> byId = new HashMap<>();
        owned.forEach(lead -> byId.put(lead.id(), lead));
        kinds.forEach(kind -> kind.marks()
                .forEach(mark -> leads.put(mark, byId.getOrDefault(new Spot(mark, "any").kind(), kind.lead()))));
    }

    Joinings joinings() {
        return joinings;
    }

    /** How many joints were computed. */
    int looked() {
        return looked;
    }

    /** The best with leads that are not used elsewhere, the best first. */
    List<Hop> best(Port from, Port to, Set<String> used) {
        List<Hop> hops = new ArrayList<>();
        Map<List<Integer>, Integer> tried = new HashMap<>();
        for (Joining joining : joinings.of(from.shape(), to.shape())) {
            boolean isEnough = hops.stream()
                    .anyMatch(hop -> hop.worst() == Faults.Grade.NONE
                            && hop.made().joining().missing() <= joining.missing());
            List<Integer> alike = List.of(joining.missing(), joining.leads().size());
            int most = joining.leads().size() > 1 && joining.missing() > 0 ? MOST_OF_SEVERAL : MOST_SINGLE;
            Optional<Joining.Made> made = isEnough || tried.getOrDefault(alike, 0) >= most
                    ? Optional.empty()
                    : joining.between(from, to, used);
            if (made.isPresent()) {
                tried.merge(alike, 1, Integer::sum);
                hops.add(new Hop(from, to, made.get(), joints(made.get().pluggings())));
            }
        }
        return hops.stream()
                .sorted(Comparator.comparing(Hop::worst).reversed())
                .limit(MOST_TOLD)
                .toList();
    }

    /** What comes of it, roughly: enough to compare. */
    List<JointRules.Checked> joints(List<Plugging> pluggings) {
        return patch(pluggings).parted().stream()
                .map(part -> known.computeIfAbsent(Set.copyOf(part.pluggings()), key -> {
                    looked++;
                    return JointRules.checkRoughly(part);
                }))
                .toList();
    }

    /** What is plugged, with the gear that it takes. */
    Patch patch(List<Plugging> pluggings) {
        return Patch.of(devices, leads, pluggings);
    }

    Lead lead(String mark) {
        return leads.get(mark);
    }
}
