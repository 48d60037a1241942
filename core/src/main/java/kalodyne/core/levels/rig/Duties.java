package kalodyne.core.levels.rig;

import java.util.HashSet;
import java.util.Set;
import java.util.stream.Stream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.gear.StageKind;
import kalodyne.core.gear.Taper;
import kalodyne.core.levels.gain.Duty;

/** What the controls of a device are there for, as far as its kind and its inside tell. */
final class Duties {
    private static final Set<SignalKind> EARS = Set.of(SignalKind.HEADPHONE, SignalKind.HEADSET, SignalKind.SPEAKER);

    /** A level that reaches so far up makes gain, whatever it is called. */
    private static final double MAKES_DB = 20;

    private final Device device;

    Duties(Device device) {
        this.device = device;
    }

    Duty of(DeviceControl control) {
        ControlKind kind = control.kind();
        if (kind == ControlKind.TRIM || kind == ControlKind.GAIN || makesGain(control)) {
            return kind == ControlKind.TRIM || isDesk() ? Duty.TRIM : Duty.GAIN;
        }
        if (!kind.isVolume()) {
            return kind == ControlKind.PAN ? Duty.PAN : Duty.SWITCH;
        }
        if (stages(control).findAny().isEmpty()) {
            return device.kind() == DeviceKind.INSTRUMENT ? Duty.TONE : isPlayer() ? Duty.SOURCE : Duty.OUTPUT;
        }
        if (kind == ControlKind.VOLUME) {
            return device.kind() == DeviceKind.PREAMP ? Duty.MAIN : Duty.OUTPUT;
        }
        return stages(control).anyMatch(stage -> isBehindBus(stage, new HashSet<>())) ? Duty.MAIN : Duty.CHANNEL;
    }

    private static boolean makesGain(DeviceControl control) {
        return control.kind().isVolume()
                && control.taper()
                        .map(Taper::highest)
                        .filter(gain -> gain.db() >= MAKES_DB)
                        .isPresent();
    }

    private Stream<Stage> stages(DeviceControl control) {
        return device.stages().stream().filter(stage -> stage.controls().contains(control.id()));
    }

    /** What has its volume without more inside, and an output that is not for ears alone. */
    private boolean isPlayer() {
        return device.stages().isEmpty()
                && device.sockets().stream()
                        .filter(socket -> socket.way() == Direction.OUT)
                        .map(Socket::signal)
                        .anyMatch(signal -> signal != SignalKind.DIGITAL && !EARS.contains(signal));
    }

    private boolean isDesk() {
        return device.kind() == DeviceKind.MIXER || device.kind() == DeviceKind.DJ;
    }

    /** Where there are no channels, nothing is a channel's. */
    private boolean isBehindBus(Stage stage, Set<String> seen) {
        if (stage.kind() == StageKind.BUS || !isDesk()) {
            return true;
        }
        return stage.from().stream()
                .map(Stage::fedBy)
                .filter(seen::add)
                .flatMap(from ->
                        device.stages().stream().filter(before -> before.id().equals(from)))
                .anyMatch(before -> isBehindBus(before, seen));
    }
}
