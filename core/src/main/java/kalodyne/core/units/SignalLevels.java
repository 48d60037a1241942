package kalodyne.core.units;

/**
 * A signal at one place of its way, as three lines.
 *
 * @param peak the loudest peak, as the RMS of the sine that has the same peak
 * @param average RMS while it plays; not above the peak
 * @param floor its noise while it is silent, 20 Hz to 20 kHz
 */
public record SignalLevels(Level peak, Level average, Level floor) {
    public SignalLevels {
        if (average.compareTo(peak) > 0) {
            throw new IllegalArgumentException(
                    "the average (" + average + ") cannot be above the loudest peak (" + peak + ")");
        }
    }

    /** How far the loudest peak lies above the average. */
    public Gain crest() {
        return peak.above(average);
    }

    /** How far the average lies above the noise. */
    public Gain noiseMargin() {
        return average.above(floor);
    }

    /** All three through a gain or a loss. */
    public SignalLevels plus(Gain gain) {
        return new SignalLevels(peak.plus(gain), average.plus(gain), floor.plus(gain));
    }

    /**
     * The same played louder. The noise stays, also where the average falls below it: how loud somebody plays says nothing about how
     * much the instrument hisses, and a signal under its own noise is to be told, not hidden.
     */
    public SignalLevels louderBy(Gain gain) {
        return new SignalLevels(peak.plus(gain), average.plus(gain), floor);
    }
}
