package kalodyne.desktop.levels;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
import kalodyne.core.units.Level;
import kalodyne.core.units.LevelUnit;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.Texture;

/**
 * The way of the level through a run: stages from left to right, level upwards; what clips and what is lost in noise are
 * the walls, the loudest peak, the average and the noise run between them, the aim stands at the end.
 */
final class Corridor extends RuledRegion {
    private static final double LEFT_EM = 3.4;
    private static final double RIGHT_EM = 3.4;
    private static final double[] SOLID = null;
    private static final double[] DASHED = {8, 5};
    private static final double[] DOTTED = {1.5, 4.5};
    private static final double[] DOTTED_RULE = {1, 4};
    private static final double[] DASHED_THIN = {3, 3};

    private List<LevelPlan> others = List.of();
    private int focus;
    private double seen = Double.POSITIVE_INFINITY;
    private double zoom = 1;

    Corridor() {
        setId("corridor");
        Tooltip numbers = new Tooltip();
        numbers.setShowDelay(Duration.millis(300));
        addEventHandler(MouseEvent.MOUSE_MOVED, event -> numbers.setText(numbersAt(event.getX())));
        Tooltip.install(this, numbers);
        getStyleClass().add("corridor");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        Copying.offerPicture("the levels", this);
    }

    /**
     * Shows a run.
     *
     * @param focused the station to stand out
     * @param overlaid other runs to be seen behind it
     */
    void show(LevelPlan shown, int focused, List<LevelPlan> overlaid) {
        plan = shown;
        focus = focused;
        others = overlaid;
        setAccessibleText(
                "Levels along " + shown.name() + ": loudest peak at its end " + shown.onScale(shown.endPeak()));
        setMinWidth(neededWidth());
        repaint();
    }

    /** Wider columns, where more than 1. */
    void zoom(double newZoom) {
        zoom = newZoom;
        if (plan != null) {
            setMinWidth(neededWidth());
            repaint();
        }
    }

    /**
     * Which part of it is in sight: the scale stays there, and the walls are painted there alone.
     *
     * @param pixels out of sight on the left
     */
    void scrolled(double pixels, double width) {
        scrolled = pixels;
        seen = width;
        repaint();
    }

    private double seenTo() {
        return isWhole() ? columns.end() : scrolled + seen;
    }

    private double neededWidth() {
        return Columns.needed(plan, em(), zoom) + (LEFT_EM + RIGHT_EM) * em();
    }

    LevelPlan plan() {
        return plan;
    }

    CorridorScale scale() {
        return scale;
    }

    /** The middle of a stage's column, in pixels from the left edge. */
    double centre(int stage) {
        return columns.centre(stage);
    }

    /** The size of the text, in pixels. */
    double reachEm() {
        return em();
    }

    Columns columns() {
        return columns;
    }

    private String numbersAt(double x) {
        if (plan == null || columns == null) {
            return "";
        }
        StageLevel stage = plan.stages().get(columns.at(x));
        return plan.station(stage).name() + ", " + stage.stage().label() + "\n" + stage.words();
    }

    /** The same height, counted from the top of the scale. */
    double heightInScale(double y) {
        return y - top;
    }

    /** Works out where things lie; also called by others who must know before it is painted. */
    void measure(double width, double height) {
        left = LEFT_EM * em();
        top = 1.5 * em();
        double bottom = 2.9 * em();
        columns = Columns.of(plan, em(), zoom, left, Math.max(1, width - left - RIGHT_EM * em()));
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
        paintSeparators(g, height);
        others.forEach(other -> paintOther(g, other));
        Map<String, Double> named = new HashMap<>();
        others.forEach(other -> paintName(g, other, named));
        paintLine(g, Ink.FLOOR, 1.6, DOTTED, StageLevel::floor);
        paintLine(g, Ink.AVERAGE, 2, DASHED, StageLevel::average);
        paintLine(g, Ink.PEAK, 3.2, SOLID, StageLevel::peak);
        paintNumbers(g);
        paintColumnNames(g, height);
        paintScale(g);
    }

    private void paintGround(GraphicsContext g) {
        g.setFill(color(Ink.CARD));
        g.fillRect(left, top, columns.end() - left, scale.height());
        g.setFill(color(Ink.ACT).deriveColor(0, 1, 1, 0.06));
        for (int i = 0; i < columns.count(); i++) {
            if (plan.stages().get(i).stage().station() == focus) {
                g.fillRect(columns.start(i), top, columns.width(i), scale.height());
            }
        }
    }

