package kalodyne.desktop.model;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.findings.Remedy;
import kalodyne.core.gear.DeviceControl;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Switched;
import kalodyne.core.joint.Wiring;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;

/** Puts controls of a setup somewhere: knobs to a position, switches to the one of their positions that is nearest. */
final class Turning {
    private final Studio studio;
    private final Setup setup;

    Turning(Studio studio, Setup setup) {
        this.studio = studio;
        this.setup = setup;
    }

    /** Where a remedy puts controls. */
    static Map<Spot, Double> positions(Remedy remedy) {
        Map<Spot, Double> positions = new HashMap<>();
        remedy.turns().forEach((mark, position) -> positions.put(Spot.read(mark), position));
        return positions;
    }

    Setup to(Map<Spot, Double> positions) {
        Wiring wiring = setup.wiring();
        Map<Spot, Double> knobs = new HashMap<>();
        for (Map.Entry<Spot, Double> each : positions.entrySet()) {
            Spot spot = each.getKey();
            Optional<DeviceControl> named =
                    control(spot).filter(control -> control.positions().size() > 1);
            if (named.isPresent()) {
                int last = named.get().positions().size() - 1;
                String at = named.get().positions().get((int) Math.round(each.getValue() * last));
                wiring = wiring.with(new Switched(spot, at));
            } else {
                // Of a pan pot an older studio knows the side only.
                wiring = wiring.forgetting(spot);
                knobs.put(spot, each.getValue());
            }
        }
        return setup.withWiring(wiring).withSettings(setup.settings().turned(knobs));
    }

    private Optional<DeviceControl> control(Spot spot) {
        return studio.device(spot.item()).flatMap(device -> device.control(spot.part()));
    }
}
