package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.runsheet.KnobGroup.Turned;

/** The knobs of a rig in the order in which they are set, each once. */
final class KnobGroups {
    private final SheetRig rig;
    private final Set<Spot> done = new HashSet<>();

    /** Pan pots and switches are set by parts of their own. */
    KnobGroups(SheetRig rig) {
        this.rig = rig;
        rig.advised().flow().knobs().stream()
                .filter(knob -> knob.duty() == Duty.PAN || SwitchSteps.SWITCHES.contains(knob.kind()))
                .forEach(knob -> done.add(knob.id()));
    }

    /** Speakers that hear the same are set alike. */
    List<String> listeners(String last) {
        return rig.loudGroups().stream()
                .filter(group -> group.contains(last))
                .findFirst()
                .orElse(List.of(last));
    }

    /** Those along some runs that were not yet given, in the order of the signal; those of left and right that go the same way are one. */
    List<KnobGroup> along(List<Trace> traces) {
        Map<List<Object>, List<Turned>> groups = new LinkedHashMap<>();
        for (Trace trace : traces) {
            LevelPlan plan = LevelPlan.of(trace, rig.advised());
            int place = 0;
            for (int index : trace.path().points()) {
                OptionalInt at = plan.flow().points().get(index).knob();
                if (at.isPresent()) {
                    Knob knob = plan.flow().knobs().get(at.getAsInt());
                    if (done.add(knob.id())) {
                        String station = plan.flow().points().get(index).station();
                        groups.computeIfAbsent(
                                        List.of(place, listeners(station), knob.kind(), KnobGroup.place(knob)),
                                        key -> new ArrayList<>())
                                .add(new Turned(trace, knob, plan, index));
                    }
                    place++;
                }
            }
        }
        // What stands at a mark is set before anybody plays: the gains are then set by the meter.
        return groups.values().stream()
                .map(KnobGroup::new)
                .sorted(Comparator.comparing((KnobGroup group) -> !group.isAtMark() && !group.isAtLowestStep())
                        .thenComparing(group -> group.first().point()))
                .toList();
    }
}
