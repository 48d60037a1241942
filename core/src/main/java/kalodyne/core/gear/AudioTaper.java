package kalodyne.core.gear;

import kalodyne.core.units.Gain;

/**
 * A volume control as potentiometers with an audio ("A") law give it: shut at the bottom, a tenth of the voltage at half
 * travel, straight lines between. Common practice; single parts differ by some decibels.
 *
 * @param highest gain at position 1, finite
 */
public record AudioTaper(Gain highest) implements Taper {
    private static final double RATIO_AT_HALF = 0.1;

    @Override
    public Gain at(double position) {
        double ratio = position <= 0.5
                ? 2 * position * RATIO_AT_HALF
                : RATIO_AT_HALF + 2 * (position - 0.5) * (1 - RATIO_AT_HALF);
        return highest.plus(Gain.ofRatio(ratio));
    }

    @Override
    public double positionFor(Gain gain) {
        double ratio = Math.min(1, gain.minus(highest).ratio());
        return ratio <= RATIO_AT_HALF
                ? ratio / (2 * RATIO_AT_HALF)
                : 0.5 + (ratio - RATIO_AT_HALF) / (2 * (1 - RATIO_AT_HALF));
    }
}
