package kalodyne.core.takes;

import java.util.Optional;
import kalodyne.core.measure.WaveShapes;

/**
 * A level that the wave does not exceed, and where it is flat. Square waves are flat too, but at whatever height they are played;
 * a ceiling shows by flat tops that all lie at the same height, with round ones below and none above.
 *
 * @param dbfs its level
 * @param flatTops how many half-waves are cut off there
 * @param isOneSided whether only upper or only lower half-waves are cut off
 * @param fromFrame where the first of them begins
 * @param toFrame where the last of them ends
 * @param confidence from 0 to 1
 */
record Ceiling(double dbfs, long flatTops, boolean isOneSided, long fromFrame, long toFrame, double confidence) {
    private static final int FEWEST = 8;

    /** In steps of a quarter decibel: a high-pass behind the stage tilts flat tops, noise roughens them. */
    private static final int THICKNESS = 3;

    /** Of the tops at the ceiling so many are flat at least; of those below it so many at most. */
    private static final double FLAT_AT_CEILING = 0.45;

    private static final double FLAT_BELOW = 0.3;
    private static final int FEWEST_BELOW = 12;

    /** What is cut off by the converter itself is told by another rule. */
    private static final double FULL_SCALE_DBFS = -0.3;

    static Optional<Ceiling> of(ChannelReport channel) {
        WaveShapes shapes = channel.heard().shapes();
        Optional<Ceiling> up = of(shapes.up());
        Optional<Ceiling> down = of(shapes.down());
        if (up.isPresent() && down.isPresent()) {
            Ceiling a = up.get();
            Ceiling b = down.get();
            return Optional.of(new Ceiling(
                    Math.max(a.dbfs, b.dbfs),
                    a.flatTops + b.flatTops,
                    false,
                    Math.min(a.fromFrame, b.fromFrame),
                    Math.max(a.toFrame, b.toFrame),
                    Math.max(a.confidence, b.confidence)));
        }
        return up.or(() -> down);
    }

    private static Optional<Ceiling> of(WaveShapes.Side side) {
        int best = 0;
        for (int step = 0; step + THICKNESS <= side.steps(); step++) {
            best = flats(side, step) > flats(side, best) ? step : best;
        }
        long flat = flats(side, best);
        long at = 0;
        long above = 0;
        for (int step = 0; step < best + THICKNESS; step++) {
            above += step < best ? side.count(step) : 0;
            at += step >= best ? side.count(step) : 0;
        }
        long below = 0;
        long flatBelow = 0;
        for (int step = best + THICKNESS + 2; step < Math.min(side.steps(), best + 60); step++) {
            below += side.count(step);
            flatBelow += side.flat(step);
        }
        double dbfs = side.dbfs(best);
        boolean isCeiling = flat >= FEWEST
                && flat >= FLAT_AT_CEILING * at
                && above <= Math.max(2, flat / 25)
                && below >= FEWEST_BELOW
                && flatBelow <= FLAT_BELOW * below
                && dbfs < FULL_SCALE_DBFS;
        if (!isCeiling) {
            return Optional.empty();
        }
        long from = Long.MAX_VALUE;
        long to = 0;
        for (int step = best; step < best + THICKNESS; step++) {
            from = side.flat(step) > 0 ? Math.min(from, side.firstFlat(step)) : from;
            to = Math.max(to, side.lastFlat(step));
        }
        double confidence = Math.min(0.99, ((double) flat / at) * (1 - (double) flatBelow / below));
        return Optional.of(new Ceiling(dbfs, flat, true, from, to, confidence));
    }

    private static long flats(WaveShapes.Side side, int from) {
        long sum = 0;
        for (int step = from; step < from + THICKNESS; step++) {
            sum += side.flat(step);
        }
        return sum;
    }
}
