package kalodyne.core.runsheet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.units.Print;

/** Taking down: speakers first, then phantom power, then power backwards, then leads. */
final class DownSteps implements SheetPart {
    private static final String OFF_THE_EARS = "Down, and off the ears";
    private static final String ALL_DOWN = "Levels and speakers down";
    private static final String IN_REVERSE = "Switch off, in reverse";

    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        if (rig.links().isEmpty()) {
            return;
        }
        draft.add(Step.of(
                        Steps.LEVELS_DOWN,
                        Section.DOWN,
                        Act.FINISH,
                        "Levels down",
                        "Whoever plugs next finds nothing loud.")
                .in(allDown(rig)));
        draft.order(
                Steps.in(Section.AFTER),
                Steps.LEVELS_DOWN,
                Order.Strength.HABIT,
                "A take that is checked first can be made again.");
        speakers(rig, draft);
        ears(rig, draft);
        power(rig, draft);
        leads(rig, draft);
        last(rig, draft);
    }

    private static String allDown(SheetRig rig) {
        return rig.worn().isEmpty() ? ALL_DOWN : OFF_THE_EARS;
    }

    private static void speakers(SheetRig rig, SheetDraft draft) {
        List<String> loud = rig.loud();
        if (loud.isEmpty()) {
            return;
        }
        draft.add(Step.of(
                        Steps.SPEAKERS_DOWN,
                        Section.DOWN,
                        Act.SWITCH_OFF,
                        "Speakers down and off: " + rig.names(loud),
                        "Last up, first down: they would play every thump that comes now.")
                .about(loud)
                .in(allDown(rig)));
        draft.order(Steps.LEVELS_DOWN, Steps.SPEAKERS_DOWN, Order.Strength.HABIT, "First the take is safe.");
        draft.order(
                Steps.SPEAKERS_DOWN,
                Steps.does(Act.SWITCH_OFF, Act.UNPLUG, Act.PHANTOM_OFF).and(Steps.in(Section.DOWN)),
                Order.Strength.SAFETY,
                "Switches and plugs thump through speakers that are on.");
    }

    private static void ears(SheetRig rig, SheetDraft draft) {
        if (!rig.worn().isEmpty()) {
            draft.add(Step.of(
                            "down:ears",
                            Section.DOWN,
                            Act.EARS_OFF,
                            "Headphones off the ears",
                            "Switches and plugs make pops that hurt ears.")
                    .in(allDown(rig)));
            draft.order(Steps.STOP, "down:ears", Order.Strength.HABIT, "The take is heard to its end.");
            draft.order(
                    "down:ears",
                    Steps.does(Act.SWITCH_OFF, Act.UNPLUG, Act.PHANTOM_OFF).and(Steps.in(Section.DOWN)),
                    Order.Strength.SAFETY,
                    "Pops from plugs and switches hurt ears.");
        }
    }

    private static void power(SheetRig rig, SheetDraft draft) {
        rig.devices().stream()
                .filter(rig::isSwitched)
                .filter(id -> !rig.isLoud(id))
                .forEach(id -> {
                    draft.add(Step.of(
                                    Steps.off(id),
                                    Section.DOWN,
                                    Act.SWITCH_OFF,
                                    rig.isHost(id)
                                            ? "Close the app on " + rig.name(id)
                                            : PowerSteps.isOfOutlet(rig, id)
                                                    ? "Pull " + rig.name(id) + " out of the mains"
                                                    : "Switch " + rig.name(id) + " off",
                                    "In reverse: what receives the sound before what makes it.")
                            .about(id)
                            .in(IN_REVERSE));
                    draft.order(
                            Steps.STOP,
                            Steps.off(id),
                            Order.Strength.NEED,
                            "What loses power while it records breaks the file.");
                });
        rig.flows()
                .forEach(pair -> draft.order(
                        off(rig, pair.get(1)),
                        off(rig, pair.get(0)),
                        Order.Strength.HABIT,
                        "What receives the sound goes off before what makes it."));
    }

    /** Id of the step that takes a device's power. */
    private static String off(SheetRig rig, String id) {
        return rig.isSwitched(id) || rig.isLoud(id)
                ? Steps.off(id)
                : rig.feeding(id).map(Steps::unplug).orElse(Steps.off(id));
    }

    private static void leads(SheetRig rig, SheetDraft draft) {
        List<Link> links = new ArrayList<>(rig.links());
        Collections.reverse(links);
        List<Link> feeding = links.stream()
                .filter(link -> PlugSteps.fed(rig, link).isPresent())
                .toList();
        feeding.forEach(link -> draft.add(Step.of(
                        Steps.unplug(link),
                        Section.DOWN,
                        Act.UNPLUG,
                        "Pull " + link.leadWords() + ": "
                                + rig.name(PlugSteps.fed(rig, link).orElseThrow()) + " goes off",
                        "It is fed through this lead.")
                .about(link.leads())
                .in(IN_REVERSE)));
        List<Link> others =
                links.stream().filter(link -> !feeding.contains(link)).toList();
        if (!others.isEmpty()) {
            draft.add(Step.of(
                            Steps.UNPLUG_ALL,
                            Section.DOWN,
                            Act.UNPLUG,
                            "Unplug the leads",
                            "Only now: nothing is on that a plug could harm.")
                    .with(others.stream()
                                    .map(link -> link.leadWords() + ": " + link.endWords())
                                    .collect(Collectors.joining("; "))
                            + ". Pull at the plug, never at the lead.")
                    .telling(Print.counted(
                            others.stream()
                                    .mapToInt(link -> Math.max(1, link.leads().size()))
                                    .sum(),
                            "lead"))
                    .about(others.stream()
                            .flatMap(link -> link.leads().stream())
                            .toList()));
        }
        draft.order(
                Steps.STOP,
                Steps.does(Act.UNPLUG),
                Order.Strength.NEED,
                "What is pulled while it still records breaks the file.");
        draft.order(
                Steps.does(Act.SWITCH_OFF).and(Steps.in(Section.DOWN)),
                Steps.UNPLUG_ALL,
                Order.Strength.HABIT,
                "A plug that is pulled out of gear without power does no harm.");
        feeding.forEach(link -> {
            draft.order(
                    Steps.unplug(link),
                    Steps.UNPLUG_ALL,
                    Order.Strength.HABIT,
                    "A plug that is pulled out of gear without power does no harm.");
            link.devices().stream()
                    .filter(rig::isHost)
                    .forEach(host -> draft.order(
                            Steps.off(host), Steps.unplug(link), Order.Strength.HABIT, "First the app lets go of it."));
        });
    }

    private static void last(SheetRig rig, SheetDraft draft) {
        List<String> batteries = rig.devices().stream()
                .filter(id -> rig.runsOn(id, PowerSource.BATTERY) || rig.isPowerBank(id))
                .map(rig::name)
                .toList();
        draft.add(Step.of(
                        "down:away",
                        Section.DOWN,
                        Act.PUT_AWAY,
                        batteries.isEmpty()
                                ? "Coil the leads loosely, each back to its place"
                                : "Charge " + String.join(", ", batteries) + "; coil the leads loosely",
                        "Next time begins with full batteries and leads that are whole. Knob positions are in the log.")
                .with(new Caution(Severity.NOTE, "no tight coils, no kinks")));
        draft.order(
                Steps.does(Act.UNPLUG), "down:away", Order.Strength.NEED, "Only what is unplugged can be put away.");
    }
}
