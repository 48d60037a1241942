package kalodyne.core.sound.measure;

import kalodyne.core.units.Gain;

/**
 * How often which power was met, in small steps of level, with the exact sum of what lies in each step. Percentiles
 * are right to such a step, means above a threshold to what straddles it.
 */
final class LevelHistogram {
    private static final double LOWEST_DB = -160;
    private static final double HIGHEST_DB = 60;

    private final int stepsPerDb;
    private final long[] counts;
    private final double[] sums;
    private long count;
    private long silent;

    /** Empty, with so many steps a decibel. */
    LevelHistogram(int stepsPerDb) {
        this.stepsPerDb = stepsPerDb;
        int steps = (int) ((HIGHEST_DB - LOWEST_DB) * stepsPerDb);
        counts = new long[steps];
        sums = new double[steps];
    }

    /** Adds a power; nothing at all is counted apart. */
    void add(double power) {
        double db = Gain.ofPowerRatio(power).db();
        if (db < LOWEST_DB) {
            silent++;
            return;
        }
        int step = step(db);
        counts[step]++;
        sums[step] += power;
        count++;
    }

    private int step(double db) {
        return (int) Math.max(0, Math.min(counts.length - 1, (db - LOWEST_DB) * stepsPerDb));
    }

    /** How many powers there are above silence. */
    long count() {
        return count;
    }

    /** How many were nothing at all. */
    long silent() {
        return silent;
    }

    /** The mean of all powers at or above a level; 0 where there is none. */
    double meanFrom(double db) {
        double sum = 0;
        long found = 0;
        for (int step = step(db); step < counts.length; step++) {
            sum += sums[step];
            found += counts[step];
        }
        return found == 0 ? 0 : sum / found;
    }

    /** The mean of the quietest powers above silence, so many of them as the share tells, and one at least. */
    double meanOfQuietest(double share) {
        long wanted = Math.max(1, Math.round(share * count));
        double sum = 0;
        long found = 0;
        for (int step = 0; step < counts.length && found < wanted; step++) {
            sum += sums[step];
            found += counts[step];
        }
        return found == 0 ? 0 : sum / found;
    }

    /** The level below which a share of all lies, in decibels; negative infinity where there is none above silence. */
    double percentile(double share) {
        return percentileFrom(LOWEST_DB, share);
    }

    /**
     * The level below which a share of all lies that are at or above a level.
     *
     * @return in decibels, of the middle of its step; negative infinity where there is none
     */
    double percentileFrom(double db, double share) {
        long above = 0;
        for (int step = step(db); step < counts.length; step++) {
            above += counts[step];
        }
        if (above == 0) {
            return Double.NEGATIVE_INFINITY;
        }
        long wanted = Math.round((above - 1) * share);
        long found = 0;
        int step = step(db);
        while (found + counts[step] <= wanted) {
            found += counts[step++];
        }
        return LOWEST_DB + (step + 0.5) / stepsPerDb;
    }
}
