package kalodyne.desktop.takes;

import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import kalodyne.core.takes.SpectrumOverTime;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.PaintedRegion;
import kalodyne.desktop.control.TimeView;
import kalodyne.desktop.job.PartReader;

/** What sounds when: each column a moment of the part of the take that the waveform shows, low tones below, the louder the darker. */
final class SpectrumTimeView extends PaintedRegion {
    private static final double LOWEST_HZ = 20;
    private static final double OCTAVES_TEN = 1000;
    private static final double QUIET_DB = -105;
    private static final double LOUD_DB = -25;
    private static final double[] MARKED_HZ = {50, 200, 1_000, 5_000};

    private final PartReader reader = new PartReader();
    private TakeReport take;
    private TimeView view = TimeView.whole(1);
    private Optional<SpectrumOverTime> over = Optional.empty();

    SpectrumTimeView() {
        setId("spectrum-over-time");
        getStyleClass().add("spectrum");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText("Spectrum over time");
        widthProperty().addListener(change -> read());
        visibleProperty().addListener(change -> read());
    }

    void show(TakeReport shown, TimeView seen) {
        boolean isSame = take != null && take.equals(shown) && view.equals(seen);
        take = shown;
        view = seen;
        if (!isSame) {
            read();
        }
    }

    private void read() {
        if (take == null || !isVisible() || getWidth() < 2 || take.header().frames() == 0) {
            reader.forget();
            return;
        }
        TakeReport of = take;
        long from = (long) view.from();
        long to = (long) Math.ceil(view.to());
        int columns = (int) plotWidth();
        reader.read(
                progress -> SpectrumOverTime.read(of.file(), of.header().sampleRateHz(), from, to, columns, progress),
                ready -> {
                    over = Optional.of(ready);
                    repaint();
                });
    }

    /** Whether it shows the part that is seen. */
    boolean isDrawn() {
        return over.filter(each -> each.fromFrame() == (long) view.from()).isPresent();
    }

    private double left() {
        return 2.6 * em();
    }

    private double plotWidth() {
        return Math.max(1, getWidth() - left() - 1);
    }

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        double bottom = 1.5 * em();
        double plotHeight = Math.max(1, height - bottom);
        g.setFill(color(Ink.CARD));
        g.fillRect(left(), 0, plotWidth(), plotHeight);
        over.ifPresent(each -> g.drawImage(image(each), left(), 0, plotWidth(), plotHeight));
        g.setStroke(color(Ink.RULE));
        g.setLineWidth(1);
        g.strokeRect(left() + 0.5, 0.5, plotWidth() - 1, plotHeight - 1);
        g.setFill(color(Ink.SECOND));
        g.setFont(labelFont());
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.RIGHT);
        for (double hertz : MARKED_HZ) {
            double y = plotHeight * (1 - Math.log(hertz / LOWEST_HZ) / Math.log(OCTAVES_TEN));
            g.strokeLine(left() - 4, Math.round(y) + 0.5, left(), Math.round(y) + 0.5);
            g.fillText(hertz < 1000 ? Print.plain(hertz) : Print.plain(hertz / 1000) + "k", left() - 0.4 * em(), y);
        }
        g.fillText("Hz", left() - 0.4 * em(), plotHeight + 0.8 * em());
        if (take != null) {
            double rate = take.header().sampleRateHz();
            g.setTextAlign(TextAlignment.LEFT);
            g.fillText(Print.moment(view.from() / rate), left(), plotHeight + 0.8 * em());
            g.setTextAlign(TextAlignment.RIGHT);
            g.fillText(Print.moment(view.to() / rate), left() + plotWidth(), plotHeight + 0.8 * em());
        }
    }

    private WritableImage image(SpectrumOverTime each) {
        WritableImage image = new WritableImage(each.columns(), SpectrumOverTime.BANDS);
        Color paper = color(Ink.CARD);
        Color ink = color(Ink.AVERAGE);
        for (int column = 0; column < each.columns(); column++) {
            for (int band = 0; band < SpectrumOverTime.BANDS; band++) {
                double loud = (each.decibels(column, band) - QUIET_DB) / (LOUD_DB - QUIET_DB);
                image.getPixelWriter()
                        .setColor(
                                column,
                                SpectrumOverTime.BANDS - 1 - band,
                                paper.interpolate(ink, Math.max(0, Math.min(1, loud))));
            }
        }
        return image;
    }
}
