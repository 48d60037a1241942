package kalodyne.desktop.takes;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import kalodyne.core.gain.End;
import kalodyne.core.takes.ChannelReport;
import kalodyne.core.takes.Overview;
import kalodyne.core.takes.Stretch;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;

/** A take over time, a lane a channel: its shape, the aim's upper and lower edge, and the places where it is cut off. */
final class Waveform extends PaintedRegion {
    private static final double NARROWEST_MARK = 4;
    private static final int MOST_LANES = 8;

    private TakeReport take;
    private End aim;

    Waveform() {
        setId("waveform");
        getStyleClass().add("waveform");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    void show(TakeReport shown, End itsAim) {
        take = shown;
        aim = itsAim;
        setAccessibleText("Waveform of " + shown.file().getFileName() + ", " + shown.clipPlaces() + " places cut off");
        repaint();
    }

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        if (take == null) {
            return;
        }
        double left = 3.2 * em();
        double top = 1.3 * em();
        double bottom = 1.6 * em();
        double plotWidth = Math.max(1, width - left - 0.5 * em());
        double plotHeight = Math.max(1, height - top - bottom);
        g.setTextBaseline(VPos.CENTER);
        g.setFont(labelFont());
        int lanes = Math.min(MOST_LANES, take.channels().size());
        double laneHeight = plotHeight / lanes;
        for (int c = 0; c < lanes; c++) {
            Lane lane = new Lane(left, top + c * laneHeight, plotWidth, laneHeight - (lanes > 1 ? 4 : 0));
            paintLane(g, lane, take.channels().get(c));
        }
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setFont(strongFont());
        g.fillText("dBFS", left - 0.4 * em(), 0.6 * em());
        g.setFont(labelFont());
        paintTime(g, left, plotWidth, height - 0.7 * em());
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

    private void paintLane(GraphicsContext g, Lane lane, ChannelReport channel) {
        g.setFill(color(Ink.CARD));
        g.fillRect(lane.x(), lane.y(), lane.width(), lane.height());
        paintAim(g, lane);
        paintShape(g, lane, channel);
        g.setStroke(color(Ink.RULE));
        g.setLineWidth(1);
        g.strokeRect(lane.x() + 0.5, lane.y() + 0.5, lane.width() - 1, lane.height() - 1);
        paintClips(g, lane, channel.clipPlaces());
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

    private void paintShape(GraphicsContext g, Lane lane, ChannelReport channel) {
        Overview overview = channel.overview();
        g.setStroke(color(Ink.AVERAGE));
        g.setLineWidth(1);
        int columns = (int) lane.width();
        for (int column = 0; column < columns; column++) {
            int from = (int) ((long) column * overview.parts() / columns);
            int to = Math.max(from + 1, (int) ((long) (column + 1) * overview.parts() / columns));
            float low = 0;
            float high = 0;
            for (int part = from; part < Math.min(to, overview.parts()); part++) {
                low = part == from ? overview.lowest(part) : Math.min(low, overview.lowest(part));
                high = part == from ? overview.highest(part) : Math.max(high, overview.highest(part));
            }
            double x = lane.x() + column + 0.5;
            g.strokeLine(x, lane.at(high), x, Math.max(lane.at(low), lane.at(high) + 1));
        }
    }

    private void paintClips(GraphicsContext g, Lane lane, List<Stretch> places) {
        Color wrong = color(Ink.WRONG);
        double frames = take.header().frames();
        for (Stretch place : places) {
            double from = lane.x() + place.fromFrame() / frames * lane.width();
            double to = lane.x() + place.toFrame() / frames * lane.width();
            double width = Math.max(NARROWEST_MARK, to - from);
            g.setFill(wrong.deriveColor(0, 1, 1, 0.3));
            g.fillRect((from + to - width) / 2, lane.y(), width, lane.height());
            g.setFill(wrong);
            g.fillRect((from + to - width) / 2, lane.y(), width, 2);
            diamond(g, wrong, (from + to) / 2, lane.y());
        }
    }

    private void diamond(GraphicsContext g, Color color, double x, double y) {
        double r = 0.42 * em();
        g.setFill(color);
        g.fillPolygon(new double[] {x, x + r, x, x - r}, new double[] {y - r, y, y + r, y}, 4);
    }

    private void paintTime(GraphicsContext g, double left, double width, double y) {
        double seconds = take.header().seconds();
        if (seconds <= 0) {
            return;
        }
        double step = roundStep(seconds / Math.max(2, width / (7 * em())));
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.CENTER);
        for (double at = 0; at <= seconds; at += step) {
            double x = left + at / seconds * width;
            g.fillText(Print.tick(at), Math.min(left + width - 1.5 * em(), Math.max(left + em(), x)), y);
        }
    }

    /** 1, 2 or 5 of a power of ten, or whole parts of a minute. */
    private static double roundStep(double atLeast) {
        for (double step : new double[] {0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 1200, 1800, 3600}) {
            if (step >= atLeast) {
                return step;
            }
        }
        return 3600 * Math.ceil(atLeast / 3600);
    }
}
