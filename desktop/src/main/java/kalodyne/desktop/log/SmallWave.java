package kalodyne.desktop.log;

import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.takes.Overview;
import kalodyne.desktop.control.PaintedRegion;

/** A recording in a strip: how it began, how it went on, where it was loud. */
final class SmallWave extends PaintedRegion {
    private Optional<Overview> overview = Optional.empty();
    private String instead = "Reading it…";

    SmallWave() {
        setId("log-wave");
        getStyleClass().add("small-wave");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(instead);
    }

    /** Shows it; where it cannot be read, says so. */
    void show(Optional<Overview> read) {
        overview = read;
        instead = "The recording is not there any more, or cannot be read.";
        setAccessibleText(read.isPresent() ? "Shape of the recording" : instead);
        repaint();
    }

    @Override
    protected void paint(GraphicsContext graphics, double width, double height) {
        paintCard(graphics, width, height);
        if (overview.isEmpty()) {
            graphics.setFont(labelFont());
            graphics.setFill(color(Ink.SECOND));
            graphics.setTextAlign(TextAlignment.CENTER);
            graphics.setTextBaseline(VPos.CENTER);
            graphics.fillText(instead, width / 2, height / 2);
            return;
        }
        Overview shown = overview.get();
        double middle = height / 2;
        graphics.setStroke(color(Ink.AVERAGE));
        graphics.setLineWidth(1);
        int columns = (int) width - 2;
        for (int column = 0; column < columns; column++) {
            int from = (int) ((long) column * shown.parts() / columns);
            int to = Math.max(from + 1, (int) ((column + 1L) * shown.parts() / columns));
            float low = 0;
            float high = 0;
            for (int part = from; part < Math.min(to, shown.parts()); part++) {
                low = Math.min(low, shown.lowest(part));
                high = Math.max(high, shown.highest(part));
            }
            double x = column + 1.5;
            graphics.strokeLine(x, middle - clipped(high) * (middle - 2), x, middle - clipped(low) * (middle - 2));
        }
    }

    private static double clipped(float sample) {
        return Math.max(-1, Math.min(1, sample));
    }
}
