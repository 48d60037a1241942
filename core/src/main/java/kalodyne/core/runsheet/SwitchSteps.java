package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.gain.Point;

/** Switches that say what an input takes: instrument or line, phono or line, pads. All of one device at once, while nothing is on. */
final class SwitchSteps implements SheetPart {
    /** What is switched, and not turned while somebody plays. */
    static final Set<ControlKind> SWITCHES = EnumSet.of(ControlKind.INPUT_SELECT, ControlKind.PAD);

    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        Map<String, List<Knob>> byDevice = new LinkedHashMap<>();
        Set<Spot> done = new LinkedHashSet<>();
        for (Trace trace : rig.levels().traces()) {
            for (int index : trace.path().points()) {
                Point point = rig.advised().flow().points().get(index);
                point.knob().ifPresent(at -> {
                    Knob knob = rig.advised().flow().knobs().get(at);
                    if (SWITCHES.contains(knob.kind()) && done.add(knob.id())) {
                        byDevice.computeIfAbsent(point.station(), key -> new ArrayList<>())
                                .add(knob);
                    }
                });
            }
        }
        byDevice.forEach((device, knobs) -> draft.add(step(rig, device, knobs)));
    }

    private static Step step(SheetRig rig, String device, List<Knob> knobs) {
        return Step.of(
                        "switch:"
                                + knobs.stream().map(knob -> knob.id().write()).collect(Collectors.joining("+")),
                        Section.QUIET,
                        Act.SET_SWITCH,
                        rig.name(device) + ": "
                                + knobs.stream()
                                        .map(SwitchSteps::words)
                                        .distinct()
                                        .collect(Collectors.joining(", ")),
                        "It says what the input takes. Switched later it pops, and every level would have to be set again.")
                .noticing(Symptom.TOO_QUIET, Symptom.TOO_LOUD)
                .about(device)
                .in(Steps.ALL_DOWN);
    }

    private static String words(Knob knob) {
        boolean isPad = knob.kind() == ControlKind.PAD;
        boolean isOut = isPad && knob.gain().db() == 0;
        return knob.control().name() + (isOut ? " off" : isPad ? " on, " + knob.place() : " to " + knob.place());
    }
}
