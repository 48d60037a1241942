package kalodyne.core.gear;

import java.util.List;
import java.util.Optional;

/**
 * A knob, fader or switch of a device, wherever it may stand.
 *
 * @param id its mark within the device: "gain-1"
 * @param name as printed beside it: "gain"
 * @param kind what it is for
 * @param taper what it does along its travel, of a pan pot on its way to the right; empty for a switch without gain
 * @param dial how its position is told
 * @param positions of a switch: their names as printed, lowest first; empty for a knob, and a pan pot is one
 */
public record DeviceControl(
        String id, String name, ControlKind kind, Optional<Taper> taper, Dial dial, List<String> positions) {
    public DeviceControl {
        id = Marks.checked(id);
        name = Names.checked(name);
        boolean isPan = kind == ControlKind.PAN;
        positions = isPan ? List.of() : List.copyOf(positions);
        taper = isPan && !(taper.orElse(null) instanceof PanTaper) ? Optional.of(PanTaper.USUAL) : taper;
        if (taper.isEmpty() && positions.size() < 2) {
            throw new IllegalArgumentException("the control “" + name + "” needs a taper, or two positions or more");
        }
    }

    /** With where it stands, from 0 to 1; empty for a switch without gain. */
    public Optional<Control> at(double position) {
        return taper.map(along -> new Control(name, along, dial, marks(along), Math.max(0, Math.min(1, position))));
    }

    /** What is printed beside the clicks, where each has a name. */
    private List<String> marks(Taper along) {
        if (along instanceof PanTaper) {
            return PanTaper.MARKS;
        }
        return along instanceof SteppedTaper clicks && clicks.steps().size() == positions.size()
                ? positions
                : List.of();
    }

    public DeviceControl withTaper(Taper newTaper) {
        return new DeviceControl(id, name, kind, Optional.of(newTaper), dial, positions);
    }
}
