package kalodyne.desktop.control;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;

/** Grounds that tell what they mean without their colour: hatched is where it distorts, dotted is lost in noise. */
public final class Texture {
    private static final double HATCH_STEP = 7;
    private static final double DOT_STEP = 6;
    private static final double DOT = 2;

    private Texture() {}

    /** Hatches a rectangle and draws its lower edge, the wall. Neighbours meet. */
    public static void hatch(GraphicsContext g, Color color, double x, double y, double width, double height) {
        if (height <= 0) {
            return;
        }
        g.setStroke(color);
        g.setLineWidth(1.4);
        double right = x + width;
        // Counted from the left edge of the picture, so that the hatching of neighbours meets. Cut to the rectangle by
        // hand: with a clip,
        // software rendering takes a whole picture's time for each line.
        double start = Math.floor((x - height) / HATCH_STEP) * HATCH_STEP;
        for (double at = start; at < right; at += HATCH_STEP) {
            double from = Math.max(x, at);
            double to = Math.min(right, at + height);
            if (to > from) {
                g.strokeLine(from, y + height - (from - at), to, y + height - (to - at));
            }
        }
        g.setStroke(color);
        g.setLineWidth(2);
        g.strokeLine(x, y + height, x + width, y + height);
    }

    /** Dots a rectangle and draws its upper edge. */
    public static void dots(GraphicsContext g, Color color, double x, double y, double width, double height) {
        g.setFill(color);
        double start = Math.ceil(x / DOT_STEP) * DOT_STEP;
        double bottom = y + height;
        for (double dx = start; dx < x + width - 1; dx += DOT_STEP) {
            for (double dy = bottom - 3; dy > y; dy -= DOT_STEP) {
                g.fillOval(dx, dy, DOT, DOT);
            }
        }
        g.setStroke(color);
        g.setLineWidth(1.5);
        g.strokeLine(x, y, x + width, y);
    }
}
