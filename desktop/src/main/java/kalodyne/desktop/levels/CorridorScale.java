package kalodyne.desktop.levels;

import java.util.ArrayList;
import java.util.List;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.units.Level;

/**
 * The upright scale of the corridor: most of its height for the levels where decisions are made, little for the noise
 * far below.
 *
 * @param topDbu at the upper edge
 * @param kneeDbu where the scale changes
 * @param bottomDbu at the lower edge
 * @param height in pixels
 */
record CorridorScale(double topDbu, double kneeDbu, double bottomDbu, double height) {
    private static final double SHARE_ABOVE_KNEE = 0.74;
    private static final double USUAL_KNEE_DBU = -30;
    private static final double KNEE_BELOW_AVERAGE_DB = 12;
    private static final double ROOM_OVER_CEILINGS_DB = 4;
    private static final int STEP_ABOVE = 10;
    private static final int STEP_BELOW = 30;

    /** A scale on which the whole plan can be seen. */
    static CorridorScale of(LevelPlan plan, double height) {
        double top = 0;
        double lowestAverage = 0;
        double lowestFloor = -90;
        for (StageLevel stage : plan.stages()) {
            top = Math.max(top, stage.peak().dbu());
            top = Math.max(top, stage.stage().ceiling().map(Level::dbu).orElse(top));
            lowestAverage = Math.min(lowestAverage, finite(stage.average(), lowestAverage));
            lowestFloor = Math.min(lowestFloor, finite(stage.floor(), lowestFloor));
        }
        double knee = Math.min(USUAL_KNEE_DBU, tenBelow(lowestAverage - KNEE_BELOW_AVERAGE_DB));
        double bottom = Math.max(-170, Math.min(knee - 60, tenBelow(lowestFloor - 5)));
        return new CorridorScale(top + ROOM_OVER_CEILINGS_DB, Math.max(-110, knee), Math.min(-120, bottom), height);
    }

    private static double finite(Level level, double otherwise) {
        return level.isSilence() ? otherwise : level.dbu();
    }

    private static double tenBelow(double dbu) {
        return Math.floor(dbu / 10) * 10;
    }

    /** The height of a level, in pixels from the top; what is off the scale lies on its edge. */
    double y(double dbu) {
        double above = SHARE_ABOVE_KNEE * height;
        if (dbu >= kneeDbu) {
            double level = Math.min(dbu, topDbu);
            return (topDbu - level) / (topDbu - kneeDbu) * above;
        }
        double level = Math.max(dbu, bottomDbu);
        return above + (kneeDbu - level) / (kneeDbu - bottomDbu) * (height - above);
    }

    /** The level at a height. */
    double dbu(double y) {
        double above = SHARE_ABOVE_KNEE * height;
        return y <= above
                ? topDbu - y / above * (topDbu - kneeDbu)
                : kneeDbu - (y - above) / (height - above) * (kneeDbu - bottomDbu);
    }

    /**
     * Round levels that are worth a line, from the top.
     *
     * @param referenceDbu what they are told re
     * @param apart how far apart they must lie, in pixels
     */
    List<Double> ticks(double referenceDbu, double apart) {
        List<Double> ticks = new ArrayList<>();
        double first = Math.floor((topDbu - referenceDbu) / STEP_ABOVE) * STEP_ABOVE;
        double kneeRe = kneeDbu - referenceDbu;
        for (double tick = first; tick >= kneeRe; tick -= STEP_ABOVE) {
            addApart(ticks, tick, referenceDbu, apart);
        }
        double below = Math.ceil((kneeRe - STEP_BELOW) / STEP_ABOVE) * STEP_ABOVE;
        for (double tick = below; tick > bottomDbu - referenceDbu + STEP_ABOVE; tick -= STEP_BELOW) {
            addApart(ticks, tick, referenceDbu, apart);
        }
        return ticks;
    }

    private void addApart(List<Double> ticks, double tick, double referenceDbu, double apart) {
        boolean first = ticks.isEmpty();
        if (first || y(referenceDbu + tick) - y(referenceDbu + ticks.get(ticks.size() - 1)) >= apart) {
            ticks.add(tick);
        }
    }
}
