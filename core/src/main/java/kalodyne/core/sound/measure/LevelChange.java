package kalodyne.core.sound.measure;

import java.util.function.LongUnaryOperator;

/**
 * A change of level.
 *
 * @param from where it begins
 * @param to where it is complete
 * @param fromDb mean square before it, in decibels re full scale 1
 * @param toDb behind it
 */
public record LevelChange(long from, long to, double fromDb, double toDb) {
    LevelChange at(LongUnaryOperator frameOfStep) {
        return new LevelChange(frameOfStep.applyAsLong(from), frameOfStep.applyAsLong(to), fromDb, toDb);
    }

    public double db() {
        return toDb - fromDb;
    }
}
