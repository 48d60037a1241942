package kalodyne.desktop.convert;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.sums.Sketch;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;

/** What a sum comes to as a picture: resistors between two wires, or what passes at each frequency. */
final class SketchView extends PaintedRegion {
    private static final double LOWEST_HZ = 10;
    private static final double HIGHEST_HZ = 40_000;
    private static final double LOWEST_DB = -40;
    private static final double HIGHEST_DB = 5;
    private static final List<Integer> MARKED_HZ = List.of(20, 100, 1000, 10_000);
    private static final int DB_STEP = 10;

    /** Of the text around: what a part takes up along the wire. */
    private static final double PART_EMS = 7;

    private final Sketch sketch;

    SketchView(Sketch sketch) {
        this.sketch = sketch;
        getStyleClass().add("sum-sketch");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(sketch.words());
    }

    @Override
    protected void paint(GraphicsContext graphics, double width, double height) {
        paintCard(graphics, width, height);
        graphics.setFont(strongFont());
        graphics.setFill(color(Ink.TEXT));
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.setTextBaseline(VPos.CENTER);
        if (sketch instanceof Sketch.Circuit circuit) {
            graphics.fillText(circuit.title(), 0.8 * em(), 1.1 * em());
            paint(graphics, circuit, width, height);
        } else if (sketch instanceof Sketch.Curve curve) {
            graphics.fillText(curve.title(), 0.8 * em(), 1.1 * em());
            paint(graphics, curve, width, height);
        }
    }

    // --- circuit -----------------------------------------------------------------------------------------------

    private void paint(GraphicsContext graphics, Sketch.Circuit circuit, double width, double height) {
        double top = 3.4 * em();
        double bottom = height - 2.2 * em();
        double step =
                Math.min(PART_EMS * em(), (width - 6 * em()) / circuit.parts().size());
        double x = (width - step * circuit.parts().size()) / 2;
        graphics.setStroke(color(Ink.TEXT));
        graphics.setLineWidth(1.5);
        graphics.setFont(labelFont());
        graphics.setTextAlign(TextAlignment.RIGHT);
        graphics.fillText("in", x - 1.4 * em(), (top + bottom) / 2);
        terminal(graphics, x - em(), top);
        terminal(graphics, x - em(), bottom);
        graphics.strokeLine(x - em(), top, x, top);
        graphics.strokeLine(x - em(), bottom, x, bottom);
        for (Sketch.Part part : circuit.parts()) {
            if (part.isAcross()) {
                graphics.strokeLine(x, top, x + step, top);
                graphics.strokeLine(x, bottom, x + step, bottom);
                across(graphics, part, x + step / 2, top, bottom);
            } else {
                series(graphics, part, x, step, top, -1);
                if (circuit.balanced()) {
                    series(graphics, part, x, step, bottom, 1);
                } else {
                    graphics.strokeLine(x, bottom, x + step, bottom);
                }
            }
            x += step;
        }
        graphics.strokeLine(x, top, x + em(), top);
        graphics.strokeLine(x, bottom, x + em(), bottom);
        terminal(graphics, x + em(), top);
        terminal(graphics, x + em(), bottom);
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.fillText("out", x + 1.4 * em(), (top + bottom) / 2);
    }

    private void terminal(GraphicsContext graphics, double x, double y) {
        graphics.setFill(color(Ink.CARD));
        graphics.fillOval(x - 3, y - 3, 6, 6);
        graphics.strokeOval(x - 3, y - 3, 6, 6);
        graphics.setFill(color(Ink.TEXT));
    }

    /** A resistor as a box in the wire (IEC 60617), with its value on one side. */
    private void series(GraphicsContext graphics, Sketch.Part part, double x, double step, double y, int side) {
        double half = 1.3 * em();
        double middle = x + step / 2;
        graphics.strokeLine(x, y, middle - half, y);
        graphics.strokeLine(middle + half, y, x + step, y);
        graphics.strokeRect(middle - half, y - 0.4 * em(), 2 * half, 0.8 * em());
        graphics.setTextAlign(TextAlignment.CENTER);
        graphics.fillText(part.value(), middle, y + side * 1.15 * em());
    }

    private void across(GraphicsContext graphics, Sketch.Part part, double x, double top, double bottom) {
        double middle = (top + bottom) / 2;
        double half = part.isCapacitor() ? 0.25 * em() : Math.min(1.3 * em(), (bottom - top) / 3);
        graphics.strokeLine(x, top, x, middle - half);
        graphics.strokeLine(x, middle + half, x, bottom);
        if (part.isCapacitor()) {
            graphics.strokeLine(x - 0.9 * em(), middle - half, x + 0.9 * em(), middle - half);
            graphics.strokeLine(x - 0.9 * em(), middle + half, x + 0.9 * em(), middle + half);
        } else {
            graphics.strokeRect(x - 0.4 * em(), middle - half, 0.8 * em(), 2 * half);
        }
        graphics.setTextAlign(TextAlignment.LEFT);
        graphics.fillText(part.value(), x + 1.1 * em(), middle);
    }

    // --- curve -------------------------------------------------------------------------------------------------

    private void paint(GraphicsContext graphics, Sketch.Curve curve, double width, double height) {
        double left = 3.2 * em();
        double right = width - em();
        double top = 2.2 * em();
        double bottom = height - 2 * em();
        graphics.setFont(labelFont());
        graphics.setStroke(color(Ink.RULE));
        graphics.setFill(color(Ink.SECOND));
        graphics.setLineWidth(1);
        for (int db = (int) LOWEST_DB; db <= 0; db += DB_STEP) {
            double y = y(db, top, bottom);
            graphics.strokeLine(left, y, right, y);
            graphics.setTextAlign(TextAlignment.RIGHT);
            graphics.fillText(Print.decimal(db, 0), left - 0.4 * em(), y);
        }
        for (int hertz : MARKED_HZ) {
            double x = x(hertz, left, right);
            graphics.strokeLine(x, top, x, bottom);
            graphics.setTextAlign(TextAlignment.CENTER);
            graphics.fillText(Print.prefixed(hertz, "Hz"), x, bottom + em());
        }
        graphics.setStroke(color(Ink.AVERAGE));
        graphics.setLineWidth(2);
        graphics.beginPath();
        curve.points()
                .forEach(point -> graphics.lineTo(
                        x(point.hertz(), left, right), y(Math.max(LOWEST_DB, point.db()), top, bottom)));
        graphics.stroke();
        boolean isSeen = curve.cornerHz() >= LOWEST_HZ && curve.cornerHz() <= HIGHEST_HZ;
        if (isSeen) {
            double x = x(curve.cornerHz(), left, right);
            double y = y(-3, top, bottom);
            graphics.setFill(color(Ink.AVERAGE));
            graphics.fillOval(x - 4, y - 4, 8, 8);
            graphics.setFill(color(Ink.TEXT));
            boolean isFarRight = x > (left + right) / 2;
            graphics.setTextAlign(isFarRight ? TextAlignment.RIGHT : TextAlignment.LEFT);
            graphics.fillText(
                    "−3 dB at " + Print.prefixed(curve.cornerHz(), "Hz"),
                    x + (isFarRight ? -1 : 1) * 0.7 * em(),
                    y + em());
        }
    }

    private static double x(double hertz, double left, double right) {
        return left + (right - left) * Math.log(hertz / LOWEST_HZ) / Math.log(HIGHEST_HZ / LOWEST_HZ);
    }

    private static double y(double db, double top, double bottom) {
        return top + (bottom - top) * (HIGHEST_DB - db) / (HIGHEST_DB - LOWEST_DB);
    }
}
