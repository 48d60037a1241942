package kalodyne.core.joint.rules;

import java.util.List;
import kalodyne.core.gear.Device;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Spot;
import kalodyne.core.units.Computed;

/**
 * What hangs on a port that gives bus power.
 *
 * @param port which
 * @param drawnAmperes by all that hangs on it, 0 or more
 * @param mostAmperes that it gives
 * @param living sockets by which devices hang on it that usually run on nothing else, one of each
 */
public record BusLoad(Spot port, double drawnAmperes, double mostAmperes, List<Spot> living) {
    public BusLoad {
        living = List.copyOf(living);
    }

    /** Whether it gives enough; what usually runs on something else does not fail. */
    public boolean isFed() {
        return drawnAmperes <= mostAmperes || living.isEmpty();
    }

    /** "340 mA". */
    public String drawn() {
        return Computed.current(drawnAmperes);
    }

    public String most() {
        return Computed.current(mostAmperes);
    }

    /** "Interface draws 340 mA; Laptop, USB 1 gives 900 mA". */
    public String words(Patch patch) {
        List<String> fed = living.stream()
                .map(spot -> patch.devices().get(spot.item()).name())
                .toList();
        Device giving = patch.devices().get(port.item());
        return String.join(" and ", fed) + (fed.size() == 1 ? " draws " : " draw ")
                + drawn() + "; " + giving.name() + ", "
                + giving.socket(port.part()).orElseThrow().name() + " gives " + most();
    }

    /** Of all ports of a rig, those that feed something. */
    public static List<BusLoad> of(Patch patch) {
        return Supplies.of(patch).loads();
    }
}
