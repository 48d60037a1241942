package kalodyne.core.gear;

import java.util.List;
import java.util.Optional;

/**
 * A knob, fader or switch of a device, wherever it may stand.
 *
 * @param id its mark within the device: "gain-1"
 * @param name as printed beside it: "gain"
 * @param kind what it is for
 * @param taper what it does along its travel; empty for a switch without gain
 * @param dial how its position is told
 * @param positions of a switch: their names as printed, lowest first; empty for a knob
 */
public record DeviceControl(
        String id, String name, ControlKind kind, Optional<Taper> taper, Dial dial, List<String> positions) {
    public DeviceControl {
        id = Marks.checked(id);
        name = Names.checked(name);
        positions = List.copyOf(positions);
        if (taper.isEmpty() && positions.size() < 2) {
            throw new IllegalArgumentException("the control “" + name + "” needs a taper, or two positions or more");
        }
    }

    public DeviceControl withTaper(Taper newTaper) {
        return new DeviceControl(id, name, kind, Optional.of(newTaper), dial, positions);
    }
}
