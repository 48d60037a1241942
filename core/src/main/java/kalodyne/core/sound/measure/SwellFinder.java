package kalodyne.core.sound.measure;

import java.util.ArrayList;
import java.util.List;

/**
 * Finds pauses in which the noise creeps up: quiet stretches between loud ones whose level rises steadily by some decibels over
 * some tenths of a second without changing its colour, as automatic level control makes it.
 */
final class SwellFinder {
    private static final int STEPS_PER_POINT = 5;
    private static final double SECONDS_PER_POINT = 0.05;
    private static final double BELOW_LOUD_DB = 14;

    /** What is loud is forgotten so fast. */
    private static final double FORGET_DB_PER_POINT = 0.05;

    private static final int FEWEST_POINTS = 8;
    private static final int MOST_POINTS = 400;
    private static final double LEAST_RISE_DB = 4;
    private static final double STEEPEST_DB_PER_SECOND = 70;
    private static final double SAME_COLOUR_DB = 2.5;
    private static final double STEP_BACK_DB = 0.7;
    private static final double MOSTLY = 0.85;
    private static final int MOST_KEPT = 400;

    private final List<LevelChange> swells = new ArrayList<>();
    private final List<Point> pause = new ArrayList<>();
    private double sum;
    private double brightness;
    private double loud = Double.NEGATIVE_INFINITY;

    private record Point(long step, double db, double brightnessDb) {}

    /**
     * Takes the next step.
     *
     * @param step its number, from 0
     * @param db mean square round the mean, in decibels
     * @param brightnessDb mean square of the differences from sample to sample, over that mean square
     */
    void step(long step, double db, double brightnessDb) {
        sum += db;
        brightness += brightnessDb;
        if ((step + 1) % STEPS_PER_POINT == 0) {
            point(new Point(step + 1 - STEPS_PER_POINT, sum / STEPS_PER_POINT, brightness / STEPS_PER_POINT));
            sum = 0;
            brightness = 0;
        }
    }

    private void point(Point point) {
        loud = Math.max(point.db(), loud - FORGET_DB_PER_POINT);
        if (point.db() < loud - BELOW_LOUD_DB) {
            if (pause.size() < MOST_POINTS) {
                pause.add(point);
            }
        } else {
            endPause();
        }
    }

    private void endPause() {
        // The last point may hold the beginning of the next note.
        int end = pause.size() - 1;
        int lowest = 0;
        for (int i = 1; i < end; i++) {
            lowest = pause.get(i).db() < pause.get(lowest).db() ? i : lowest;
        }
        if (end - lowest >= FEWEST_POINTS) {
            judge(pause.subList(lowest, end));
        }
        pause.clear();
    }

    private void judge(List<Point> rise) {
        Point first = rise.get(0);
        Point last = rise.get(rise.size() - 1);
        double by = last.db() - first.db();
        double perSecond = by / ((rise.size() - 1) * SECONDS_PER_POINT);
        int upward = 0;
        double darkest = Double.POSITIVE_INFINITY;
        double brightest = Double.NEGATIVE_INFINITY;
        for (int i = 1; i < rise.size(); i++) {
            upward += rise.get(i).db() >= rise.get(i - 1).db() - STEP_BACK_DB ? 1 : 0;
            darkest = Math.min(darkest, rise.get(i).brightnessDb());
            brightest = Math.max(brightest, rise.get(i).brightnessDb());
        }
        boolean steady = upward >= MOSTLY * (rise.size() - 1) && brightest - darkest <= SAME_COLOUR_DB;
        if (by >= LEAST_RISE_DB && perSecond <= STEEPEST_DB_PER_SECOND && steady && swells.size() < MOST_KEPT) {
            swells.add(new LevelChange(first.step(), last.step(), first.db(), last.db()));
        }
    }

    List<LevelChange> swells() {
        return List.copyOf(swells);
    }
}
