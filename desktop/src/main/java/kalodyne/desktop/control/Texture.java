package kalodyne.desktop.control;

import java.util.HashMap;
import java.util.Map;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.paint.ImagePattern;

/**
 * Grounds that tell what they mean without their colour: hatched is where it distorts, dotted is lost in noise. Both are small
 * tiles that are laid side by side: painted line by line and dot by dot, software rendering takes longer than a frame.
 */
public final class Texture {
    private static final int HATCH_STEP = 7;
    private static final int DOT_STEP = 6;
    private static final double DOT = 2;
    private static final double HATCH_LINE = 1.4;

    /** Of the few colours of the style sheets; for the screen's thread. */
    private static final Map<Color, ImagePattern> HATCHES = new HashMap<>();

    private static final Map<Color, ImagePattern> DOTS = new HashMap<>();

    private Texture() {}

    /** How much of a pixel is covered. */
    @FunctionalInterface
    private interface Coverage {
        double at(double x, double y);
    }

    /** Hatches a rectangle and draws its lower edge, the wall. Neighbours meet. */
    public static void hatch(GraphicsContext g, Color color, double x, double y, double width, double height) {
        if (height <= 0) {
            return;
        }
        g.setFill(HATCHES.computeIfAbsent(color, Texture::hatchTile));
        g.fillRect(x, y, width, height);
        g.setStroke(color);
        g.setLineWidth(2);
        g.strokeLine(x, y + height, x + width, y + height);
    }

    /** Dots a rectangle and draws its upper edge. */
    public static void dots(GraphicsContext g, Color color, double x, double y, double width, double height) {
        if (height > 0) {
            g.setFill(DOTS.computeIfAbsent(color, Texture::dotTile));
            g.fillRect(x, y, width, height);
        }
        g.setStroke(color);
        g.setLineWidth(1.5);
        g.strokeLine(x, y, x + width, y);
    }

    /** A line that rises to the right, and meets itself in the tiles around. */
    private static ImagePattern hatchTile(Color color) {
        return tile(HATCH_STEP, color, (x, y) -> {
            double along = (x + y) % HATCH_STEP;
            double away = Math.min(along, HATCH_STEP - along) / Math.sqrt(2);
            return HATCH_LINE / 2 + 0.5 - away;
        });
    }

    private static ImagePattern dotTile(Color color) {
        double middle = DOT_STEP / 2.0;
        return tile(DOT_STEP, color, (x, y) -> DOT / 2 + 0.5 - Math.hypot(x - middle, y - middle));
    }

    private static ImagePattern tile(int size, Color color, Coverage coverage) {
        WritableImage image = new WritableImage(size, size);
        for (int x = 0; x < size; x++) {
            for (int y = 0; y < size; y++) {
                double share = Math.max(0, Math.min(1, coverage.at(x + 0.5, y + 0.5)));
                image.getPixelWriter().setColor(x, y, color.deriveColor(0, 1, 1, share));
            }
        }
        return new ImagePattern(image, 0, 0, size, size, false);
    }
}
