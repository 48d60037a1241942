package kalodyne.desktop.practise;

import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.practice.Clip;
import kalodyne.desktop.control.PaintedRegion;

/** Left and right of what is heard, over time. */
final class ClipView extends PaintedRegion {
    private static final String[] NAMES = {"left", "right"};

    private Optional<Clip> clip = Optional.empty();

    ClipView() {
        setId("clip");
        getStyleClass().add("clip");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText("Waveform, left above right");
    }

    void show(Optional<Clip> shown) {
        clip = shown;
        repaint();
    }

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        if (clip.isEmpty()) {
            return;
        }
        double left = 3 * em();
        double lane = (height - 4) / 2;
        for (int side = 0; side < 2; side++) {
            double top = side * (lane + 4);
            g.setFill(color(Ink.CARD));
            g.fillRect(left, top, width - left, lane);
            g.setStroke(color(Ink.RULE));
            g.setLineWidth(1);
            g.strokeRect(left + 0.5, top + 0.5, width - left - 1, lane - 1);
            g.setFont(labelFont());
            g.setFill(color(Ink.SECOND));
            g.setTextAlign(TextAlignment.RIGHT);
            g.setTextBaseline(VPos.CENTER);
            g.fillText(NAMES[side], left - 0.4 * em(), top + lane / 2);
            paintWave(g, clip.get(), side, left + 1, top + lane / 2, (int) (width - left - 2), lane / 2 - 2);
        }
    }

    private void paintWave(
            GraphicsContext g, Clip shown, int side, double left, double middle, int columns, double half) {
        g.setStroke(color(Ink.AVERAGE));
        for (int column = 0; column < columns; column++) {
            int from = (int) ((long) column * shown.frames() / columns);
            int to = Math.max(from + 1, (int) ((column + 1L) * shown.frames() / columns));
            float low = Float.MAX_VALUE;
            float high = -Float.MAX_VALUE;
            for (int i = from; i < Math.min(to, shown.frames()); i++) {
                low = Math.min(low, shown.at(side, i));
                high = Math.max(high, shown.at(side, i));
            }
            double x = left + column + 0.5;
            g.strokeLine(x, middle - high * half - 0.5, x, middle - low * half + 0.5);
        }
    }
}
