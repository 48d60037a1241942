package kalodyne.core.levels.run;

import kalodyne.core.units.Level;

/**
 * A signal as three lines.
 *
 * @param peak the loudest peak, as the RMS of the sine that has the same peak
 * @param average RMS while it plays; not above the peak
 * @param floor its noise while it is silent, 20 Hz to 20 kHz; not above the average
 */
public record SignalLevels(Level peak, Level average, Level floor) {
    public SignalLevels {
        if (peak.isSilence() || average.isSilence()) {
            throw new IllegalArgumentException("a source needs a loudest peak and an average above silence");
        }
        if (average.compareTo(peak) > 0) {
            throw new IllegalArgumentException(
                    "the average (" + average + ") cannot be above the loudest peak (" + peak + ")");
        }
        if (floor.compareTo(average) > 0) {
            throw new IllegalArgumentException(
                    "the noise (" + floor + ") cannot be above the average (" + average + ")");
        }
    }

    public SignalLevels withPeak(Level newPeak) {
        return new SignalLevels(newPeak, average, floor);
    }

    public SignalLevels withAverage(Level newAverage) {
        return new SignalLevels(peak, newAverage, floor);
    }

    public SignalLevels withFloor(Level newFloor) {
        return new SignalLevels(peak, average, newFloor);
    }
}
