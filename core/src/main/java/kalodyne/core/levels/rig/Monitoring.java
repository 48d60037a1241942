package kalodyne.core.levels.rig;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Direction;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Transfer;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.Flow;
import kalodyne.core.levels.gain.Point;

/**
 * Whether players hear themselves without going through a computer. A switch for direct monitoring of which nobody said how it
 * stands counts as on: it can be switched on.
 */
public final class Monitoring {
    private final List<Checked> joints;
    private final Patch patch;
    private final Flow flow;

    private Monitoring(List<Checked> joints, Patch patch, Flow flow) {
        this.joints = joints;
        this.patch = patch;
        this.flow = flow;
    }

    /** In what is plugged. */
    public static Monitoring of(List<Checked> joints, Patch patch, Settings settings) {
        Patch open = patch.withSwitched(
                Stream.concat(patch.switched().stream(), switchedOn(patch)).toList());
        return new Monitoring(
                List.copyOf(joints), patch, Rig.of(joints, open, settings).flow());
    }

    private static Stream<Switched> switchedOn(Patch patch) {
        return patch.devices().keySet().stream()
                .flatMap(device -> switches(patch, device)
                        .filter(control -> !control.positions().isEmpty())
                        .filter(control -> !isTold(patch, new Spot(device, control.id())))
                        .map(control -> new Switched(
                                new Spot(device, control.id()),
                                control.positions().get(control.positions().size() - 1))));
    }

    private static boolean isTold(Patch patch, Spot control) {
        return patch.standing(control).isPresent();
    }

    /** Whether what is recorded here reaches some headphones or loudspeakers so. */
    public boolean isDirect(Set<String> heardOn) {
        Set<String> players = flow.runs().stream()
                .filter(run -> flow.ends().get(run.end()).kind() == End.Kind.TRACK)
                .flatMap(run -> player(run).stream())
                .collect(Collectors.toSet());
        boolean isByVoltage = flow.runs().stream().anyMatch(run -> {
            End end = flow.ends().get(run.end());
            return end.kind() != End.Kind.TRACK
                    && heardOn.contains(flow.points().get(end.point()).station())
                    && player(run).filter(players::contains).isPresent();
        });
        return isByVoltage || isAtPlayer(heardOn);
    }

    /** Who plays what a run carries; empty where it is only played back. */
    private Optional<String> player(Flow.Run run) {
        Point source = flow.points().get(run.source());
        return source.sound().filter(sound -> !sound.isPlayback()).map(sound -> source.station());
    }

    /** What makes numbers of itself and has the headphones in its own socket, a USB microphone for one. */
    private boolean isAtPlayer(Set<String> heardOn) {
        return ways().anyMatch(way -> heardOn.contains(way.to().socket().item())
                && soundsByItself(way.from().socket().item())
                && !isSwitchedOff(way.from().socket().item()));
    }

    private boolean soundsByItself(String id) {
        boolean sends = patch.devices().get(id).sockets().stream()
                .filter(socket -> patch.isPlugged(new Spot(id, socket.id())))
                .flatMap(socket -> socket.channels().stream())
                .anyMatch(pair -> pair.way() != Direction.IN);
        return sends && ways().noneMatch(way -> way.to().socket().item().equals(id));
    }

    private Stream<Transfer> ways() {
        return joints.stream()
                .flatMap(joint -> joint.reading().stream())
                .flatMap(reading -> reading.ways().stream())
                .filter(way -> !way.isLost());
    }

    private boolean isSwitchedOff(String id) {
        return switches(patch, id).findAny().isPresent()
                && directSwitch(patch, id).isEmpty();
    }

    /** The switch of a device's direct monitoring, unless its owner has it off, at the first of its positions. */
    public static Optional<DeviceControl> directSwitch(Patch patch, String device) {
        return switches(patch, device)
                .filter(control -> patch.position(device, control)
                        .filter(index -> index == 0)
                        .isEmpty())
                .findFirst();
    }

    private static Stream<DeviceControl> switches(Patch patch, String device) {
        return patch.devices().get(device).controls().stream()
                .filter(control -> control.kind() == ControlKind.DIRECT_MONITOR);
    }
}
