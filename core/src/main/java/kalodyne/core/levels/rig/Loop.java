package kalodyne.core.levels.rig;

import java.util.List;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.units.Gain;

/**
 * A way on which a signal comes back to where it has been. It howls where it comes back louder.
 *
 * @param points the marks of its points, in the order of the signal
 * @param gain once round, with the controls where they stand
 */
public record Loop(List<PointId> points, Gain gain) {
    public Loop {
        points = List.copyOf(points);
    }
}
