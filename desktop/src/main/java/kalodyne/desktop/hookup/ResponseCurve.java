package kalodyne.desktop.hookup;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Paint;
import javafx.scene.text.TextAlignment;
import kalodyne.core.joint.Transfer;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;

/** What arrives of a signal at every frequency: decibels upwards, frequency along a logarithmic axis. */
final class ResponseCurve extends PaintedRegion {
    private static final double LOWEST = 20;
    private static final double HIGHEST = 20_000;
    private static final double[] MARKED = {20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000, 20_000};
    private static final List<Double> DECADES = List.of(100.0, 1000.0, 10_000.0);

    /** In the size of the text; on a narrower picture only decades are named. */
    private static final double LEAST_FOR_ALL = 28;

    private static final double STEP_DB = 3;

    /** At least so much is shown, so that a flat line looks flat. */
    private static final double LEAST_RANGE = 12;

    private static final double LARGEST_RANGE = 60;

    private List<Curve> curves = List.of();

    /**
     * A line in the picture.
     *
     * @param words what it is: "with Lead 7"
     * @param line how it is drawn
     */
    record Curve(String words, Transfer transfer, Line line) {}

    /** How a line is drawn, told apart by colour, weight and dashes. */
    enum Line {
        OWN(Ink.PEAK, 2.6, 0, 0),
        /** What two signals have in common. */
        SUM(Ink.SECOND, 2, 7, 5),
        /** Of another joint, to compare with. */
        OTHER(Ink.ACT, 2, 2, 4);

        private final Ink ink;
        private final double width;
        private final double dash;
        private final double gap;

        Line(Ink ink, double width, double dash, double gap) {
            this.ink = ink;
            this.width = width;
            this.dash = dash;
            this.gap = gap;
        }

        void on(GraphicsContext graphics, Function<Ink, Paint> color) {
            graphics.setStroke(color.apply(ink));
            graphics.setLineWidth(width);
            graphics.setLineDashes(dash > 0 ? new double[] {dash, gap} : new double[0]);
        }
    }

    ResponseCurve() {
        setId("response-curve");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    void show(List<Curve> shown) {
        curves = List.copyOf(shown);
        setAccessibleText(shown.stream()
                .map(curve -> curve.words() + ": "
                        + Print.decimal(curve.transfer().atMiddle().db(), 1) + " dB at 1 kHz")
                .collect(Collectors.joining(". ")));
        repaint();
    }

    @Override
    protected void paint(GraphicsContext graphics, double width, double height) {
        paintCard(graphics, width, height);
        if (!curves.isEmpty()) {
            new Painter(graphics, width, height).paint();
        }
    }

    private final class Painter {
        private final GraphicsContext graphics;
        private final double left;
        private final double right;
        private final double top;
        private final double bottom;
        private final double highDb;
        private final double lowDb;

        Painter(GraphicsContext graphics, double width, double height) {
            this.graphics = graphics;
            left = 4.2 * em();
            right = width - 2.4 * em();
            top = 1.2 * em();
            bottom = height - 2.2 * em();
            double highest = Math.ceil((extreme(true) + 1) / STEP_DB) * STEP_DB;
            double lowest = Math.floor((extreme(false) - 1) / STEP_DB) * STEP_DB;
            highDb = highest;
            lowDb = Math.max(highest - LARGEST_RANGE, Math.min(lowest, highest - LEAST_RANGE));
        }

        /** The highest or lowest level of all curves, as far as it is heard. */
        private double extreme(boolean isHighest) {
            double found = isHighest ? -200 : 200;
            for (Curve curve : curves) {
                for (double hertz : MARKED) {
                    double db = Math.max(-200, curve.transfer().gain(hertz).db());
                    found = isHighest ? Math.max(found, db) : Math.min(found, db);
                }
                double peak = curve.transfer().atMiddle().db()
                        + curve.transfer().resonance().above().db();
                found = isHighest && curve.transfer().resonance().hertz() < HIGHEST ? Math.max(found, peak) : found;
            }
            return found;
        }

        void paint() {
            grid();
            for (int i = 0; i < curves.size(); i++) {
                curve(curves.get(i), i);
            }
        }

        private double x(double hertz) {
            return left + (right - left) * Math.log(hertz / LOWEST) / Math.log(HIGHEST / LOWEST);
        }

        private double y(double db) {
            double shown = Math.max(lowDb, Math.min(highDb, db));
            return top + (bottom - top) * (highDb - shown) / (highDb - lowDb);
        }

        private void grid() {
            graphics.setFont(labelFont());
            graphics.setTextBaseline(VPos.CENTER);
            graphics.setStroke(color(Ink.RULE));
            graphics.setFill(color(Ink.SECOND));
            double step = highDb - lowDb > 30 ? 4 * STEP_DB : 2 * STEP_DB;
            graphics.setTextAlign(TextAlignment.RIGHT);
            for (double db = Math.ceil(lowDb / step) * step; db <= highDb; db += step) {
                graphics.strokeLine(left, y(db), right, y(db));
                graphics.fillText(Print.decimal(db, 0) + " dB", left - 0.5 * em(), y(db));
            }
            graphics.setTextAlign(TextAlignment.CENTER);
            boolean isNarrow = right - left < LEAST_FOR_ALL * em();
            for (double hertz : MARKED) {
                graphics.strokeLine(x(hertz), top, x(hertz), bottom);
                if (isNarrow && !DECADES.contains(hertz)) {
                    continue;
                }
                graphics.fillText(Print.prefixed(hertz, "Hz"), x(hertz), bottom + 1.0 * em());
            }
        }

        private void curve(Curve curve, int index) {
            curve.line().on(graphics, ResponseCurve.this::color);
            List<Double> hertz = new ArrayList<>();
            for (double each : curve.transfer().hertz()) {
                if (each >= LOWEST && each <= HIGHEST) {
                    hertz.add(each);
                }
            }
            graphics.beginPath();
            for (int i = 0; i < hertz.size(); i++) {
                double atX = x(hertz.get(i));
                double atY = y(curve.transfer().gain(hertz.get(i)).db());
                if (i == 0) {
                    graphics.moveTo(atX, atY);
                } else {
                    graphics.lineTo(atX, atY);
                }
            }
            graphics.stroke();
            graphics.setLineDashes();
            graphics.setLineWidth(1);
            graphics.setFill(color(Ink.TEXT));
            graphics.setFont(labelFont());
            graphics.setTextAlign(TextAlignment.LEFT);
            double legendY = bottom - (0.9 + 1.3 * (curves.size() - 1 - index)) * em();
            curve.line().on(graphics, ResponseCurve.this::color);
            graphics.strokeLine(left + 0.6 * em(), legendY, left + 3 * em(), legendY);
            graphics.setLineDashes();
            graphics.setLineWidth(1);
            graphics.fillText(
                    fitting(curve.words(), graphics.getFont(), right - left - 4 * em()), left + 3.5 * em(), legendY);
        }
    }
}
