package kalodyne.core.runsheet;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.findings.Severity;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Knob;

/** Everything off and down before the first plug moves: speakers, headphones, gains, mutes. */
final class MuteSteps implements SheetPart {
    private static final Set<ControlKind> TURNED_DOWN =
            Set.of(ControlKind.GAIN, ControlKind.TRIM, ControlKind.LEVEL, ControlKind.VOLUME, ControlKind.FADER);
    private static final int MOST_NAMED = 4;
    private static final String REASON = "Anything left up from last time would be a surprise.";

    @Override
    public void add(SheetRig rig, SheetDraft draft) {
        speakers(rig, draft);
        ears(rig, draft);
        down(rig, draft);
        rig.devices().stream()
                .filter(id -> rig.device(id).kind() == DeviceKind.PIANO
                        && !rig.microphones().isEmpty())
                .forEach(id -> draft.add(Step.of(
                                "own-speakers:" + id,
                                Section.QUIET,
                                Act.SET_SWITCH,
                                rig.name(id) + ": its own speakers off",
                                "A microphone hears them too, and both together sound hollow.")
                        .about(id)
                        .in(Steps.ALL_DOWN)));
        draft.order(
                Steps.does(Act.TURN_DOWN),
                Steps.does(Act.SWITCH_ON),
                Order.Strength.SAFETY,
                "What is switched on with its level up starts loud.");
        draft.order(
                Steps.does(Act.TURN_DOWN),
                Steps.does(Act.PLUG),
                Order.Strength.HABIT,
                "A plug that goes in crackles, and every gain behind it makes that louder.");
        draft.order(
                Steps.does(Act.TURN_DOWN, Act.SILENCE, Act.SET_SWITCH),
                Steps.does(Act.SET_LEVEL),
                Order.Strength.NEED,
                "Levels come up from nothing, so that nothing surprises.");
    }

    private static void speakers(SheetRig rig, SheetDraft draft) {
        List<String> loud = rig.loud();
        if (loud.isEmpty()) {
            return;
        }
        draft.add(Step.of(
                        Steps.SPEAKERS_OFF,
                        Section.QUIET,
                        Act.SWITCH_OFF,
                        "Speakers off, their level down: " + rig.names(loud),
                        "Plugs that go in and gear that is switched on thump. Speakers that are on play it, and can break by it.")
                .with(new Caution(Severity.HARM, "no plugging with speakers on"))
                .about(loud));
        draft.order(
                Steps.SPEAKERS_OFF,
                Steps.does(Act.PLUG),
                Order.Strength.SAFETY,
                "A plug that goes in with the speakers on thumps through them.");
        draft.order(
                Steps.SPEAKERS_OFF,
                Steps.does(Act.SWITCH_ON).and(step -> !step.section().equals(Section.SPEAKERS)),
                Order.Strength.SAFETY,
                "Gear that is switched on thumps through speakers that are on.");
    }

    private static void ears(SheetRig rig, SheetDraft draft) {
        List<String> phones = rig.worn();
        if (phones.isEmpty()) {
            return;
        }
        draft.add(Step.of(
                        Steps.EARS_OFF,
                        Section.QUIET,
                        Act.EARS_OFF,
                        rig.names(phones) + ": not on the ears",
                        "Plugging and switching make pops that hurt ears.")
                .with(new Caution(Severity.HARM, "headphones off while connecting"))
                .about(phones));
        draft.order(
                Steps.EARS_OFF,
                Steps.does(Act.PLUG, Act.SWITCH_ON, Act.PHANTOM_ON),
                Order.Strength.SAFETY,
                "Pops from plugs and switches hurt ears.");
    }

    /** What has a level is turned down: the knobs that matter here, of a mixer all. What is played goes in one step. */
    private static void down(SheetRig rig, SheetDraft draft) {
        List<String> active = rig.devices().stream()
                .filter(rig::isActive)
                .filter(id -> !rig.isHost(id) && !rig.isLoud(id))
                .toList();
        Set<String> players = rig.players();
        List<String> played = active.stream()
                .filter(id -> players.contains(id) && rig.device(id).kind() != DeviceKind.MIXER)
                .filter(id -> !knobs(rig, id).isEmpty())
                .toList();
        if (!played.isEmpty()) {
            draft.add(Step.of("down:players", Section.QUIET, Act.TURN_DOWN, "Volume down: " + rig.names(played), REASON)
                    .about(played)
                    .in(Steps.ALL_DOWN));
        }
        active.stream().filter(id -> !played.contains(id)).forEach(id -> down(rig, id, draft));
    }

    private static List<DeviceControl> knobs(SheetRig rig, String id) {
        Set<String> used = rig.levels().rig().flow().knobs().stream()
                .map(Knob::id)
                .filter(spot -> spot.item().equals(id))
                .map(Spot::part)
                .collect(Collectors.toSet());
        Device device = rig.device(id);
        return device.controls().stream()
                .filter(control ->
                        TURNED_DOWN.contains(control.kind()) && control.taper().isPresent())
                .filter(control -> device.kind() == DeviceKind.MIXER || used.contains(control.id()))
                .toList();
    }

    private static void down(SheetRig rig, String id, SheetDraft draft) {
        List<DeviceControl> knobs = knobs(rig, id);
        boolean hasMute = rig.device(id).controls().stream().anyMatch(control -> control.kind() == ControlKind.MUTE);
        if (knobs.isEmpty() && !hasMute) {
            return;
        }
        String what = knobs.size() > MOST_NAMED
                ? "all gains, faders and levels"
                : knobs.stream().map(DeviceControl::name).distinct().collect(Collectors.joining(", "));
        draft.add(Step.of(
                        "down:" + id,
                        Section.QUIET,
                        Act.TURN_DOWN,
                        rig.name(id) + ": " + (knobs.isEmpty() ? "muted" : what + " fully down")
                                + (hasMute && !knobs.isEmpty() ? ", mutes on" : ""),
                        REASON)
                .about(id)
                .in(Steps.ALL_DOWN));
    }
}
