package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.PanTaper;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Duty;
import kalodyne.core.levels.gain.Knob;

/** Pan pots, set before anything is played: all that go to the same place of one device at once. */
final class PanSteps implements SheetPart {
    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        Set<Spot> done = new HashSet<>();
        List<Knob> pans = rig.advised().flow().knobs().stream()
                .filter(knob -> knob.duty() == Duty.PAN && done.add(knob.id()))
                .toList();
        if (pans.isEmpty()) {
            return;
        }
        Set<String> centred = toCentre(rig);
        Map<List<String>, List<Knob>> byPlace = new LinkedHashMap<>();
        pans.stream()
                .map(knob -> centred.contains(knob.id().write()) ? knob.at(PanTaper.CENTRE) : knob)
                .forEach(knob -> byPlace.computeIfAbsent(
                                List.of(knob.id().item(), knob.control().place()), key -> new ArrayList<>())
                        .add(knob));
        byPlace.forEach((key, knobs) -> draft.add(step(rig, key.get(0), knobs)));
    }

    /** The marks of those that are turned away from the only side that is recorded. */
    private static Set<String> toCentre(SheetRig rig) {
        return rig.recorded().stream()
                .flatMap(trace -> rig.levels().run(trace).findings().stream())
                .filter(finding -> finding.code() == FindingCode.LEVEL_PANNED)
                .flatMap(finding -> finding.remedy().stream())
                .flatMap(remedy -> remedy.turns().keySet().stream())
                .collect(Collectors.toSet());
    }

    private static Step step(SheetRig rig, String device, List<Knob> knobs) {
        Control first = knobs.get(0).control();
        boolean isCentre = first.position() == PanTaper.CENTRE;
        String names =
                knobs.stream().map(knob -> knob.control().name()).distinct().collect(Collectors.joining(", "));
        return Step.of(
                        "level:" + knobs.stream().map(knob -> knob.id().write()).collect(Collectors.joining("+")),
                        Section.LEVELS,
                        Act.SET_LEVEL,
                        names + " on " + rig.name(device) + " to "
                                + (isCentre ? "the centre" : PanTaper.words(first.position())) + " (" + first.clock()
                                + ")",
                        isCentre
                                ? "There it goes to both sides alike, and a mono recording loses nothing."
                                : "As you placed it.")
                .noticing(Symptom.ONE_SIDE)
                .about(device)
                .in("Pan pots of " + rig.name(device));
    }
}
