package kalodyne.desktop.control;

import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import kalodyne.core.sound.measure.Hum;
import kalodyne.core.sound.measure.Pauses;
import kalodyne.core.sound.measure.SoundMeasures;
import kalodyne.core.sound.measure.Spectrum;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;

/**
 * What a take sounds like by frequency: all of it, its pauses, another take where one is compared, and the family of the hum. Power in bands
 * of a sixth of an octave.
 */
public final class SpectrumView extends PaintedRegion {
    private static final double LOWEST_HZ = 20;
    private static final double HIGHEST_HZ = 20_000;
    private static final double TOP_DB = 0;
    private static final double BOTTOM_DB = -120;
    private static final double HALF_A_BAND = Math.pow(2, 1.0 / 12);
    private static final int POINTS = 160;
    private static final double[] MARKED_HZ = {50, 100, 200, 500, 1_000, 2_000, 5_000, 10_000};
    private static final double[] MARKED_DB = {-30, -60, -90};

    private TakeReport take;
    private Optional<TakeReport> other = Optional.empty();

    /** Shows nothing yet. */
    public SpectrumView() {
        setId("spectrum");
        getStyleClass().add("spectrum");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    }

    /**
     * Shows a take.
     *
     * @param compared another one, drawn beside it
     */
    public void show(TakeReport shown, Optional<TakeReport> compared) {
        take = shown;
        other = compared;
        setAccessibleText("Spectrum of " + shown.file().getFileName() + ", "
                + shown.hum().map(SpectrumView::family).orElse("no hum"));
        repaint();
    }

    /** "hum at 50, 100, 150 Hz". */
    private static String family(Hum hum) {
        String lines = hum.lines().stream()
                .limit(5)
                .map(line -> Print.decimal(line.hertz(), 0))
                .reduce((one, next) -> one + ", " + next)
                .orElse("");
        return "hum" + (hum.isFromPauses() ? " in the pauses" : "") + ": " + lines
                + (hum.lines().size() > 5 ? " … Hz" : " Hz");
    }

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        if (take == null) {
            return;
        }
        double left = 2.6 * em();
        double bottom = 1.5 * em();
        Plot plot = new Plot(left, 0.5, width - left - 1, height - bottom);
        g.setFill(color(Ink.CARD));
        g.fillRect(plot.x(), plot.y(), plot.width(), plot.height());
        paintGrid(g, plot);
        SoundMeasures heard = take.loudest().heard();
        other.ifPresent(
                compared -> paintLine(g, plot, compared.loudest().heard().spectrum(), Ink.PEAK, 1, 5, 3));
        heard.pauses().map(Pauses::spectrum).ifPresent(pauses -> paintLine(g, plot, pauses, Ink.FLOOR, 1, 2, 2));
        paintLine(g, plot, heard.spectrum(), Ink.AVERAGE, 1.6);
        take.hum().ifPresent(hum -> paintHum(g, plot, hum));
        g.setStroke(color(Ink.RULE));
        g.setLineWidth(1);
        g.strokeRect(plot.x() + 0.5, plot.y() + 0.5, plot.width() - 1, plot.height() - 1);
    }

    private record Plot(double x, double y, double width, double height) {
        double at(double hertz) {
            return x + width * Math.log(hertz / LOWEST_HZ) / Math.log(HIGHEST_HZ / LOWEST_HZ);
        }

        double level(double db) {
            return y + height * (TOP_DB - Math.max(BOTTOM_DB, Math.min(TOP_DB, db))) / (TOP_DB - BOTTOM_DB);
        }
    }

    /** Re a full-scale sine, as all averages in the window. */
    private static double db(double power) {
        return DigitalLevel.ofRms(Math.sqrt(power)).dbfs();
    }

    private void paintGrid(GraphicsContext g, Plot plot) {
        g.setFont(labelFont());
        g.setTextBaseline(VPos.CENTER);
        g.setLineWidth(1);
        g.setStroke(color(Ink.RULE));
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.CENTER);
        for (double hertz : MARKED_HZ) {
            double x = Math.round(plot.at(hertz)) + 0.5;
            g.strokeLine(x, plot.y(), x, plot.y() + plot.height());
            g.fillText(
                    hertz < 1000 ? Print.plain(hertz) : Print.plain(hertz / 1000) + "k",
                    x,
                    plot.y() + plot.height() + 0.8 * em());
        }
        g.setTextAlign(TextAlignment.RIGHT);
        for (double db : MARKED_DB) {
            double y = Math.round(plot.level(db)) + 0.5;
            g.strokeLine(plot.x(), y, plot.x() + plot.width(), y);
            g.fillText(Print.plain(db), plot.x() - 0.3 * em(), y);
        }
        g.fillText("Hz", plot.x() - 0.3 * em(), plot.y() + plot.height() + 0.8 * em());
    }

    private void paintLine(GraphicsContext g, Plot plot, Spectrum spectrum, Ink ink, double weight, double... dashes) {
        g.setStroke(color(ink));
        g.setLineWidth(weight);
        g.setLineDashes(dashes);
        double highest = Math.min(HIGHEST_HZ, spectrum.hertz(spectrum.steps() - 1) / HALF_A_BAND);
        g.beginPath();
        for (int i = 0; i <= POINTS; i++) {
            double hertz = LOWEST_HZ * Math.pow(highest / LOWEST_HZ, (double) i / POINTS);
            double power = spectrum.power(hertz / HALF_A_BAND, hertz * HALF_A_BAND);
            double y = plot.level(db(power));
            if (i == 0) {
                g.moveTo(plot.at(hertz), y);
            } else {
                g.lineTo(plot.at(hertz), y);
            }
        }
        g.stroke();
        g.setLineDashes();
    }

    private void paintHum(GraphicsContext g, Plot plot, Hum hum) {
        g.setStroke(color(Ink.WRONG));
        g.setFill(color(Ink.WRONG));
        g.setLineWidth(2);
        for (Hum.Line line : hum.lines()) {
            double x = plot.at(line.hertz());
            double y = plot.level(db(line.power()));
            g.strokeLine(x, y, x, plot.y() + plot.height());
            g.fillOval(x - 3.5, y - 3.5, 7, 7);
        }
        g.setFont(labelFont());
        g.setTextAlign(TextAlignment.RIGHT);
        g.setFill(color(Ink.TEXT));
        g.fillText(
                fitting(family(hum), labelFont(), plot.width() - em()),
                plot.x() + plot.width() - 0.4 * em(),
                plot.y() + 0.8 * em());
    }
}
