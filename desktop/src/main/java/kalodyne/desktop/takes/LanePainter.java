package kalodyne.desktop.takes;

import java.util.Optional;
import java.util.function.Function;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Severity;
import kalodyne.core.levels.gain.End;
import kalodyne.core.takes.Ceiling;
import kalodyne.core.takes.ChannelReport;
import kalodyne.core.takes.Evidence;
import kalodyne.core.takes.Overview;
import kalodyne.core.takes.Stretch;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.WaveWindow;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion.Ink;
import kalodyne.desktop.control.TimeView;
import kalodyne.desktop.model.ShownTake;

/** Paints one channel of a take after the other: the aim, the pauses, the shape, the ceiling and the places that were found. */
final class LanePainter {
    private static final double NARROWEST_MARK = 4;
    private static final double DOTS_FROM_PIXELS = 6;

    private final GraphicsContext g;
    private final Function<Ink, Color> ink;
    private final double em;
    private final ShownTake shown;
    private final TakeReport take;
    private final End aim;
    private final TimeView view;
    private final Optional<WaveWindow> window;

    /**
     * For one painting.
     *
     * @param em the size of the text, in pixels
     * @param window the part that is seen, closely, if it is there
     */
    LanePainter(
            GraphicsContext g,
            Function<Ink, Color> ink,
            double em,
            ShownTake shown,
            TimeView view,
            Optional<WaveWindow> window) {
        this.g = g;
        this.ink = ink;
        this.em = em;
        this.shown = shown;
        this.take = shown.report();
        this.aim = shown.verdict().end();
        this.view = view;
        this.window = window;
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

    /** Paints a channel into its place. */
    void paint(int channel, double x, double y, double width, double height) {
        Lane lane = new Lane(x, y, width, height);
        ChannelReport report = take.channels().get(channel);
        g.setFill(ink.apply(Ink.CARD));
        g.fillRect(lane.x(), lane.y(), lane.width(), lane.height());
        paintAim(lane);
        paintPauses(lane, report);
        if (window.isPresent()) {
            paintWindow(lane, window.get(), channel);
        } else {
            paintOverview(lane, report.overview());
        }
        report.ceiling()
                .filter(ceiling -> shown.finding(FindingCode.CLIP_ANALOGUE).isPresent())
                .ifPresent(ceiling -> paintCeiling(lane, ceiling));
        g.setStroke(ink.apply(Ink.RULE));
        g.setLineWidth(1);
        g.strokeRect(lane.x() + 0.5, lane.y() + 0.5, lane.width() - 1, lane.height() - 1);
        shown.evidence().stream().filter(each -> each.channel() == channel).forEach(each -> paintEvidence(lane, each));
    }

    private void paintAim(Lane lane) {
        double high = new Gain(aim.high()).ratio();
        double low = new Gain(aim.low()).ratio();
        g.setFill(ink.apply(Ink.AIM));
        g.fillRect(lane.x(), lane.at(high), lane.width(), lane.at(low) - lane.at(high));
        g.fillRect(lane.x(), lane.at(-low), lane.width(), lane.at(-high) - lane.at(-low));
        g.setFill(ink.apply(Ink.SECOND));
        g.setTextAlign(TextAlignment.RIGHT);
        g.fillText("0", lane.x() - 0.4 * em, lane.at(1) + 0.2 * em);
        g.setFill(ink.apply(Ink.AIM_EDGE));
        if (lane.at(high) - lane.at(1) > 1.2 * em) {
            g.fillText(Print.plain(aim.high()), lane.x() - 0.4 * em, lane.at(high));
        }
        if (lane.at(low) - lane.at(high) > em) {
            g.fillText(Print.plain(aim.low()), lane.x() - 0.4 * em, lane.at(low));
        }
    }

    /** The height that something before the recorder does not let the wave exceed. */
    private void paintCeiling(Lane lane, Ceiling ceiling) {
        double height = new Gain(ceiling.dbfs()).ratio();
        g.setStroke(ink.apply(Ink.WRONG));
        g.setLineWidth(1);
        g.setLineDashes(5, 3);
        g.strokeLine(lane.x(), lane.at(height), lane.x() + lane.width(), lane.at(height));
        g.strokeLine(lane.x(), lane.at(-height), lane.x() + lane.width(), lane.at(-height));
        g.setLineDashes();
    }

    /** Where noise and hum were measured. */
    private void paintPauses(Lane lane, ChannelReport report) {
        for (Stretch pause : Evidence.pauses(report)) {
            double from = x(lane, (double) pause.fromFrame());
            double to = x(lane, (double) pause.toFrame());
            if (to > lane.x() && from < lane.x() + lane.width()) {
                double begin = Math.max(lane.x(), from);
                double wide = Math.min(lane.x() + lane.width(), to) - begin;
                g.setFill(ink.apply(Ink.BED).deriveColor(0, 1, 1, 0.35));
                g.fillRect(begin, lane.y(), wide, lane.height());
                if (wide > 3.2 * em) {
                    g.setFill(ink.apply(Ink.SECOND));
                    g.setTextAlign(TextAlignment.LEFT);
                    g.fillText("pause", begin + 0.4 * em, lane.y() + lane.height() - 0.8 * em);
                }
            }
        }
    }

    private double x(Lane lane, double frame) {
        return lane.x() + view.share(frame) * lane.width();
    }

    private void paintOverview(Lane lane, Overview overview) {
        g.setStroke(ink.apply(Ink.AVERAGE));
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
            stroke(lane, column, low, high);
        }
    }

