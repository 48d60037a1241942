package kalodyne.core.route;

import java.util.ArrayList;
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
     * @param used marks of leads that are in use
     */
    static List<LeadKind> of(List<Lead> owned, Set<String> used, List<Lead> shop) {
        Map<Lead, List<String>> alike = new LinkedHashMap<>();
        for (Lead lead : owned) {
            List<String> marks = alike.computeIfAbsent(plain(lead), each -> new ArrayList<>());
            Spot.marks(lead)
                    .filter(mark -> !used.contains(mark))
                    .limit(Math.max(0, MOST_ALIKE - marks.size()))
                    .forEach(marks::add);
        }
        List<LeadKind> kinds = new ArrayList<>();
        alike.forEach((lead, marks) -> {
            if (!marks.isEmpty()) {
                kinds.add(new LeadKind(kinds.size(), lead, marks, true));
            }
        });
        shop.forEach(lead -> kinds.add(new LeadKind(
                kinds.size(), lead, List.of(Missing.mark(lead.id()), Missing.mark(lead.id()) + "/2"), false)));
        return kinds;
    }

    /** Without what tells one from another that does the same. */
    private static Lead plain(Lead lead) {
        return lead.withId("any").withName("Lead").withColour("").withNote("").withOwned(1);
    }
}
