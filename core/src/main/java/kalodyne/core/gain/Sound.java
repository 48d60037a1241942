package kalodyne.core.gain;

import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * What comes into a flow, at the point that it comes in at and before that point's control.
 *
 * @param player who makes it: all that one player gives belongs together and adds up as voltages
 * @param peak the loudest peak
 * @param average RMS while it plays; not above the peak
 * @param floor what is left while it is silent
 * @param spread how far the true peak may lie from this one, up or down: 0 or more
 */
public record Sound(String player, Level peak, Level average, Level floor, Gain spread) {
    public Sound {
        if (peak.isSilence() || average.isSilence() || average.compareTo(peak) > 0) {
            throw new IllegalArgumentException(
                    "a sound needs an average above silence and not above its loudest peak, got " + average + " and "
                            + peak);
        }
    }

    /** How far the loudest peak lies above the average. */
    public Gain crest() {
        return peak.above(average);
    }

    /** The same found to be louder; its noise stays. */
    public Sound louderBy(Gain gain) {
        return new Sound(player, peak.plus(gain), average.plus(gain), floor, spread);
    }
}
