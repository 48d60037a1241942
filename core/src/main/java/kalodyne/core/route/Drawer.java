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
        Map<List<Object>, List<Lead>> alike = new LinkedHashMap<>();
        owned.forEach(lead ->
                alike.computeIfAbsent(plain(lead), each -> new ArrayList<>()).add(lead));
        List<LeadSort> kinds = new ArrayList<>();
        for (List<Lead> leads : alike.values()) {
            List<String> marks = leads.stream()
                    .flatMap(Spot::marks)
                    .filter(mark -> !used.contains(mark))
                    .sorted(Comparator.comparing(late::contains))
                    .limit(MOST_ALIKE)
                    .toList();
            if (!marks.isEmpty()) {
                kinds.add(new LeadSort(kinds.size(), leads.get(0), marks, true));
            }
        }
        shop.forEach(lead -> kinds.add(new LeadSort(kinds.size(), lead, toGet(Missing.mark(lead.id())), false)));
        return kinds;
    }

    /** As many as a pair of loudspeakers takes behind a subwoofer. */
    private static List<String> toGet(String mark) {
        return List.of(mark, mark + "/2", mark + "/3", mark + "/4");
    }

    /** Without what tells one from another that does the same. */
    private static List<Object> plain(Lead lead) {
        return List.of(lead.kind(), lead.ends(), lead.wires(), lead.facts());
    }
}
