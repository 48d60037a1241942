package kalodyne.core.runsheet;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;

/**
 * How a rig stood at some time, as far as it was kept.
 *
 * @param wiring what was plugged; empty where only knobs are known
 * @param positions of controls, from 0 to 1, by their marks
 */
public record RigSnapshot(Optional<Wiring> wiring, Map<String, Double> positions) {
    public RigSnapshot {
        positions = Map.copyOf(positions);
    }

    public static RigSnapshot of(Wiring wiring, Settings settings) {
        Map<String, Double> positions = new HashMap<>();
        settings.positions().forEach((spot, position) -> positions.put(spot.write(), position));
        return new RigSnapshot(Optional.of(wiring), positions);
    }

    /** The controls of gear among them. */
    public Map<Spot, Double> spots() {
        Map<Spot, Double> spots = new HashMap<>();
        positions.forEach((id, position) -> Spot.known(id).ifPresent(spot -> spots.put(spot, position)));
        return spots;
    }
}
