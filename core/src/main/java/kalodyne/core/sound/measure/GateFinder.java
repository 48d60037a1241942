package kalodyne.core.sound.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * Finds where the level is steady for 60 ms, or fades slowly, and then falls by 12 dB or more within 20 ms, to stay there. What
 * dies away by itself does not end so.
 */
final class GateFinder {
    private static final int BEFORE = 6;
    private static final int BEHIND = 5;
    private static final int FALL = 2;
    private static final int RING = BEFORE + FALL + BEHIND;
    private static final double FADES_DB_A_STEP = 0.6;
    private static final double UNEVEN_DB = 1.5;
    private static final double LEAST_FALL_DB = 12;
    private static final int MOST_KEPT = 400;

    /** Where nothing at all is left, or the same noise more softly, something was shut; else a sound has ended. */
    private static final double NOTHING_DB = -94;

    private static final double SAME_COLOUR_DB = 3;

    private final double[] levels = new double[RING];
    private final double[] colours = new double[RING];
    private final List<LevelChange> closings = new ArrayList<>();
    private long quietUntil;

    /**
     * Takes the next step.
     *
     * @param step its number, from 0
     * @param db mean square round the mean, in decibels
     * @param brightnessDb mean square of the differences from sample to sample, over that mean square
     */
    void step(long step, double db, double brightnessDb) {
        levels[(int) (step % RING)] = db;
        colours[(int) (step % RING)] = brightnessDb;
        if (step < RING - 1 || step < quietUntil) {
            return;
        }
        double mean = 0;
        double slope = 0;
        double middle = (BEFORE - 1) / 2.0;
        double spread = BEFORE * (BEFORE * BEFORE - 1) / 12.0;
        for (int i = 0; i < BEFORE; i++) {
            mean += level(step, i) / BEFORE;
            slope += (i - middle) * level(step, i) / spread;
        }
        if (slope < -FADES_DB_A_STEP || slope > FADES_DB_A_STEP) {
            return;
        }
        double uneven = 0;
        for (int i = 0; i < BEFORE; i++) {
            uneven = Math.max(uneven, Math.abs(level(step, i) - mean - slope * (i - middle)));
        }
        double behind = Double.NEGATIVE_INFINITY;
        for (int i = BEFORE + FALL; i < RING; i++) {
            behind = Math.max(behind, level(step, i));
        }
        double goingOn = level(step, BEFORE - 1) + slope * FALL;
        boolean falls = uneven <= UNEVEN_DB && goingOn - behind >= LEAST_FALL_DB;
        if (falls && (behind < NOTHING_DB || isSameNoise(step)) && closings.size() < MOST_KEPT) {
            long from = step - RING + 1 + BEFORE;
            closings.add(new LevelChange(from, from + FALL, mean, behind));
            quietUntil = step + RING;
        }
    }

    private boolean isSameNoise(long step) {
        double before = 0;
        for (int i = 0; i < BEFORE; i++) {
            before += at(colours, step, i) / BEFORE;
        }
        double behind = 0;
        for (int i = BEFORE + FALL; i < RING; i++) {
            behind += at(colours, step, i) / BEHIND;
        }
        return Math.abs(before - behind) < SAME_COLOUR_DB;
    }

    private double level(long step, int index) {
        return at(levels, step, index);
    }

    private static double at(double[] ring, long step, int index) {
        return ring[(int) ((step - RING + 1 + index) % RING)];
    }

    List<LevelChange> closings() {
        return List.copyOf(closings);
    }
}
