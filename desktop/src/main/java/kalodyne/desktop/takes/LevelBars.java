package kalodyne.desktop.takes;

import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.levels.gain.End;
import kalodyne.core.recording.LiveMeter;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;

/** What comes in now, a bar a channel: average, peak, the loudest so far, and the aim that the loudest should lie in. */
final class LevelBars extends PaintedRegion {
    private static final double LOWEST_DB = -60;
    private static final double[] MARKED_DB = {-60, -48, -36, -24, -18, -12, -6, 0};
    private static final int MOST_BARS = 8;

    /** How fast a peak falls back, as common meters do. */
    private static final double FALL_DB = 0.7;

    private Optional<LiveMeter.Reading> reading = Optional.empty();
    private End aim;
    private double[] held = new double[0];

    LevelBars() {
        setId("level-bars");
        getStyleClass().add("level-bars");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    void show(Optional<LiveMeter.Reading> newReading, End itsAim) {
        reading = newReading;
        aim = itsAim;
        reading.ifPresent(this::hold);
        setAccessibleText(reading.map(each -> "Loudest so far " + DigitalLevel.ofPeak(each.loudest()))
                .orElse("Nothing comes in yet"));
        repaint();
    }

    private void hold(LiveMeter.Reading now) {
        if (held.length != now.bars().size()) {
            held = new double[now.bars().size()];
            java.util.Arrays.fill(held, LOWEST_DB);
        }
        for (int c = 0; c < held.length; c++) {
            held[c] = Math.max(db(now.bars().get(c).peak()), held[c] - FALL_DB);
        }
    }

    private static double db(double sample) {
        return Math.max(LOWEST_DB, DigitalLevel.ofPeak(sample).dbfs());
    }

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        double left = 1.2 * em();
        double right = 4.5 * em();
        double bottom = 1.8 * em();
        double plot = Math.max(1, width - left - right);
        int bars = Math.max(1, Math.min(MOST_BARS, held.length));
        double lane = (height - bottom) / bars;
        g.setTextBaseline(VPos.CENTER);
        g.setFont(labelFont());
        for (int c = 0; c < bars; c++) {
            paintBar(g, c, left, plot, c * lane, Math.min(lane - 4, 3.2 * em()));
        }
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.CENTER);
        for (double db : MARKED_DB) {
            g.fillText(Print.plain(db), x(left, plot, db), bars * Math.min(lane, 3.2 * em() + 4) + 0.7 * em());
        }
        g.setTextAlign(TextAlignment.LEFT);
        g.fillText("dBFS", left + plot + em(), bars * Math.min(lane, 3.2 * em() + 4) + 0.7 * em());
    }

    private static double x(double left, double plot, double db) {
        return left + plot * (Math.max(LOWEST_DB, Math.min(0, db)) - LOWEST_DB) / -LOWEST_DB;
    }

    private void paintBar(GraphicsContext g, int channel, double left, double plot, double y, double height) {
        g.setFill(color(Ink.CARD));
        g.fillRect(left, y, plot, height);
        if (aim != null) {
            double low = x(left, plot, aim.low());
            g.setFill(color(Ink.AIM));
            g.fillRect(low, y, x(left, plot, aim.high()) - low, height);
        }
        g.setStroke(color(Ink.RULE));
        g.setLineWidth(1);
        g.strokeRect(left + 0.5, y + 0.5, plot - 1, height - 1);
        if (reading.isEmpty() || channel >= reading.get().bars().size()) {
            return;
        }
        LiveMeter.Bar bar = reading.get().bars().get(channel);
        double average = DigitalLevel.ofRms(bar.average()).dbfs();
        g.setFill(color(Ink.AVERAGE));
        g.fillRect(left, y + 0.3 * height, x(left, plot, average) - left, 0.4 * height);
        if (held[channel] > LOWEST_DB) {
            g.setFill(color(Ink.PEAK));
            g.fillRect(x(left, plot, held[channel]) - 2, y + 0.12 * height, 4, 0.76 * height);
        }
        double loudest = x(left, plot, db(bar.loudest()));
        g.setStroke(color(Ink.TEXT));
        g.setLineWidth(1.5);
        g.strokeLine(loudest, y, loudest, y + height);
        g.setTextAlign(TextAlignment.LEFT);
        if (bar.cut() > 0) {
            g.setFill(color(Ink.WRONG));
            g.setFont(strongFont());
            g.fillText("cut off", left + plot + 0.6 * em(), y + height / 2);
            g.setFont(labelFont());
        }
    }
}
