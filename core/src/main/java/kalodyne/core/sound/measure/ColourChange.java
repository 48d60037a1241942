package kalodyne.core.sound.measure;

import java.util.List;
import java.util.function.DoubleUnaryOperator;

/**
 * By how much one sound is coloured otherwise than another.
 *
 * @param bands rising; those in which one of the sounds is heard
 */
public record ColourChange(List<Band> bands) {
    public ColourChange {
        bands = List.copyOf(bands);
    }

    /**
     * The change in a band.
     *
     * @param hertz its middle
     * @param db positive where there is more of it now
     * @param isAtMost whether the sound is lost in its noise now, so that it may have changed to less than that
     * @param isAtLeast whether it was lost in noise before, so that it may have changed by more than that
     */
    public record Band(double hertz, double db, boolean isAtMost, boolean isAtLeast) {
        private boolean isExact() {
            return !isAtMost && !isAtLeast;
        }

        /** How far a change misses what is known of this one. */
        private double missedBy(double change) {
            double miss = db - change;
            return (isAtMost && miss > 0) || (isAtLeast && miss < 0) ? 0 : miss;
        }
    }

    /** How many bands lie above a frequency. */
    public long bandsAbove(double hertz) {
        return bands.stream().filter(band -> band.hertz() >= hertz).count();
    }

    /** The change on average over all bands in which both are heard: how much louder it is. */
    public double level() {
        return level(hertz -> 0);
    }

    private double level(DoubleUnaryOperator curveDb) {
        return bands.stream()
                .filter(Band::isExact)
                .mapToDouble(band -> band.db() - curveDb.applyAsDouble(band.hertz()))
                .average()
                .orElse(0);
    }

    /** Root mean square of what changed besides the level. */
    public double spread() {
        return left(hertz -> 0);
    }

    /** Root mean square of what is left where a curve is taken away, and a level with it. */
    private double left(DoubleUnaryOperator curveDb) {
        double level = level(curveDb);
        return Math.sqrt(bands.stream()
                .mapToDouble(band -> Math.pow(band.missedBy(level + curveDb.applyAsDouble(band.hertz())), 2))
                .average()
                .orElse(0));
    }

    /** Which share of the change, in squares, a curve explains; below 0 where it fits worse than none. */
    public double explainedBy(DoubleUnaryOperator curveDb) {
        double all = spread();
        return all == 0 ? 0 : 1 - Math.pow(left(curveDb) / all, 2);
    }
}
