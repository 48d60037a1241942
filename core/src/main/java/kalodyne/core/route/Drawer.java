package kalodyne.core.route;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Spot;

/** The leads that may be used, those alike together; and those that one could get. */
final class Drawer {
    /** Nobody needs more of a kind at once. */
    private static final int MOST_ALIKE = 8;

    private Drawer() {}

    /**
     * What may be used.
     *
     * @param used marks of leads that may not be used
     * @param late marks of leads that are used only where no other one does the same
     */
    static List<LeadSort> of(List<Lead> owned, Set<String> used, Set<String> late, List<Lead> shop) {
        Map<Lead, List<String>> alike = new LinkedHashMap<>();
        for (Lead lead : owned) {
            List<String> marks = alike.computeIfAbsent(plain(lead), each -> new ArrayList<>());
            Spot.marks(lead).filter(mark -> !used.contains(mark)).forEach(marks::add);
        }
        alike.values().forEach(marks -> marks.sort(Comparator.comparing(late::contains)));
        List<LeadSort> kinds = new ArrayList<>();
        alike.forEach((lead, marks) -> {
            if (!marks.isEmpty()) {
                kinds.add(new LeadSort(
                        kinds.size(), lead, marks.stream().limit(MOST_ALIKE).toList(), true));
            }
        });
        shop.forEach(lead -> kinds.add(new LeadSort(
                kinds.size(), lead, List.of(Missing.mark(lead.id()), Missing.mark(lead.id()) + "/2"), false)));
        return kinds;
    }

    /** Without what tells one from another that does the same. */
    private static Lead plain(Lead lead) {
        return lead.withId("any").withName("Lead").withColour("").withNote("").withOwned(1);
    }
}
