package kalodyne.core.joint;

import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;

/** Switches of a stage that choose between the sockets which feed it, by the names of their kinds: "phono", "line". */
public final class InputSwitch {
    private InputSwitch() {}

    /**
     * The switch that leaves a socket out as it stands; empty where none does.
     *
     * @param standing where a switch stands; empty where nobody said
     */
    public static Optional<DeviceControl> leavingOut(
            Device device, Socket socket, Function<DeviceControl, Optional<String>> standing) {
        return device.stages().stream()
                .filter(stage -> roots(device, stage).anyMatch(socket::equals))
                .flatMap(stage -> choosing(device, stage))
                .filter(control -> control.positions().contains(socket.signal().word()))
                .filter(control -> standing.apply(control)
                        .filter(at -> !at.equals(socket.signal().word()))
                        .isPresent())
                .findFirst();
    }

    /** Whether a stage hears what comes by a reference of its, as its switches stand. */
    public static boolean isHeard(
            Device device, Stage stage, String reference, Function<DeviceControl, Optional<String>> standing) {
        return choosing(device, stage)
                .allMatch(control -> roots(device, reference)
                        .filter(socket ->
                                control.positions().contains(socket.signal().word()))
                        .allMatch(socket -> standing.apply(control)
                                .filter(at -> !at.equals(socket.signal().word()))
                                .isEmpty()));
    }

    private static Stream<DeviceControl> choosing(Device device, Stage stage) {
        return device.controls().stream()
                .filter(control -> control.kind() == ControlKind.INPUT_SELECT
                        && control.taper().isEmpty()
                        && stage.controls().contains(control.id()));
    }

    private static Stream<Socket> roots(Device device, Stage stage) {
        return stage.from().stream().flatMap(reference -> roots(device, reference));
    }

    /** The sockets at the beginning of what a reference means. */
    private static Stream<Socket> roots(Device device, String reference) {
        String mark = Stage.fedBy(reference);
        return Stream.concat(
                device.socket(mark).stream(),
                device.stages().stream()
                        .filter(stage -> stage.id().equals(mark))
                        .flatMap(stage -> roots(device, stage)));
    }
}
