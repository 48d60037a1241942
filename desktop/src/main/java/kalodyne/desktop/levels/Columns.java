package kalodyne.desktop.levels;

import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.StageLevel;

/** Where the stages of a run stand side by side, in pixels: those with a knob are wide enough for it. */
final class Columns {
    private static final double PLAIN_EM = 5.2;
    private static final double KNOB_EM = 9.4;

    /** Left edges of the columns, and the right edge of the last. */
    private final double[] left;

    private Columns(double[] left) {
        this.left = left;
    }

    /** Stretched over the width that there is, where that is more than needed. */
    static Columns of(LevelPlan plan, double em, double zoom, double from, double width) {
        double needed = needed(plan, em, zoom);
        double stretch = Math.max(1, width / needed);
        double[] left = new double[plan.stages().size() + 1];
        left[0] = from;
        for (int i = 0; i < plan.stages().size(); i++) {
            left[i + 1] = left[i] + em(plan.stages().get(i), zoom) * em * stretch;
        }
        return new Columns(left);
    }

    static double needed(LevelPlan plan, double em, double zoom) {
        return plan.stages().stream().mapToDouble(stage -> em(stage, zoom)).sum() * em;
    }

    /** Never narrower than the knob that stands beneath. */
    private static double em(StageLevel stage, double zoom) {
        return stage.stage().knob().isPresent() ? Math.max(KNOB_EM, KNOB_EM * zoom) : PLAIN_EM * zoom;
    }

    int count() {
        return left.length - 1;
    }

    double start(int column) {
        return left[column];
    }

    double width(int column) {
        return left[column + 1] - left[column];
    }

    double centre(int column) {
        return (left[column] + left[column + 1]) / 2;
    }

    double end() {
        return left[left.length - 1];
    }

    /** The column at a place; the nearest one beside them. */
    int at(double x) {
        int column = 0;
        while (column < count() - 1 && x >= left[column + 1]) {
            column++;
        }
        return column;
    }
}
