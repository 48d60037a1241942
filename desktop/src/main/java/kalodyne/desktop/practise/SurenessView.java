package kalodyne.desktop.practise;

import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.studio.practised.Sureness;
import kalodyne.desktop.control.PaintedRegion;

/** From day to day: how many topics one is sure of, and how many one has met. */
final class SurenessView extends PaintedRegion {
    private final int all;
    private List<Sureness> days = List.of();

    /**
     * A picture.
     *
     * @param all how many topics there are
     */
    SurenessView(int all) {
        this.all = all;
        setId("sureness");
        getStyleClass().add("sureness");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    void show(List<Sureness> shown) {
        days = shown;
        setAccessibleText("Sure of, day by day: "
                + shown.stream()
                        .map(day -> day.day() + " " + day.sure() + " of " + (day.sure() + day.learning()))
                        .collect(Collectors.joining("; ")));
        repaint();
    }

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        paintCard(g, width, height);
        double left = 2.2 * em();
        double bottom = height - 1.6 * em();
        double top = 0.8 * em();
        double column = Math.min(3.4 * em(), (width - left - em()) / Math.max(1, days.size()));
        g.setFont(labelFont());
        g.setTextBaseline(VPos.CENTER);
        for (int count = 0; count <= all; count += Math.max(1, all / 3)) {
            double y = bottom - (bottom - top) * count / all;
            g.setStroke(color(Ink.RULE));
            g.strokeLine(left, y, width - 1, y);
            g.setFill(color(Ink.SECOND));
            g.setTextAlign(TextAlignment.RIGHT);
            g.fillText(String.valueOf(count), left - 0.4 * em(), y);
        }
        for (int i = 0; i < days.size(); i++) {
            Sureness day = days.get(i);
            double x = left + i * column + 0.15 * column;
            double one = (bottom - top) / all;
            g.setFill(color(Ink.AIM_EDGE));
            g.fillRect(x, bottom - day.sure() * one, 0.7 * column, day.sure() * one);
            g.setStroke(color(Ink.AIM_EDGE));
            g.strokeRect(
                    x + 0.5,
                    bottom - (day.sure() + day.learning()) * one + 0.5,
                    0.7 * column - 1,
                    day.learning() * one);
            g.setFill(color(Ink.SECOND));
            g.setTextAlign(TextAlignment.CENTER);
            g.fillText(
                    day.day().getDayOfMonth() + "." + day.day().getMonthValue() + ".",
                    x + 0.35 * column,
                    bottom + 0.8 * em());
        }
    }
}
