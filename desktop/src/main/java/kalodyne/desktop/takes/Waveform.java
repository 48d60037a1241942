package kalodyne.desktop.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.Severity;
import kalodyne.core.gain.End;
import kalodyne.core.takes.Ceiling;
import kalodyne.core.takes.ChannelReport;
import kalodyne.core.takes.Evidence;
import kalodyne.core.takes.Overview;
import kalodyne.core.takes.Stretch;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.WaveWindow;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;
import kalodyne.desktop.model.TakesModel;

/**
 * A take over time, a lane a channel: its shape down to single samples, the aim's upper and lower edge, the pauses, and the places that show
 * what was found. The wheel goes nearer, dragging moves along; so do the arrow keys.
 */
final class Waveform extends PaintedRegion {
    private static final double NARROWEST_MARK = 4;
    private static final int MOST_LANES = 8;
    private static final double NEARER = 1.5;
    private static final double STEP = 0.2;
    private static final double DOTS_FROM_PIXELS = 6;
    private static final double NEAR_PIXELS = 7;

    private final PartReader reader = new PartReader();
    private final Tooltip tip = new Tooltip();
    private final Consumer<Double> pointed;
    private final Runnable looked;
    private TakesModel.Shown shown;
    private TakeReport take;
    private End aim;
    private TimeView view = TimeView.whole(1);
    private Optional<WaveWindow> window = Optional.empty();
    private OptionalDouble playedSeconds = OptionalDouble.empty();
    private double cursorSeconds;
    private double dragX;
    private boolean isDragged;
    private boolean hasTip;

    /**
     * An empty one.
     *
     * @param pointed told the seconds that somebody points at
     * @param looked told that something else is seen
     */
    Waveform(Consumer<Double> pointed, Runnable looked) {
        this.pointed = pointed;
        this.looked = looked;
        setId("waveform");
        getStyleClass().add("waveform");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setFocusTraversable(true);
        setOnScroll(this::scrolled);
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(this::released);
        setOnMouseMoved(this::hovered);
        setOnKeyPressed(this::key);
        widthProperty().addListener(change -> look(view));
    }

    void show(TakesModel.Shown other) {
        boolean isSame = shown != null && shown.report().equals(other.report());
        shown = other;
        take = other.report();
        aim = other.verdict().end();
        setAccessibleText("Waveform of " + take.file().getFileName() + ", " + take.clipPlaces() + " places cut off");
        if (!isSame) {
            cursorSeconds = 0;
            look(TimeView.whole(take.header().frames()));
        }
        repaint();
    }

    // --- where one looks -----------------------------------------------------------------------------------------

    TimeView view() {
        return view;
    }

    /** Whether single samples are drawn. */
    boolean showsSamples() {
        return window.filter(WaveWindow::isSamples).isPresent();
    }

    void zoom(double factor) {
        look(view.zoomed(factor, Math.max(0, Math.min(1, view.share(frame(cursorSeconds))))));
    }

    void whole() {
        look(TimeView.whole(take == null ? 1 : take.header().frames()));
    }

    /** Goes to a place, near enough to see it. */
    void lookAt(Evidence place) {
        cursorSeconds = place.fromSeconds();
        look(view.round(
                frame(place.fromSeconds()), Math.max(frame(place.toSeconds()), frame(place.fromSeconds()) + 60)));
    }

    double cursorSeconds() {
        return cursorSeconds;
    }

    /** Where it is heard now; empty where nothing plays. */
    void played(OptionalDouble seconds) {
        playedSeconds = seconds;
        repaint();
    }

    private double frame(double seconds) {
        return seconds * take.header().sampleRateHz();
    }

