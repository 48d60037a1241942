package kalodyne.desktop.levels;

import java.util.List;
import java.util.function.Function;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import javafx.util.Duration;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.StageLevel;
import kalodyne.core.run.Station;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Level;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;
import kalodyne.desktop.control.Texture;

/**
 * The way of the level through a run: stages from left to right, level upwards; what clips and what is lost in noise are
 * the walls, the loudest peak, the average and the noise run between them, the aim stands at the end.
 */
final class Corridor extends PaintedRegion {
    private static final double[] SOLID = null;
    private static final double[] DASHED = {8, 5};
    private static final double[] DOTTED = {1.5, 4.5};

    private LevelPlan plan;
    private Station.Part focus = Station.Part.INPUT;
    private CorridorScale scale;
    private double left;
    private double top;
    private double columnWidth;

    Corridor() {
        setId("corridor");
        Tooltip numbers = new Tooltip();
        numbers.setShowDelay(Duration.millis(300));
        addEventHandler(MouseEvent.MOUSE_MOVED, event -> numbers.setText(numbersAt(event.getX())));
        Tooltip.install(this, numbers);
        getStyleClass().add("corridor");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    void show(LevelPlan shown, Station.Part focused) {
        plan = shown;
        focus = focused;
        setAccessibleText("Levels along " + shown.run().name() + ": loudest peak in the track " + shown.trackPeak());
        repaint();
    }

    LevelPlan plan() {
        return plan;
    }

    CorridorScale scale() {
        return scale;
    }

    /** The middle of a stage's column, in pixels from the left edge. */
    double centre(int stage) {
        return left + (stage + 0.5) * columnWidth;
    }

    /** The size of the text, in pixels. */
    double reachEm() {
        return em();
    }

    double columnWidth() {
        return columnWidth;
    }

    /** Where a level is painted, in pixels from the upper edge. */
    double y(double dbu) {
        return top + scale.y(dbu);
    }

    private String numbersAt(double x) {
        if (plan == null || columnWidth == 0) {
            return "";
        }
        int column = (int) Math.floor((x - left) / columnWidth);
        StageLevel stage = plan.stages().get(Math.max(0, Math.min(plan.stages().size() - 1, column)));
        return stage.stage().label() + "\n" + stage.words();
    }

    /** The same height, counted from the top of the scale. */
    double heightInScale(double y) {
        return y - top;
    }

    /** Works out where things lie; also called by others who must know before it is painted. */
    void measure(double width, double height) {
        left = 3.4 * em();
        top = 1.5 * em();
        double bottom = 1.7 * em();
        columnWidth = Math.max(1, (width - left - 3.4 * em()) / plan.stages().size());
        scale = CorridorScale.of(plan, Math.max(1, height - top - bottom));
    }

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        if (plan == null) {
            return;
        }
        measure(width, height);
        g.setTextBaseline(VPos.CENTER);
        paintGround(g);
        paintRules(g);
        paintWalls(g);
        paintAim(g);
        paintSeparators(g);
        paintLine(g, Ink.FLOOR, 1.6, DOTTED, StageLevel::floor);
        paintLine(g, Ink.AVERAGE, 2, DASHED, StageLevel::average);
        paintLine(g, Ink.PEAK, 3.2, SOLID, StageLevel::peak);
        paintNumbers(g);
        paintColumnNames(g, height);
    }

    private void paintGround(GraphicsContext g) {
        g.setFill(color(Ink.CARD));
        g.fillRect(left, top, columnWidth * plan.stages().size(), scale.height());
        int[] focused = focusedColumns();
        g.setFill(color(Ink.ACT).deriveColor(0, 1, 1, 0.06));
        g.fillRect(left + focused[0] * columnWidth, top, (focused[1] - focused[0]) * columnWidth, scale.height());
    }

    private int[] focusedColumns() {
        int from = plan.stages().size();
        int to = 0;
        for (int i = 0; i < plan.stages().size(); i++) {
            if (plan.stages().get(i).stage().part() == focus) {
                from = Math.min(from, i);
                to = i + 1;
            }
        }
        return new int[] {Math.min(from, to), to};
    }