    private void paintWalls(GraphicsContext g) {
        for (int i = 0; i < plan.stages().size(); i++) {
            StageLevel stage = plan.stages().get(i);
            double x = Math.max(columns.start(i), seenFrom());
            double columnWidth = Math.min(columns.start(i) + columns.width(i), seenTo()) - x;
            if (columnWidth <= 0) {
                continue;
            }
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
        double zero = plan.end().zero().dbu();
        double high = y(zero + plan.end().high());
        double low = y(zero + plan.end().low());
        double x = columns.start(last);
        double columnWidth = columns.width(last);
        g.setFill(color(Ink.AIM));
        g.fillRect(x, high, columnWidth, low - high);
        g.setStroke(color(Ink.AIM_EDGE));
        g.setLineWidth(1.4);
        g.strokeRect(x + 0.5, high, columnWidth - 1, low - high);
        g.setFill(color(Ink.AIM_EDGE));
        g.setFont(strongFont());
        g.setTextAlign(TextAlignment.LEFT);
        double labelY = low - 0.65 * em();
        boolean isFree = Math.abs(labelY - numberY(plan.last().peak(), -1)) > 1.1 * em() || columnWidth > 10 * em();
        if (low - high > 1.1 * em() && isFree) {
            g.fillText("aim", x + 0.4 * em(), labelY);
        }
    }

    private void paintSeparators(GraphicsContext g, double height) {
        g.setStroke(color(Ink.RULE));
        g.setLineWidth(1);
        for (int i = 1; i < columns.count(); i++) {
            boolean isWithin = plan.stages().get(i).stage().station()
                    == plan.stages().get(i - 1).stage().station();
            double x = Math.rint(columns.start(i)) + 0.5;
            g.setLineDashes(isWithin ? DOTTED_RULE : SOLID);
            g.strokeLine(x, top, x, isWithin ? top + scale.height() : height - 0.2 * em());
        }
        g.setLineDashes(SOLID);
    }

    /** Another run's loudest peak, spread over the same width. */
    private void paintOther(GraphicsContext g, LevelPlan other) {
        List<StageLevel> stages = other.stages();
        double step = (columns.centre(columns.count() - 1) - columns.centre(0)) / Math.max(1, stages.size() - 1);
        g.setStroke(color(Ink.SECOND));
        g.setLineWidth(1.1);
        g.setLineDashes(DASHED_THIN);
        for (int i = 1; i < stages.size(); i++) {
            g.strokeLine(
                    columns.centre(0) + (i - 1) * step,
                    y(stages.get(i - 1).peak().dbu()),
                    columns.centre(0) + i * step,
                    y(stages.get(i).peak().dbu()));
        }
        g.setLineDashes(SOLID);
    }

    /** The name of another run's source beside its line; above names that stand there already, and once for each source. */
    private void paintName(GraphicsContext g, LevelPlan other, Map<String, Double> named) {
        String source = other.trace().stations().get(0).name();
        double y = y(other.stages().get(0).peak().dbu()) - 0.7 * em();
        while (isTaken(y, named) && y > top) {
            y -= 0.5 * em();
        }
        if (named.containsKey(source) || y < top + 0.6 * em()) {
            return;
        }
        named.put(source, y);
        String name = fitting(source, labelFont(), 12 * em());
        double x = columns.start(1) + 0.6 * em();
        g.setFont(labelFont());
        g.setTextAlign(TextAlignment.LEFT);
        g.setFill(color(Ink.CARD).deriveColor(0, 1, 1, 0.88));
        g.fillRect(x - 0.2 * em(), y - 0.55 * em(), name.length() * 0.52 * em(), 1.1 * em());
        g.setFill(color(Ink.SECOND));
        g.fillText(name, x, y);
    }

    private boolean isTaken(double y, Map<String, Double> named) {
        return named.values().stream().anyMatch(taken -> Math.abs(taken - y) < 1.1 * em());
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
        StageLevel first = plan.stages().get(0);
        number(g, Ink.PEAK, 0, words(first.peak()), first.peak(), -1);
        number(g, Ink.AVERAGE, 0, words(first.average()), first.average(), 1);
        for (int i = 1; i < last; i++) {
            StageLevel stage = plan.stages().get(i);
            if (stage.stage().knob().isPresent()) {
                number(g, Ink.PEAK, i, words(stage.peak()), stage.peak(), -1);
            }
        }
        StageLevel end = plan.last();
        number(g, Ink.PEAK, last, plan.onScale(plan.endPeak()), end.peak(), -1);
        number(g, Ink.AVERAGE, last, plan.onScale(plan.endAverage()), end.average(), 1);
        number(g, Ink.FLOOR, last, plan.onScale(plan.endFloor()), end.floor(), -1);
    }

    private static String words(Level level) {
        return Print.signed(LevelUnit.inUse().number(level), 1);
    }

    /** A number beside its point, on a ground of its own so that no line crosses it. */
    private void number(GraphicsContext g, Ink ink, int stage, String text, Level at, int side) {
        double half = text.length() * 0.25 * em() + 0.2 * em();
        double x = Math.min(centre(stage), columns.end() - half);
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
        double y = height - 2.05 * em();
        for (int i = 0; i < columns.count(); i++) {
            boolean isFocused = plan.stages().get(i).stage().station() == focus;
            boolean isJointInGroups = plan.station(plan.stages().get(i)).isJoint();
            Font font = isFocused ? strongFont() : labelFont();
            String label = isJointInGroups ? "" : plan.stages().get(i).stage().label();
            g.setFont(font);
            g.setFill(color(Ink.TEXT));
            g.fillText(fitting(label, font, columns.width(i) - 0.4 * em()), centre(i), y);
        }
        paintGroups(g, height - 0.75 * em());
    }

    /** Under its stages the name of each device, and under a joint's its lead. */
    private void paintGroups(GraphicsContext g, double y) {
        int from = 0;
        for (int i = 1; i <= columns.count(); i++) {
            int station = plan.stages().get(from).stage().station();
            if (i == columns.count() || plan.stages().get(i).stage().station() != station) {
                double width = columns.start(i) - columns.start(from);
                Font font = station == focus ? strongFont() : labelFont();
                g.setFont(font);
                g.setFill(color(plan.trace().stations().get(station).isJoint() ? Ink.SECOND : Ink.TEXT));
                g.fillText(
                        fitting(plan.trace().stations().get(station).name(), font, width - 0.4 * em()),
                        columns.start(from) + width / 2,
                        y);
                from = i;
            }
        }
    }
}
