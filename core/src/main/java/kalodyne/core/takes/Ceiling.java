package kalodyne.core.takes;

import java.util.Optional;
import kalodyne.core.sound.measure.WaveShapes;

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
public record Ceiling(double dbfs, long flatTops, boolean isOneSided, long fromFrame, long toFrame, double confidence) {
    private static final int FEWEST = 6;

    /** In steps of a quarter decibel: a high-pass behind the stage tilts flat tops, noise roughens them. */
    private static final int THICKNESS = 3;

    private static final int BELOW_FROM = 4;
    private static final int BELOW_NEAR = 12;
    private static final int BELOW_TO = 60;

    /** Round tops above it: so many in all, or one to so many at it. */
    private static final int FEW_ABOVE = 2;

    private static final int ONE_ABOVE_TO = 12;

    /** How many of the tops are flat at a ceiling, and how many times as often as below it. */
    private static final double OFTEN_FLAT = 0.3;

    private static final double TIMES_AS_OFTEN = 3;

    /** Tops with several bumps are flat less often; then they crowd at the ceiling. */
    private static final double SOMETIMES_FLAT = 0.05;

    private static final double CROWD = 1.5;

    /** With so few below there is no telling by comparison: square waves, which fill their box, are left alone. */
    private static final int FEWEST_BELOW = 12;

    private static final int MANY = 20;
    private static final double MOSTLY_FLAT = 0.45;
    private static final double FILLED = 0.8;

    /** What is cut off by the converter itself is told by another rule. */
    private static final double FULL_SCALE_DBFS = -0.3;

    static Optional<Ceiling> of(WaveShapes shapes) {
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
            best = side.flat(step, step + THICKNESS) > side.flat(best, best + THICKNESS) ? step : best;
        }
        int end = best + THICKNESS;
        long flat = side.flat(best, end);
        long at = side.count(best, end);
        long above = side.count(0, best) - side.flat(0, best);
        long below = side.count(best + BELOW_FROM, best + BELOW_TO);
        double share = (double) flat / Math.max(1, at);
        double shareBelow = (double) side.flat(best + BELOW_FROM, best + BELOW_TO) / Math.max(1, below);
        double near = (double) side.count(best + BELOW_FROM, best + BELOW_NEAR) / (BELOW_NEAR - BELOW_FROM);
        boolean crowded = (double) at / THICKNESS > CROWD * near;
        boolean shows = below < FEWEST_BELOW
                ? flat >= MANY && share > MOSTLY_FLAT && side.fullness(best, end) < FILLED
                : share > TIMES_AS_OFTEN * shareBelow && (share > OFTEN_FLAT || (share > SOMETIMES_FLAT && crowded));
        boolean highest = above <= Math.max(FEW_ABOVE, at / ONE_ABOVE_TO);
        if (flat < FEWEST || !highest || !shows || side.dbfs(best) > FULL_SCALE_DBFS) {
            return Optional.empty();
        }
        long from = Long.MAX_VALUE;
        long to = 0;
        for (int step = best; step < end; step++) {
            from = side.flat(step) > 0 ? Math.min(from, side.firstFlat(step)) : from;
            to = Math.max(to, side.lastFlat(step));
        }
        double confidence = Math.min(0.98, 0.6 + 0.4 * share * (1 - shareBelow));
        return Optional.of(new Ceiling(side.dbfs(best), flat, true, from, to, confidence));
    }
}
