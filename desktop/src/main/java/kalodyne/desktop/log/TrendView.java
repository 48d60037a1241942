package kalodyne.desktop.log;

import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.studio.log.Trend;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;

/** Peaks and noise of a run from take to take: full scale above, the quietest noise below. */
final class TrendView extends PaintedRegion {
    private static final double LOWEST_DBFS = -100;
    private static final int STEP = 20;

    private final Trend trend;
    private final String chosen;

    /**
     * A picture.
     *
     * @param chosen name of the take that is looked at
     */
    TrendView(Trend trend, String chosen) {
        this.trend = trend;
        this.chosen = chosen;
        setId("log-trend");
        getStyleClass().add("trend");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText("Peak and noise from take to take: "
                + trend.points().stream().map(TrendView::words).collect(Collectors.joining("; ")));
    }

    private static String words(Trend.Point point) {
        return point.name() + " peak " + Print.decimal(point.peakDbfs(), 1) + " dBFS"
                + (point.noiseDbfs().isPresent()
                        ? ", noise " + Print.decimal(point.noiseDbfs().getAsDouble(), 0) + " dBFS"
                        : "")
                + (point.isClean() ? "" : ", with a fault");
    }

    @Override
    protected void paint(GraphicsContext graphics, double width, double height) {
        paintCard(graphics, width, height);
        double left = 3 * em();
        double right = width - 4.4 * em();
        double top = 0.9 * em();
        double bottom = height - 1.7 * em();
        graphics.setFont(labelFont());
        graphics.setTextBaseline(VPos.CENTER);
        graphics.setTextAlign(TextAlignment.RIGHT);
        graphics.setLineWidth(1);
        for (int db = 0; db >= LOWEST_DBFS; db -= STEP) {
            double y = y(db, top, bottom);
            graphics.setStroke(color(Ink.RULE));
            graphics.strokeLine(left, y, right, y);
            graphics.setFill(color(Ink.SECOND));
            graphics.fillText(Print.decimal(db, 0), left - 0.4 * em(), y);
        }
        List<Trend.Point> points = trend.points();
        for (int i = 0; i < points.size(); i++) {
            double x = x(i, left, right);
            if (i > 0) {
                line(graphics, points.get(i - 1), points.get(i), x(i - 1, left, right), x, top, bottom);
            }
            dots(graphics, points.get(i), x, top, bottom);
        }
        if (!points.isEmpty()) {
            labels(graphics, points, left, right, top, bottom);
        }
    }

    private void line(
            GraphicsContext graphics,
            Trend.Point one,
            Trend.Point next,
            double x1,
            double x2,
            double top,
            double bottom) {
        graphics.setStroke(color(Ink.PEAK));
        graphics.setLineWidth(2);
        graphics.setLineDashes();
        graphics.strokeLine(x1, y(one.peakDbfs(), top, bottom), x2, y(next.peakDbfs(), top, bottom));
        if (one.noiseDbfs().isPresent() && next.noiseDbfs().isPresent()) {
            graphics.setStroke(color(Ink.FLOOR));
            graphics.setLineWidth(1.5);
            graphics.setLineDashes(3, 3);
            graphics.strokeLine(
                    x1,
                    y(one.noiseDbfs().getAsDouble(), top, bottom),
                    x2,
                    y(next.noiseDbfs().getAsDouble(), top, bottom));
            graphics.setLineDashes();
        }
    }

    /** A take with a fault is a diamond, a clean one a dot: it is told by shape too. */
    private void dots(GraphicsContext graphics, Trend.Point point, double x, double top, double bottom) {
        double y = y(point.peakDbfs(), top, bottom);
        double half = point.name().equals(chosen) ? 6 : 4;
        graphics.setFill(color(point.isClean() ? Ink.PEAK : Ink.WRONG));
        if (point.isClean()) {
            graphics.fillOval(x - half, y - half, 2 * half, 2 * half);
        } else {
            graphics.fillPolygon(
                    new double[] {x, x + half + 1, x, x - half - 1},
                    new double[] {y - half - 1, y, y + half + 1, y},
                    4);
        }
        point.noiseDbfs().ifPresent(noise -> {
            graphics.setFill(color(Ink.FLOOR));
            graphics.fillOval(x - 3, y(noise, top, bottom) - 3, 6, 6);
        });
    }

    private void labels(
            GraphicsContext graphics, List<Trend.Point> points, double left, double right, double top, double bottom) {
        Trend.Point last = points.get(points.size() - 1);
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.setFill(color(Ink.PEAK));
        graphics.fillText("peak", right + 0.5 * em(), y(last.peakDbfs(), top, bottom));
        graphics.setFill(color(Ink.SECOND));
        last.noiseDbfs().ifPresent(noise -> graphics.fillText("noise", right + 0.5 * em(), y(noise, top, bottom)));
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.fillText(points.get(0).name(), x(0, left, right), bottom + 0.9 * em());
        if (points.size() > 1) {
            graphics.fillText(last.name(), x(points.size() - 1, left, right), bottom + 0.9 * em());
        }
    }

    private double x(int index, double left, double right) {
        double inset = 1.6 * em();
        int gaps = Math.max(1, trend.points().size() - 1);
        return left + inset + (right - left - 2 * inset) * index / gaps;
    }

    private static double y(double dbfs, double top, double bottom) {
        return top + (bottom - top) * Math.max(0, Math.min(1, dbfs / LOWEST_DBFS));
    }
}
