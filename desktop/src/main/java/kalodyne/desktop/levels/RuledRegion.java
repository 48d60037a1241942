package kalodyne.desktop.levels;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.units.LevelUnit;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;

/** A picture of levels between two scales: volts on wires at its left, and what the end counts in at its right. */
abstract class RuledRegion extends PaintedRegion {
    LevelPlan plan;
    double scrolled;
    CorridorScale scale;
    Columns columns;
    double left;
    double top;

    /** Where a level is painted, in pixels from the upper edge. */
    double y(double dbu) {
        return top + scale.y(dbu);
    }

    /** The left edge of what is in sight. */
    final double seenFrom() {
        return isWhole() ? 0 : scrolled;
    }

    final void paintRules(GraphicsContext g) {
        g.setLineWidth(1);
        g.setStroke(color(Ink.RULE));
        double zero = LevelUnit.inUse().zeroDbu();
        for (double tick : scale.ticks(zero, em())) {
            double y = Math.rint(y(zero + tick)) + 0.5;
            g.strokeLine(left, y, columns.end(), y);
        }
        g.setFont(labelFont());
        g.setFill(color(Ink.SECOND));
        paintKnee(g, columns.end());
    }

    /** The numbers of both scales, over whatever is scrolled beneath them. */
    final void paintScale(GraphicsContext g) {
        double from = seenFrom();
        double x = from + left;
        if (from > 0) {
            g.setFill(color(Ink.SUNK));
            g.fillRect(from, 0, left - 0.2 * em(), top + scale.height());
        }
        g.setFont(labelFont());
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.RIGHT);
        LevelUnit unit = LevelUnit.inUse();
        for (double tick : scale.ticks(unit.zeroDbu(), em())) {
            g.fillText(Print.signed(tick, 0), x - 0.5 * em(), Math.rint(y(unit.zeroDbu() + tick)) + 0.5);
        }
        g.setFont(strongFont());
        g.fillText(unit.symbol(), x - 0.5 * em(), top - 0.8 * em());
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText(plan.isRecorded() ? "dBFS" : "dB SPL", columns.end() + 0.3 * em(), top - 0.8 * em());
        g.setFont(labelFont());
        paintEndTicks(g, columns.end() + 0.5 * em());
    }

    /** Round levels at the end, and the edges of the aim, which go before. */
    private void paintEndTicks(GraphicsContext g, double x) {
        double fullScale = plan.end().zero().dbu();
        double high = plan.end().high();
        double low = plan.end().low();
        for (double tick : scale.ticks(fullScale, em())) {
            double y = y(fullScale + tick);
            boolean free = Math.abs(y - y(fullScale + high)) > em() && Math.abs(y - y(fullScale + low)) > em();
            if ((tick <= 0 || !plan.isRecorded()) && free) {
                g.fillText(Print.decimal(tick, 0), x, Math.rint(y) + 0.5);
            }
        }
        g.setFill(color(Ink.AIM_EDGE));
        g.setFont(strongFont());
        g.fillText(Print.plain(high), x, y(fullScale + high));
        if (y(fullScale + low) - y(fullScale + high) > 0.9 * em()) {
            g.fillText(Print.plain(low), x, y(fullScale + low));
        }
        g.setFont(labelFont());
        g.setFill(color(Ink.SECOND));
    }

    /** Says that the scale is squeezed below its knee. */
    private void paintKnee(GraphicsContext g, double right) {
        double y = Math.rint(y(scale.kneeDbu())) + 0.5;
        g.setStroke(color(Ink.SECOND));
        g.setLineDashes(2, 3);
        g.strokeLine(left, y, right, y);
        g.setLineDashes((double[]) null);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText("squeezed below", left + 0.5 * em(), y + 0.75 * em());
    }
}
