package kalodyne.core.runsheet;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.listening.Crossover;

/** Where a subwoofer takes over from the speakers, set before its level is. */
final class CrossoverSteps implements SheetPart {
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        Set<String> subwoofers = new LinkedHashSet<>();
        rig.heard().stream()
                .filter(trace -> rig.end(trace).kind() == End.Kind.SUBWOOFER)
                .forEach(trace -> subwoofers.add(rig.last(trace)));
        double lowest = rig.heard().stream()
                .filter(trace -> rig.end(trace).kind() == End.Kind.EARS)
                .mapToDouble(trace -> Crossover.lowest(rig.device(rig.last(trace))))
                .max()
                .orElse(0);
        subwoofers.forEach(id ->
                Crossover.control(rig.device(id)).ifPresent(control -> draft.add(step(rig, id, control, lowest))));
    }

    private static Step step(SheetRig rig, String subwoofer, DeviceControl control, double lowest) {
        return Step.of(
                        "level:" + subwoofer + "." + control.id(),
                        Section.LEVELS,
                        Act.SET_SWITCH,
                        rig.name(subwoofer) + ": " + control.name() + " to " + Crossover.mark(control, lowest),
                        "Below that it plays alone, above it the speakers do.")
                .about(List.of(subwoofer));
    }
}
