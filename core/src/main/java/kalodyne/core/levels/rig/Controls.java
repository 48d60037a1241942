package kalodyne.core.levels.rig;

import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import kalodyne.core.gear.ControlKind;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.PanTaper;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.Stage;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.units.Gain;

/** The controls of a patch: which act where, and how they stand. */
final class Controls {
    /** The order in which a stage with several controls has them. */
    private static final List<Set<ControlKind>> ORDER = List.of(
            EnumSet.of(ControlKind.PAD, ControlKind.INPUT_SELECT),
            EnumSet.of(ControlKind.GAIN, ControlKind.TRIM),
            EnumSet.of(ControlKind.VOLUME, ControlKind.LEVEL, ControlKind.FADER));

    private final Patch patch;
    private final Settings settings;

    Controls(Patch patch, Settings settings) {
        this.patch = patch;
        this.settings = settings;
    }

    /** The controls of a stage that change its level, in the order of the signal. */
    static List<DeviceControl> of(Device device, Stage stage) {
        return device.controls().stream()
                .filter(control -> control.taper().isPresent())
                .filter(control -> stage.controls().contains(control.id()))
                .filter(control -> order(control) >= 0)
                .sorted(Comparator.comparingInt(Controls::order))
                .toList();
    }

    private static int order(DeviceControl control) {
        return IntStream.range(0, ORDER.size())
                .filter(i -> ORDER.get(i).contains(control.kind()))
                .findFirst()
                .orElse(-1);
    }

    static boolean isVolume(DeviceControl control) {
        return control.kind().isVolume();
    }

    /** The volume that acts on an output by itself: one that belongs to no stage. Beside stages it is that of the headphones. */
    static Optional<DeviceControl> atOutput(Device device, Socket socket) {
        Set<String> inStages = new HashSet<>();
        device.stages().forEach(stage -> inStages.addAll(stage.controls()));
        boolean isAtPhones = socket.signal() == SignalKind.HEADPHONE || socket.signal() == SignalKind.HEADSET;
        return device.controls().stream()
                .filter(control -> isVolume(control) && control.taper().isPresent() && !inStages.contains(control.id()))
                .filter(control -> device.stages().isEmpty() || isAtPhones)
                .findFirst();
    }

    boolean isPlugged(Spot socket) {
        return patch.isPlugged(socket);
    }

    /** The position that a switch is known to stand at. */
    Optional<String> standing(String id, DeviceControl control) {
        return patch.standing(new Spot(id, control.id()));
    }

    /** Where a switch stands, from 0 at its lowest; empty where nobody said. */
    Optional<Integer> position(String id, DeviceControl control) {
        return patch.position(id, control);
    }

    /** Whether a stage has a switch of a kind that stands at its highest. */
    boolean isOn(String id, Device device, Stage stage, ControlKind kind) {
        return device.controls().stream()
                .filter(control -> control.kind() == kind && stage.controls().contains(control.id()))
                .anyMatch(control ->
                        position(id, control).filter(index -> index > 0).isPresent());
    }

    static boolean has(Device device, Stage stage, ControlKind kind) {
        return device.controls().stream()
                .anyMatch(control -> control.kind() == kind && stage.controls().contains(control.id()));
    }

    /** The pan pot, or the balance, of a stage. */
    static Optional<DeviceControl> pan(Device device, Stage stage) {
        return device.controls().stream()
                .filter(control ->
                        control.kind() == ControlKind.PAN && stage.controls().contains(control.id()))
                .findFirst();
    }

    Knob knob(KnobDraft draft) {
        Spot spot = draft.control();
        Device device = patch.devices().get(spot.item());
        DeviceControl described = device.control(spot.part()).orElseThrow();
        DeviceControl control = draft.pan().map(described::withTaper).orElse(described);
        return new Knob(
                spot,
                device.name(),
                control.kind(),
                new Duties(device).of(control),
                control.at(position(spot, device, control)).orElseThrow(),
                settings.locked().contains(spot) || Knob.isChoice(control.kind()),
                isTold(spot));
    }

    private double position(Spot spot, Device device, DeviceControl control) {
        return Optional.ofNullable(settings.positions().get(spot))
                .or(() -> control.kind() == ControlKind.PAN
                        ? patch.standing(spot)
                                .map(PanTaper.MARKS::indexOf)
                                .filter(index -> index >= 0)
                                .map(index -> index / 2.0)
                        : position(spot.item(), control)
                                .map(index -> index
                                        / Math.max(1.0, control.positions().size() - 1)))
                .orElseGet(() -> untold(device, control));
    }

    private boolean isTold(Spot spot) {
        return settings.positions().containsKey(spot) || patch.standing(spot).isPresent();
    }

    /** Where a control is taken to stand while nobody said: gains down, pan pots in the middle, all others where they neither add nor take. */
    private static double untold(Device device, DeviceControl control) {
        if (control.kind() == ControlKind.PAN) {
            return PanTaper.CENTRE;
        }
        boolean isGain = control.kind() == ControlKind.GAIN || control.kind() == ControlKind.TRIM;
        return isGain && !device.stages().isEmpty()
                ? 0
                : control.taper().orElseThrow().positionFor(Gain.NONE);
    }
}