    private void look(TimeView other) {
        boolean isOther = !other.equals(view);
        view = other;
        if (isOther) {
            looked.run();
        }
        window = window.filter(this::isOfView);
        if (take != null && window.isEmpty() && needsSamples()) {
            TakeReport of = take;
            long from = first();
            long to = last();
            int columns = columns();
            reader.read(
                    progress -> WaveWindow.read(of.file(), of.header().sampleRateHz(), from, to, columns, progress),
                    ready -> {
                        if (take.equals(of) && isOfView(ready)) {
                            window = Optional.of(ready);
                            repaint();
                        }
                    });
        } else {
            reader.forget();
        }
        repaint();
    }

    private long first() {
        return (long) view.from();
    }

    private long last() {
        return (long) Math.ceil(view.to());
    }

    private int columns() {
        return (int) Math.max(1, plotWidth());
    }

    private boolean isOfView(WaveWindow other) {
        return other.fromFrame() == first()
                && other.toFrame() == last()
                && (other.columns() == columns() || other.isSamples());
    }

    /** The overview is too coarse for what is seen. */
    private boolean needsSamples() {
        return take.header().frames() > 0
                && view.frames()
                        < (double) columns() * take.channels().get(0).overview().framesPerPart();
    }

    // --- mouse and keys ------------------------------------------------------------------------------------------

    private double left() {
        return 3.2 * em();
    }

    private double plotWidth() {
        return Math.max(1, getWidth() - left() - 0.5 * em());
    }

    private double shareAt(double x) {
        return Math.max(0, Math.min(1, (x - left()) / plotWidth()));
    }

    private void scrolled(ScrollEvent event) {
        if (take == null) {
            return;
        }
        if (event.getDeltaX() != 0 || event.isShiftDown()) {
            double by = event.getDeltaX() != 0 ? event.getDeltaX() : event.getDeltaY();
            look(view.moved(-Math.signum(by) * STEP));
        } else if (event.getDeltaY() != 0) {
            look(view.zoomed(event.getDeltaY() > 0 ? NEARER : 1 / NEARER, shareAt(event.getX())));
        }
        event.consume();
    }

    private void pressed(MouseEvent event) {
        requestFocus();
        dragX = event.getX();
        isDragged = false;
        // What it lies in would take the focus away again.
        event.consume();
    }

    private void dragged(MouseEvent event) {
        if (take != null) {
            isDragged = true;
            look(view.moved((dragX - event.getX()) / plotWidth()));
            dragX = event.getX();
        }
    }

    private void released(MouseEvent event) {
        if (take != null && !isDragged) {
            cursorSeconds = view.frameAt(shareAt(event.getX())) / take.header().sampleRateHz();
            pointed.accept(cursorSeconds);
            repaint();
        }
    }

    private void hovered(MouseEvent event) {
        String words = take == null ? "" : wordsAt(event.getX());
        tip.setText(words);
        if (!words.isEmpty() && !hasTip) {
            Tooltip.install(this, tip);
        } else if (words.isEmpty() && hasTip) {
            Tooltip.uninstall(this, tip);
        }
        hasTip = !words.isEmpty();
    }

    /** What was found where the mouse is. */
    private String wordsAt(double x) {
        double reach = NEAR_PIXELS / plotWidth() * view.frames();
        double at = view.frameAt(shareAt(x));
        return shown.evidence().stream()
                .filter(each -> at > frame(each.fromSeconds()) - reach && at < frame(each.toSeconds()) + reach)
                .findFirst()
                .map(each -> title(each.code()) + ", " + Print.moment(each.fromSeconds()))
                .orElse("");
    }

    private String title(String code) {
        return shown.verdict().findings().stream()
                .filter(finding -> finding.code().equals(code))
                .map(Finding::title)
                .findFirst()
                .orElse("");
    }

    private void key(KeyEvent event) {
        if (take == null || event.isShortcutDown()) {
            return;
        }
        switch (event.getCode()) {
            case LEFT -> look(view.moved(-STEP));
            case RIGHT -> look(view.moved(STEP));
            case UP -> zoom(NEARER);
            case DOWN -> zoom(1 / NEARER);
            case HOME -> whole();
            default -> {
                return;
            }
        }
        event.consume();
    }

