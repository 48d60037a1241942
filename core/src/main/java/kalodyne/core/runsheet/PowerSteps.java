package kalodyne.core.runsheet;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.joint.rules.BusLoad;

/** Power in order: what gives a sound before what hears it, speakers last of all. */
final class PowerSteps implements SheetPart {
    /** What feeds something is plugged among what is switched on. */
    static final String IN_ORDER = "Switch on, one after the other";

    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        List<String> quiet = rig.devices().stream()
                .filter(rig::isSwitched)
                .filter(id -> !rig.isLoud(id))
                .toList();
        quiet.forEach(id -> draft.add(step(rig, id)));
        rig.loudGroups().forEach(group -> draft.add(speakers(rig, group)));
        draft.order(
                Steps.does(Act.SWITCH_ON).and(Steps.in(Section.POWER)),
                isSpeakers(),
                Order.Strength.SAFETY,
                "Every switch before them makes a thump that they would play.");
        draft.order(
                Steps.does(Act.PLUG),
                isSpeakers(),
                Order.Strength.SAFETY,
                "A plug that goes in thumps through speakers that are on.");
        rig.flows()
                .forEach(pair -> draft.order(
                        poweredBy(rig, pair.get(0)),
                        poweredBy(rig, pair.get(1)),
                        Order.Strength.HABIT,
                        "What receives the sound comes on after what makes it: the thump stays in the lead."));
        for (String id : rig.devices()) {
            rig.feeding(id)
                    .ifPresent(link -> link.feeders()
                            .filter(feeder -> !feeder.equals(id))
                            .forEach(feeder -> draft.order(
                                    poweredBy(rig, feeder),
                                    link.id(),
                                    Order.Strength.NEED,
                                    rig.name(feeder) + " feeds it.")));
        }
        draft.order(
                Steps.in(Section.POWER),
                Steps.does(Act.SET_LEVEL, Act.TEST_TAKE, Act.TAKE),
                Order.Strength.NEED,
                "Nothing is heard or seen before it is on.");
    }

    /** Id of the step that gives a device its power. */
    static String poweredBy(SheetRig rig, String id) {
        Optional<List<String>> speakers =
                rig.loudGroups().stream().filter(group -> group.contains(id)).findFirst();
        if (speakers.isPresent()) {
            return speakersOn(speakers.get());
        }
        return rig.isSwitched(id) ? Steps.on(id) : rig.feeding(id).map(Link::id).orElse(Steps.on(id));
    }

    /** A step that needs a device to be on. */
    static void mustBeOn(SheetRig rig, String id, String step, SheetDraft draft) {
        draft.order(poweredBy(rig, id), step, Order.Strength.NEED, rig.name(id) + " must be on for it.");
    }

    /** The step that switches speakers on. */
    static Predicate<Step> isSpeakers() {
        return Steps.does(Act.SWITCH_ON).and(Steps.in(Section.SPEAKERS));
    }

    private static Step speakers(SheetRig rig, List<String> group) {
        return Step.of(
                        speakersOn(group),
                        Section.SPEAKERS,
                        Act.SWITCH_ON,
                        "Switch " + group.stream().map(rig::name).collect(Collectors.joining(" and "))
                                + " on, level down",
                        "Last up, first down: every switch before them makes a thump that they would play.")
                .telling("last up, first down")
                .about(group)
                .in("Speakers on, levels down");
    }

    private static String speakersOn(List<String> group) {
        return Steps.on(String.join("+", group));
    }

    private static Step step(SheetRig rig, String id) {
        boolean isHost = rig.isHost(id);
        String name = rig.name(id);
        String on = rig.powering(id).map(way -> ", on " + words(way.source())).orElse("");
        String load = BusLoad.of(rig.patch()).stream()
                .filter(each -> each.port().item().equals(id))
                .map(each -> "its port gives " + each.drawn() + " of " + each.most())
                .findFirst()
                .orElse("");
        Step step = Step.of(
                        Steps.on(id),
                        Section.POWER,
                        Act.SWITCH_ON,
                        isHost
                                ? "Switch " + name + " on and unlock it" + (rig.isCharged(id) ? ", it charges" : on)
                                : isOfOutlet(rig, id)
                                        ? "Plug " + name + " into the mains"
                                        : "Switch " + name + " on" + on + ", wait until it is ready",
                        "Before what receives it: a pop now stays in the lead.")
                .telling(load)
                .about(id)
                .in(IN_ORDER);
        return isHost ? step : step.noticing(Symptom.LAMP_BLINKS);
    }

    /** A charger has no switch: it is on as soon as it is in its outlet. */
    static boolean isOfOutlet(SheetRig rig, String id) {
        return rig.device(id).kind() == DeviceKind.HUB;
    }

    private static String words(PowerSource source) {
        return switch (source) {
            case BATTERY -> "its battery";
            case MAINS_EARTHED, MAINS_UNEARTHED -> "mains";
            case ADAPTER_EARTHED, ADAPTER_UNEARTHED -> "its adapter";
            case BUS -> "bus power";
            case PHANTOM -> "phantom power";
            case PLUG_IN -> "plug-in power";
        };
    }
}
