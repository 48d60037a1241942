package kalodyne.core.runsheet;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.Wiring;
import kalodyne.core.levels.rig.Settings;

/**
 * How a rig stood at some time, as far as it was kept.
 *
 * @param wiring what was plugged; empty where only knobs are known
 * @param positions of controls of gear, from 0 to 1; of others that were kept once nothing is known
 */
public record RigSnapshot(Optional<Wiring> wiring, Map<Spot, Double> positions) {
    public RigSnapshot {
        positions = positions.entrySet().stream()
                .filter(each -> !each.getKey().item().isEmpty())
                .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    public static RigSnapshot of(Wiring wiring, Settings settings) {
        return new RigSnapshot(Optional.of(wiring), settings.positions());
    }
}
