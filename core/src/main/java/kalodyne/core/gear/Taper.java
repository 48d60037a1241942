package kalodyne.core.gear;

import java.util.List;
import kalodyne.core.units.Gain;

/**
 * How a control's travel, 0 at its lowest and 1 at its highest, becomes gain. Never falls as the control rises, but for a pan pot
 * on its way to the left.
 */
public sealed interface Taper permits LinearTaper, AudioTaper, SteppedTaper, CalibratedTaper, PanTaper {

    /**
     * The gain at a position.
     *
     * @param position from 0 to 1, both included
     */
    Gain at(double position);

    /** The position whose gain is nearest to the one wanted; the end of the travel for what it does not reach. */
    double positionFor(Gain gain);

    /** The highest position whose gain is not above a limit; the lowest position where there is none. */
    default double positionAtMost(Gain limit) {
        return positionFor(limit);
    }

    /** The nearest position that the control can stand at: the same one, but for switches. */
    default double rest(double position) {
        return position;
    }

    /** Whether the control moves in clicks and so has no positions between. */
    default boolean isStepped() {
        return false;
    }

    default Gain lowest() {
        return at(0);
    }

    default Gain highest() {
        return at(1);
    }

    /** The gains of a list must rise; says which does not. */
    static void requireRising(List<Gain> gains) {
        for (int i = 1; i < gains.size(); i++) {
            if (gains.get(i).compareTo(gains.get(i - 1)) <= 0) {
                throw new IllegalArgumentException(
                        "gains must rise along the travel, but " + gains.get(i) + " comes after " + gains.get(i - 1));
            }
        }
    }
}
