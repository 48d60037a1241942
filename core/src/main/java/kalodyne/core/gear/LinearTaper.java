package kalodyne.core.gear;

import java.util.List;
import kalodyne.core.units.Gain;

/**
 * Equal travel for equal decibels, as most gain controls of interfaces are meant to be.
 *
 * @param lowest gain at position 0, finite
 * @param highest gain at position 1, above the lowest, finite
 */
public record LinearTaper(Gain lowest, Gain highest) implements Taper {
    public LinearTaper {
        Taper.requireRising(List.of(lowest, highest));
    }

    @Override
    public Gain at(double position) {
        return new Gain(lowest.db() + position * (highest.db() - lowest.db()));
    }

    @Override
    public double positionFor(Gain gain) {
        double position = (gain.db() - lowest.db()) / (highest.db() - lowest.db());
        return Math.max(0, Math.min(1, position));
    }
}
