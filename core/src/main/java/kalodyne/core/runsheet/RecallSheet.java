package kalodyne.core.runsheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;

/**
 * How everything stands, so that it can be set so again: every control of every device that is plugged, and the leads.
 *
 * @param devices in the order in which they were plugged, those without controls left out
 * @param rows the leads
 */
public record RecallSheet(List<Desk> devices, List<PatchList.Row> rows) {
    public RecallSheet {
        devices = List.copyOf(devices);
        rows = List.copyOf(rows);
    }

    /**
     * A device with controls.
     *
     * @param name of the device
     * @param knobs in the order of its front
     * @param switches likewise
     */
    public record Desk(String name, List<Knob> knobs, List<Toggle> switches) {
        public Desk {
            knobs = List.copyOf(knobs);
            switches = List.copyOf(switches);
        }
    }

    /**
     * A knob.
     *
     * @param name as printed beside it
     * @param at where it stands; empty where nobody said
     */
    public record Knob(String name, Optional<Control> at) {}

    /**
     * A switch.
     *
     * @param name as printed beside it
     * @param positions their names
     * @param at which of them; empty where nobody said
     */
    public record Toggle(String name, List<String> positions, Optional<String> at) {
        public Toggle {
            positions = List.copyOf(positions);
        }
    }

    /**
     * Of a patch.
     *
     * @param stand where its controls stand
     */
    public static RecallSheet of(Patch patch, RigSnapshot stand, List<PatchList.Row> rows) {
        Map<Spot, String> switches = stand.wiring()
                .map(wiring -> wiring.switches().stream()
                        .collect(Collectors.toMap(Switched::control, Switched::at, (one, other) -> other)))
                .orElse(Map.of());
        Map<Spot, Double> positions = stand.positions();
        return new RecallSheet(
                patch.devices().entrySet().stream()
                        .filter(each -> !each.getValue().controls().isEmpty())
                        .map(each -> desk(each.getKey(), each.getValue(), positions, switches))
                        .toList(),
                rows);
    }

    private static Desk desk(String id, Device device, Map<Spot, Double> positions, Map<Spot, String> switches) {
        return new Desk(
                device.name(),
                device.controls().stream()
                        .filter(control -> control.positions().isEmpty())
                        .map(control -> knob(control, Optional.ofNullable(positions.get(new Spot(id, control.id())))))
                        .toList(),
                device.controls().stream()
                        .filter(control -> !control.positions().isEmpty())
                        .map(control -> toggle(
                                control,
                                Optional.ofNullable(switches.get(new Spot(id, control.id()))),
                                Optional.ofNullable(positions.get(new Spot(id, control.id())))))
                        .toList());
    }

    private static Knob knob(DeviceControl control, Optional<Double> position) {
        return new Knob(control.name(), position.flatMap(control::at));
    }

    /** A switch with gain is known by its place along its way too. */
    private static Toggle toggle(DeviceControl control, Optional<String> at, Optional<Double> position) {
        int last = control.positions().size() - 1;
        return new Toggle(
                control.name(),
                control.positions(),
                at.or(() -> position.map(place -> control.positions().get((int) Math.round(place * last)))));
    }
}
