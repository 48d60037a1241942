package kalodyne.core.runsheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.gear.Lead;
import kalodyne.core.joint.Spot;

/** How sockets, plugs and controls are called by people; what is no longer on the shelf is called by its mark. */
public final class SpotWords {
    private final Function<String, Optional<Device>> device;
    private final Function<String, Optional<Lead>> lead;

    /**
     * Words.
     *
     * @param device the device of a mark, if it is still there
     * @param lead the lead of a mark
     */
    public SpotWords(Function<String, Optional<Device>> device, Function<String, Optional<Lead>> lead) {
        this.device = device;
        this.lead = lead;
    }

    /** "Lead 7, straight end" or, of a plug that is fixed to a device, what that is called. */
    String plug(Spot plug) {
        return lead.apply(plug.kind())
                .map(it -> it.ends().stream()
                        .filter(end -> end.id().equals(plug.part()))
                        .map(end -> it.name() + ", " + (end.name().isEmpty() ? end.words() : end.name()))
                        .findFirst()
                        .orElse(it.name()))
                .orElseGet(() -> socket(plug));
    }

    /** "Interface, Line in 3". */
    String socket(Spot spot) {
        return device.apply(spot.item())
                .map(it -> it.name() + ", "
                        + it.socket(spot.part()).map(socket -> socket.name()).orElse(spot.part()))
                .orElseGet(() -> lead.apply(spot.kind()).map(Lead::name).orElse(spot.item()));
    }

    private Optional<DeviceControl> found(Spot spot) {
        return device.apply(spot.item()).flatMap(it -> it.control(spot.part()));
    }

    /** "Interface, gain 3"; the name alone of a control whose gear was never told. */
    public String control(Spot spot) {
        return spot.item().isEmpty()
                ? spot.part()
                : device(spot) + ", " + found(spot).map(DeviceControl::name).orElse(spot.part());
    }

    /** Where a control of what is on the shelf stands: "10:45", the mark of a switch, or a percentage of its way where its dial is not known. */
    public String clock(Spot spot, double position) {
        return found(spot)
                .flatMap(control -> control.at(position))
                .map(Control::place)
                .orElseGet(() -> Math.round(100 * position) + " %");
    }

    /** "Interface". */
    public String device(Spot spot) {
        return device.apply(spot.item()).map(Device::name).orElse(spot.item());
    }

    /** How controls stood when a take was made: "Interface, gain 3 10:45", in the order of their marks. */
    public List<String> eachPosition(Map<Spot, Double> positions) {
        return new TreeMap<>(positions)
                .entrySet().stream()
                        .map(each -> control(each.getKey()) + " " + clock(each.getKey(), each.getValue()))
                        .toList();
    }
}
