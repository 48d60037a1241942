package kalodyne.desktop.control;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import kalodyne.core.gear.Connector;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Lead;
import kalodyne.core.gear.LeadEnd;
import kalodyne.core.gear.shelf.PlugFace;
import kalodyne.core.gear.shelf.PlugShape;

/** A lead in a list: the first end at the left, the others at the right, all to one scale. */
public final class LeadSketch extends PaintedRegion {
    private static final double PIXELS_PER_MILLIMETRE = 1.25;
    private static final double PLUG_ROOM = 42;

    private Lead lead;

    public void show(Lead shown) {
        lead = shown;
        repaint();
    }

    @Override
    protected void paint(GraphicsContext graphics, double width, double height) {
        if (lead == null) {
            return;
        }
        List<LeadEnd> ends = lead.ends();
        // Of pairs one half stands for both.
        List<LeadEnd> right = ends.size() == 2 || ends.size() > 3 ? ends.subList(1, 2) : ends.subList(1, ends.size());
        graphics.setStroke(color(Ink.SECOND));
        graphics.setLineWidth(1.5);
        double start = PLUG_ROOM;
        double end = width - PLUG_ROOM;
        for (int i = 0; i < right.size(); i++) {
            double y = height * (i + 1) / (right.size() + 1);
            graphics.setStroke(color(Ink.SECOND));
            graphics.setLineWidth(1.5);
            graphics.beginPath();
            graphics.moveTo(start, height / 2);
            graphics.bezierCurveTo((start + end) / 2, height / 2, (start + end) / 2, y, end, y);
            graphics.stroke();
            plug(graphics, right.get(i), end, y, 1);
        }
        plug(graphics, ends.get(0), start, height / 2, -1);
    }

    /** Draws an end that begins at x and points away: to the right with 1, to the left with −1. */
    private void plug(GraphicsContext graphics, LeadEnd end, double x, double y, int side) {
        Connector connector = end.connector();
        graphics.setLineWidth(1);
        graphics.setStroke(color(Ink.SECOND));
        if (connector.isJack()) {
            PlugShape shape = PlugShape.of(connector);
            if (end.form() == Form.PLUG) {
                jack(graphics, shape, x, y, side);
            } else {
                double depth = 9;
                double high = (shape.diameter() + 2.5) * PIXELS_PER_MILLIMETRE;
                box(graphics, side > 0 ? x : x - depth, y - high / 2, depth, high, Ink.SUNK);
                box(graphics, side > 0 ? x + depth - 3 : x - depth, y - high / 5, 3, high / 2.5, Ink.TEXT);
            }
        } else {
            double high = PlugFace.of(connector).map(PlugFace::height).orElse(3.0) * PIXELS_PER_MILLIMETRE;
            double shown = Math.min(high, 20);
            box(graphics, side > 0 ? x : x - 12, y - shown / 2, 12, shown, Ink.SUNK);
            if (end.form() == Form.PLUG) {
                double pin = Math.max(2, shown / 4);
                box(graphics, side > 0 ? x + 12 : x - 19, y - pin / 2, 7, pin, Ink.CARD);
            }
        }
    }

    private void jack(GraphicsContext graphics, PlugShape shape, double x, double y, int side) {
        double high = Math.max(3, shape.diameter() * PIXELS_PER_MILLIMETRE * 0.9);
        double scale = Math.min(PIXELS_PER_MILLIMETRE, (PLUG_ROOM - 10) / shape.length());
        box(graphics, side > 0 ? x : x - 8, y - high * 0.8, 8, high * 1.6, Ink.SUNK);
        double base = x + side * 8;
        for (PlugShape.Segment segment : shape.segments()) {
            double a = base + side * (shape.length() - segment.to()) * scale;
            double b = base + side * (shape.length() - segment.from()) * scale;
            graphics.setFill(color(segment.isBand() ? Ink.TEXT : Ink.CARD));
            graphics.fillRect(Math.min(a, b), y - high / 2, Math.abs(b - a), high);
            graphics.strokeRect(Math.min(a, b), y - high / 2, Math.abs(b - a), high);
        }
    }

    private void box(GraphicsContext graphics, double x, double y, double w, double h, Ink ink) {
        graphics.setFill(color(ink));
        graphics.fillRoundRect(x, y, w, h, 3, 3);
        graphics.strokeRoundRect(x, y, w, h, 3, 3);
    }
}
