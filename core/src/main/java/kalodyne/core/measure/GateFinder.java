package kalodyne.core.measure;

import java.util.ArrayList;
import java.util.List;

/** Finds where the level is steady for 60 ms and then falls by 12 dB or more within 20 ms, to stay there. */
final class GateFinder implements LevelTrack.Listener {
    private static final int BEFORE = 6;
    private static final int BEHIND = 5;
    private static final int FALL = 2;
    private static final int RING = BEFORE + FALL + BEHIND;
    private static final double STEADY_DB = 5;
    private static final double LEAST_FALL_DB = 12;
    private static final int MOST_KEPT = 400;

    private final double[] levels = new double[RING];
    private final List<LevelChange> closings = new ArrayList<>();
    private long quietUntil;

    @Override
    public void step(long step, double db, double brightnessDb) {
        levels[(int) (step % RING)] = db;
        if (step < RING - 1 || step < quietUntil) {
            return;
        }
        double mean = 0;
        double lowest = Double.POSITIVE_INFINITY;
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < BEFORE; i++) {
            double level = level(step, i);
            mean += level / BEFORE;
            lowest = Math.min(lowest, level);
            highest = Math.max(highest, level);
        }
        double behind = Double.NEGATIVE_INFINITY;
        for (int i = BEFORE + FALL; i < RING; i++) {
            behind = Math.max(behind, level(step, i));
        }
        if (highest - lowest <= STEADY_DB && lowest - behind >= LEAST_FALL_DB && closings.size() < MOST_KEPT) {
            long from = step - RING + 1 + BEFORE;
            closings.add(new LevelChange(from, from + FALL, mean, behind));
            quietUntil = step + RING;
        }
    }

    private double level(long step, int index) {
        return levels[(int) ((step - RING + 1 + index) % RING)];
    }

    List<LevelChange> closings() {
        return List.copyOf(closings);
    }
}
