package kalodyne.core.gear;

import java.util.List;
import kalodyne.core.units.Gain;

/**
 * A switch or a click-stop control: its steps lie evenly along the travel.
 *
 * @param steps the gain of each step, rising, two or more
 */
public record SteppedTaper(List<Gain> steps) implements Taper {
    public SteppedTaper {
        steps = List.copyOf(steps);
        if (steps.size() < 2) {
            throw new IllegalArgumentException("a stepped control needs 2 steps or more, got " + steps.size());
        }
        Taper.requireRising(steps);
    }

    @Override
    public Gain at(double position) {
        return steps.get(stepAt(position));
    }

    @Override
    public double positionFor(Gain gain) {
        int nearest = 0;
        for (int i = 1; i < steps.size(); i++) {
            if (Math.abs(steps.get(i).db() - gain.db())
                    < Math.abs(steps.get(nearest).db() - gain.db())) {
                nearest = i;
            }
        }
        return positionOf(nearest);
    }

    @Override
    public double positionAtMost(Gain limit) {
        int highest = 0;
        while (highest + 1 < steps.size() && steps.get(highest + 1).compareTo(limit) <= 0) {
            highest++;
        }
        return positionOf(highest);
    }

    @Override
    public double rest(double position) {
        return positionOf(stepAt(position));
    }

    @Override
    public boolean isStepped() {
        return true;
    }

    private int stepAt(double position) {
        return (int) Math.round(position * (steps.size() - 1));
    }

    private double positionOf(int step) {
        return (double) step / (steps.size() - 1);
    }
}