    private void paintRules(GraphicsContext g) {
        double right = left + columnWidth * plan.stages().size();
        g.setFont(labelFont());
        g.setLineWidth(1);
        g.setTextAlign(TextAlignment.RIGHT);
        for (double tick : scale.ticks(0, em())) {
            double y = Math.rint(y(tick)) + 0.5;
            g.setStroke(color(Ink.RULE));
            g.strokeLine(left, y, right, y);
            g.setFill(color(Ink.SECOND));
            g.fillText(Print.signed(tick, 0), left - 0.5 * em(), y);
        }
        g.setFont(strongFont());
        g.fillText("dBu", left - 0.5 * em(), top - 0.8 * em());
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText("dBFS", right + 0.5 * em(), top - 0.8 * em());
        g.setFont(labelFont());
        paintDigitalTicks(g, right + 0.5 * em());
        paintKnee(g, right);
    }

    /** Round levels in the recording, and the edges of the aim, which go before. */
    private void paintDigitalTicks(GraphicsContext g, double x) {
        double fullScale = plan.run().converter().fullScale().dbu();
        double high = plan.run().aim().high().dbfs();
        double low = plan.run().aim().low().dbfs();
        for (double tick : scale.ticks(fullScale, em())) {
            double y = y(fullScale + tick);
            boolean free = Math.abs(y - y(fullScale + high)) > em() && Math.abs(y - y(fullScale + low)) > em();
            if (tick <= 0 && free) {
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
        g.setLineDashes(SOLID);
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText("squeezed below", left + 0.5 * em(), y + 0.75 * em());
    }

    private void paintWalls(GraphicsContext g) {
        for (int i = 0; i < plan.stages().size(); i++) {
            StageLevel stage = plan.stages().get(i);
            double x = left + i * columnWidth;
            if (stage.stage().ceiling().isPresent()) {
                double y = y(stage.stage().ceiling().get().dbu());
                Texture.hatch(g, color(Ink.WALL), x, top, columnWidth, y - top);
            }
            if (!stage.stage().noise().isSilence()) {
                double y = y(stage.stage().noise().dbu());
                Texture.dots(g, color(Ink.BED), x, y, columnWidth, top + scale.height() - y);
            }
        }
    }

    private void paintAim(GraphicsContext g) {
        int last = plan.stages().size() - 1;
        Level fullScale = plan.run().converter().fullScale();
        double high = y(plan.run().aim().high().at(fullScale).dbu());
        double low = y(plan.run().aim().low().at(fullScale).dbu());
        double x = left + last * columnWidth;
        g.setFill(color(Ink.AIM));
        g.fillRect(x, high, columnWidth, low - high);
        g.setStroke(color(Ink.AIM_EDGE));
        g.setLineWidth(1.4);
        g.strokeRect(x + 0.5, high, columnWidth - 1, low - high);
        g.setFill(color(Ink.AIM_EDGE));
        g.setFont(strongFont());
        g.setTextAlign(TextAlignment.LEFT);
        double labelY = low - 0.65 * em();
        boolean isFree = Math.abs(labelY - numberY(plan.track().peak(), -1)) > 1.1 * em() || columnWidth > 10 * em();
        if (low - high > 1.1 * em() && isFree) {
            g.fillText("aim", x + 0.4 * em(), labelY);
        }
    }

    private void paintSeparators(GraphicsContext g) {
        g.setStroke(color(Ink.RULE));
        g.setLineWidth(1);
        g.setLineDashes(1, 4);
        for (int i = 1; i < plan.stages().size(); i++) {
            double x = Math.rint(left + i * columnWidth) + 0.5;
            g.strokeLine(x, top, x, top + scale.height());
        }
        g.setLineDashes(SOLID);
    }

    private void paintLine(
            GraphicsContext g, Ink ink, double width, double[] dashes, Function<StageLevel, Level> line) {
        Color color = color(ink);
        List<StageLevel> stages = plan.stages();
        g.setStroke(color);
        g.setFill(color);
        g.setLineWidth(width);
        g.setLineCap(StrokeLineCap.ROUND);
        g.setLineDashes(dashes);
        for (int i = 1; i < stages.size(); i++) {
            g.strokeLine(
                    centre(i - 1),
                    y(line.apply(stages.get(i - 1)).dbu()),
                    centre(i),
                    y(line.apply(stages.get(i)).dbu()));
        }
        g.setLineDashes(SOLID);
        double radius = width + 1.2;
        for (int i = 0; i < stages.size(); i++) {
            g.fillOval(centre(i) - radius, y(line.apply(stages.get(i)).dbu()) - radius, 2 * radius, 2 * radius);
        }
        g.setLineCap(StrokeLineCap.BUTT);
    }

    /** Numbers where they matter: at the source, behind the gain, and in the track, where they are dBFS. */
    private void paintNumbers(GraphicsContext g) {
        int last = plan.stages().size() - 1;
        g.setFont(strongFont());
        g.setTextAlign(TextAlignment.CENTER);
        for (int i = 0; i <= last; i++) {
            StageLevel stage = plan.stages().get(i);
            if (stage.clips()) {
                paintClip(g, centre(i), y(stage.peak().dbu()));
            }
        }
        number(
                g,
                Ink.PEAK,
                0,
                dbu(plan.stages().get(0).peak()),
                plan.stages().get(0).peak(),
                -1);
        number(
                g,
                Ink.AVERAGE,
                0,
                dbu(plan.stages().get(0).average()),
                plan.stages().get(0).average(),
                1);
        number(
                g,
                Ink.PEAK,
                last - 1,
                dbu(plan.stages().get(last - 1).peak()),
                plan.stages().get(last - 1).peak(),
                -1);
        number(g, Ink.PEAK, last, dbfs(plan.trackPeak()), plan.track().peak(), -1);
        number(g, Ink.AVERAGE, last, dbfs(plan.trackAverage()), plan.track().average(), 1);
        number(g, Ink.FLOOR, last, dbfs(plan.trackFloor()), plan.track().floor(), -1);
    }

    private static String dbu(Level level) {
        return Print.signed(level.dbu(), 1);
    }

    private static String dbfs(DigitalLevel level) {
        return Print.decimal(level.dbfs(), 1) + " dBFS";
    }

    /** A number beside its point, on a ground of its own so that no line crosses it. */
    private void number(GraphicsContext g, Ink ink, int stage, String text, Level at, int side) {
        double half = text.length() * 0.25 * em() + 0.2 * em();
        double right = left + columnWidth * plan.stages().size();
        double x = Math.min(centre(stage), right - half);
        double y = numberY(at, side);
        g.setFill(color(Ink.CARD).deriveColor(0, 1, 1, 0.88));
        g.fillRect(x - half, y - 0.52 * em(), 2 * half, 1.04 * em());
        g.setFill(color(ink));
        g.setFont(strongFont());
        g.setTextAlign(TextAlignment.CENTER);
        g.fillText(text, x, y);
    }

    /** Above (−1) or below (1) a level's point, and inside the picture. */
    private double numberY(Level at, int side) {
        double lowest = top + scale.height() - 0.6 * em();
        double highest = top + 0.6 * em();
        return Math.max(highest, Math.min(lowest, y(at.dbu()) + side * 1.05 * em()));
    }

    private void paintClip(GraphicsContext g, double x, double y) {
        double r = 0.55 * em();
        g.setFill(color(Ink.WRONG));
        g.fillPolygon(new double[] {x, x + r, x, x - r}, new double[] {y - r, y, y + r, y}, 4);
    }

    private void paintColumnNames(GraphicsContext g, double height) {
        g.setTextAlign(TextAlignment.CENTER);
        for (int i = 0; i < plan.stages().size(); i++) {
            boolean focused = plan.stages().get(i).stage().part() == focus;
            Font font = focused ? strongFont() : labelFont();
            String name = fitting(plan.stages().get(i).stage().label(), font, columnWidth - 0.4 * em());
            g.setFont(font);
            g.setFill(color(Ink.TEXT));
            g.fillText(name, centre(i), height - 0.75 * em());
        }
    }
}
