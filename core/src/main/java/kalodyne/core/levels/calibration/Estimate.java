package kalodyne.core.levels.calibration;

import kalodyne.core.units.Print;

/**
 * A number with its confidence.
 *
 * @param db the likeliest
 * @param uncertaintyDb the true one lies no farther from it, in 95 of 100 cases
 */
public record Estimate(double db, double uncertaintyDb) {
    /** Whether it is more than chance. */
    public boolean isClear() {
        return Math.abs(db) > uncertaintyDb;
    }

    /** "+3.2 ± 0.8 dB". */
    @Override
    public String toString() {
        return Print.signed(db, 1) + " ± " + Print.decimal(uncertaintyDb, 1) + " dB";
    }
}