    // --- painting ------------------------------------------------------------------------------------------------

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        if (take == null) {
            return;
        }
        double top = 1.3 * em();
        double bottom = 1.6 * em();
        double plotHeight = Math.max(1, height - top - bottom);
        g.setTextBaseline(VPos.CENTER);
        g.setFont(labelFont());
        int lanes = Math.min(MOST_LANES, take.channels().size());
        double laneHeight = plotHeight / lanes;
        for (int c = 0; c < lanes; c++) {
            Lane lane = new Lane(left(), top + c * laneHeight, plotWidth(), laneHeight - (lanes > 1 ? 4 : 0));
            paintLane(g, lane, c);
        }
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setFont(strongFont());
        g.fillText("dBFS", left() - 0.4 * em(), 0.6 * em());
        g.setFont(labelFont());
        paintTime(g, height - 0.7 * em());
        paintCursors(g, top, plotHeight);
    }

    private record Lane(double x, double y, double width, double height) {
        double middle() {
            return y + height / 2;
        }

        /** The height of a sample; full scale has a little room to the lane's edge. */
        double at(double sample) {
            return middle() - Math.max(-1.04, Math.min(1.04, sample)) * height / 2 / 1.04;
        }
    }

    private void paintLane(GraphicsContext g, Lane lane, int channel) {
        ChannelReport report = take.channels().get(channel);
        g.setFill(color(Ink.CARD));
        g.fillRect(lane.x(), lane.y(), lane.width(), lane.height());
        paintAim(g, lane);
        paintPauses(g, lane, report);
        if (window.isPresent()) {
            paintWindow(g, lane, window.get(), channel);
        } else {
            paintOverview(g, lane, report.overview());
        }
        report.ceiling()
                .filter(ceiling -> isFound("clip.analogue"))
                .ifPresent(ceiling -> paintCeiling(g, lane, ceiling));
        g.setStroke(color(Ink.RULE));
        g.setLineWidth(1);
        g.strokeRect(lane.x() + 0.5, lane.y() + 0.5, lane.width() - 1, lane.height() - 1);
        shown.evidence().stream()
                .filter(each -> each.channel() == channel)
                .forEach(each -> paintEvidence(g, lane, each));
    }

    private void paintAim(GraphicsContext g, Lane lane) {
        double high = new Gain(aim.high()).ratio();
        double low = new Gain(aim.low()).ratio();
        g.setFill(color(Ink.AIM));
        g.fillRect(lane.x(), lane.at(high), lane.width(), lane.at(low) - lane.at(high));
        g.fillRect(lane.x(), lane.at(-low), lane.width(), lane.at(-high) - lane.at(-low));
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText("0", lane.x() - 0.4 * em(), lane.at(1) + 0.2 * em());
        g.setFill(color(Ink.AIM_EDGE));
        if (lane.at(high) - lane.at(1) > 1.2 * em()) {
            g.fillText(Print.plain(aim.high()), lane.x() - 0.4 * em(), lane.at(high));
        }
        if (lane.at(low) - lane.at(high) > em()) {
            g.fillText(Print.plain(aim.low()), lane.x() - 0.4 * em(), lane.at(low));
        }
    }

    private boolean isFound(String code) {
        return shown.verdict().findings().stream()
                .anyMatch(finding -> finding.code().equals(code));
    }

    /** The height that something before the recorder does not let the wave exceed. */
    private void paintCeiling(GraphicsContext g, Lane lane, Ceiling ceiling) {
        double height = new Gain(ceiling.dbfs()).ratio();
        g.setStroke(color(Ink.WRONG));
        g.setLineWidth(1);
        g.setLineDashes(5, 3);
        g.strokeLine(lane.x(), lane.at(height), lane.x() + lane.width(), lane.at(height));
        g.strokeLine(lane.x(), lane.at(-height), lane.x() + lane.width(), lane.at(-height));
        g.setLineDashes();
    }

    /** Where noise and hum were measured. */
    private void paintPauses(GraphicsContext g, Lane lane, ChannelReport report) {
        for (Stretch pause : Evidence.pauses(report)) {
            double from = x(lane, (double) pause.fromFrame());
            double to = x(lane, (double) pause.toFrame());
            if (to > lane.x() && from < lane.x() + lane.width()) {
                double begin = Math.max(lane.x(), from);
                double wide = Math.min(lane.x() + lane.width(), to) - begin;
                g.setFill(color(Ink.BED).deriveColor(0, 1, 1, 0.35));
                g.fillRect(begin, lane.y(), wide, lane.height());
                if (wide > 3.2 * em()) {
                    g.setFill(color(Ink.SECOND));
                    g.setTextAlign(TextAlignment.LEFT);
                    g.fillText("pause", begin + 0.4 * em(), lane.y() + lane.height() - 0.8 * em());
                }
            }
        }
    }

    private double x(Lane lane, double frame) {
        return lane.x() + view.share(frame) * lane.width();
    }

    private void paintOverview(GraphicsContext g, Lane lane, Overview overview) {
        g.setStroke(color(Ink.AVERAGE));
        g.setLineWidth(1);
        int columns = (int) lane.width();
        double perPart = overview.framesPerPart();
        for (int column = 0; column < columns; column++) {
            int from = (int) (view.frameAt((double) column / columns) / perPart);
            int to = Math.max(from + 1, (int) (view.frameAt((column + 1.0) / columns) / perPart));
            float low = 0;
            float high = 0;
            for (int part = from; part < Math.min(to, overview.parts()); part++) {
                low = part == from ? overview.lowest(part) : Math.min(low, overview.lowest(part));
                high = part == from ? overview.highest(part) : Math.max(high, overview.highest(part));
            }
            stroke(g, lane, column, low, high);
        }
    }

    private static void stroke(GraphicsContext g, Lane lane, int column, float low, float high) {
        double x = lane.x() + column + 0.5;
        g.strokeLine(x, lane.at(high), x, Math.max(lane.at(low), lane.at(high) + 1));
    }

    private void paintWindow(GraphicsContext g, Lane lane, WaveWindow part, int channel) {
        g.setStroke(color(Ink.AVERAGE));
        g.setFill(color(Ink.AVERAGE));
        g.setLineWidth(1);
        if (channel >= part.channels()) {
            return;
        }
        if (!part.isSamples()) {
            for (int column = 0; column < part.columns(); column++) {
                stroke(g, lane, column, part.lowest(channel, column), part.highest(channel, column));
            }
            return;
        }
        boolean hasDots = lane.width() / part.columns() > DOTS_FROM_PIXELS;
        double right = lane.x() + lane.width();
        for (int i = 0; i < part.columns(); i++) {
            double x = x(lane, (double) part.fromFrame() + i);
            double y = lane.at(part.lowest(channel, i));
            if (i > 0) {
                double before = x(lane, (double) part.fromFrame() + i - 1);
                joined(g, lane, before, lane.at(part.lowest(channel, i - 1)), x, y);
            }
            if (hasDots && x >= lane.x() && x <= right) {
                g.fillOval(x - 2, y - 2, 4, 4);
            }
        }
    }

    /** A line from sample to sample, cut at the lane's edges by hand: a clip takes a whole picture's time for each line. */
    private static void joined(GraphicsContext g, Lane lane, double x1, double y1, double x2, double y2) {
        double from = Math.max(lane.x(), x1);
        double to = Math.min(lane.x() + lane.width(), x2);
        if (to > from) {
            double slope = (y2 - y1) / (x2 - x1);
            g.strokeLine(from, y1 + slope * (from - x1), to, y1 + slope * (to - x1));
        }
    }

    private void paintEvidence(GraphicsContext g, Lane lane, Evidence place) {
        double from = x(lane, frame(place.fromSeconds()));
        double to = x(lane, frame(place.toSeconds()));
        if (to < lane.x() || from > lane.x() + lane.width()) {
            return;
        }
        Color color = place.severity() == Severity.WEAK ? color(Ink.WEAK) : color(Ink.WRONG);
        double width = Math.max(NARROWEST_MARK, to - from);
        double begin = Math.max(lane.x(), (from + to - width) / 2);
        double end = Math.min(lane.x() + lane.width(), (from + to + width) / 2);
        g.setFill(color.deriveColor(0, 1, 1, 0.3));
        g.fillRect(begin, lane.y(), end - begin, lane.height());
        g.setFill(color);
        g.fillRect(begin, lane.y(), end - begin, 2);
        mark(g, color, (begin + end) / 2, lane.y(), place.severity() == Severity.WEAK);
    }

    private void mark(GraphicsContext g, Color color, double x, double y, boolean isWeak) {
        double r = 0.42 * em();
        g.setFill(color);
        if (isWeak) {
            g.fillPolygon(new double[] {x, x + r, x - r}, new double[] {y - r, y + r, y + r}, 3);
        } else {
            g.fillPolygon(new double[] {x, x + r, x, x - r}, new double[] {y - r, y, y + r, y}, 4);
        }
    }

    private void paintCursors(GraphicsContext g, double top, double height) {
        double cursor = view.share(frame(cursorSeconds));
        if (cursorSeconds > 0 && cursor >= 0 && cursor <= 1) {
            g.setStroke(color(Ink.SECOND));
            g.setLineWidth(1);
            g.setLineDashes(3, 3);
            line(g, cursor, top, height);
            g.setLineDashes();
        }
        if (playedSeconds.isPresent()) {
            double played = view.share(frame(playedSeconds.getAsDouble()));
            if (played >= 0 && played <= 1) {
                g.setStroke(color(Ink.ACT));
                g.setLineWidth(2);
                line(g, played, top, height);
            }
        }
    }

    private void line(GraphicsContext g, double share, double top, double height) {
        double x = left() + share * plotWidth();
        g.strokeLine(x, top, x, top + height);
    }

    private void paintTime(GraphicsContext g, double y) {
        double rate = take.header().sampleRateHz();
        double seconds = view.frames() / rate;
        if (take.header().frames() == 0) {
            return;
        }
        double step = roundStep(seconds / Math.max(2, plotWidth() / (7 * em())));
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.CENTER);
        double begin = view.from() / rate;
        for (double tick = Math.ceil(begin / step); tick * step <= begin + seconds; tick++) {
            double x = left() + (tick * step - begin) / seconds * plotWidth();
            double inside = Math.min(left() + plotWidth() - 1.5 * em(), Math.max(left() + em(), x));
            g.fillText(timeLabel(tick * step, step), inside, y);
        }
    }

    private static String timeLabel(double seconds, double step) {
        if (step >= 1) {
            return Print.tick(seconds);
        }
        int digits = step >= 0.1 ? 1 : step >= 0.01 ? 2 : step >= 0.001 ? 3 : step >= 0.0001 ? 4 : 5;
        return Print.decimal(seconds, digits) + " s";
    }

    private static final List<Double> LONG_STEPS =
            List.of(1.0, 2.0, 5.0, 10.0, 20.0, 30.0, 60.0, 120.0, 300.0, 600.0, 1200.0, 1800.0, 3600.0);

    /** 1, 2 or 5 of a power of ten, or whole parts of a minute. */
    private static double roundStep(double atLeast) {
        if (atLeast >= 1) {
            return LONG_STEPS.stream()
                    .filter(step -> step >= atLeast)
                    .findFirst()
                    .orElse(3600 * Math.ceil(atLeast / 3600));
        }
        double ten = 1;
        while (ten > atLeast) {
            ten /= 10;
        }
        return atLeast <= ten ? ten : atLeast <= 2 * ten ? 2 * ten : atLeast <= 5 * ten ? 5 * ten : 10 * ten;
    }
}