    private void stroke(Lane lane, int column, float low, float high) {
        double x = lane.x() + column + 0.5;
        g.strokeLine(x, lane.at(high), x, Math.max(lane.at(low), lane.at(high) + 1));
    }

    private void paintWindow(Lane lane, WaveWindow part, int channel) {
        g.setStroke(ink.apply(Ink.AVERAGE));
        g.setFill(ink.apply(Ink.AVERAGE));
        g.setLineWidth(1);
        if (channel >= part.channels()) {
            return;
        }
        if (!part.isSamples()) {
            for (int column = 0; column < part.columns(); column++) {
                stroke(lane, column, part.lowest(channel, column), part.highest(channel, column));
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
                joined(lane, before, lane.at(part.lowest(channel, i - 1)), x, y);
            }
            if (hasDots && x >= lane.x() && x <= right) {
                g.fillOval(x - 2, y - 2, 4, 4);
            }
        }
    }

    /** A line from sample to sample, cut at the lane's edges by hand: a clip takes a whole picture's time for each line. */
    private void joined(Lane lane, double x1, double y1, double x2, double y2) {
        double from = Math.max(lane.x(), x1);
        double to = Math.min(lane.x() + lane.width(), x2);
        if (to > from) {
            double slope = (y2 - y1) / (x2 - x1);
            g.strokeLine(from, y1 + slope * (from - x1), to, y1 + slope * (to - x1));
        }
    }

    private void paintEvidence(Lane lane, Evidence place) {
        double from = x(lane, frame(place.fromSeconds()));
        double to = x(lane, frame(place.toSeconds()));
        if (to < lane.x() || from > lane.x() + lane.width()) {
            return;
        }
        Color color = place.severity() == Severity.WEAK ? ink.apply(Ink.WEAK) : ink.apply(Ink.WRONG);
        double width = Math.max(NARROWEST_MARK, to - from);
        double begin = Math.max(lane.x(), (from + to - width) / 2);
        double end = Math.min(lane.x() + lane.width(), (from + to + width) / 2);
        g.setFill(color.deriveColor(0, 1, 1, 0.3));
        g.fillRect(begin, lane.y(), end - begin, lane.height());
        g.setFill(color);
        g.fillRect(begin, lane.y(), end - begin, 2);
        mark(color, (begin + end) / 2, lane.y(), place.severity() == Severity.WEAK);
    }

    private void mark(Color color, double x, double y, boolean isWeak) {
        double r = 0.42 * em;
        g.setFill(color);
        if (isWeak) {
            g.fillPolygon(new double[] {x, x + r, x - r}, new double[] {y - r, y + r, y + r}, 3);
        } else {
            g.fillPolygon(new double[] {x, x + r, x, x - r}, new double[] {y - r, y, y + r, y}, 4);
        }
    }

    private double frame(double seconds) {
        return seconds * take.header().sampleRateHz();
    }
}
