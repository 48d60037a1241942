package kalodyne.desktop.takes;

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
import javafx.scene.text.TextAlignment;
import kalodyne.core.takes.Evidence;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.takes.WaveWindow;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Copying;
import kalodyne.desktop.control.PaintedRegion;
import kalodyne.desktop.control.TimeAxis;
import kalodyne.desktop.control.TimeMoves;
import kalodyne.desktop.control.TimeView;
import kalodyne.desktop.job.PartReader;
import kalodyne.desktop.model.ShownTake;

/**
 * A take over time, a lane a channel: its shape down to single samples, the aim's upper and lower edge, the pauses, and the places that show
 * what was found. The wheel goes nearer, dragging moves along; so do the arrow keys.
 */
final class Waveform extends PaintedRegion {
    private static final int MOST_LANES = 8;
    private static final double NEAR_PIXELS = 7;

    private final PartReader reader = new PartReader();
    private final Tooltip tip = new Tooltip();
    private final Consumer<Double> pointed;
    private final Runnable looked;
    private ShownTake shown;
    private TakeReport take;
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
        Copying.offerPicture("the waveform", this);
    }

    void show(ShownTake other) {
        boolean isSame = shown != null && shown.report().equals(other.report());
        shown = other;
        take = other.report();
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
        look(view.zoomed(factor, cursorShare()));
    }

    /** What stays in its place when one goes nearer. */
    private double cursorShare() {
        return Math.max(0, Math.min(1, view.share(frame(cursorSeconds))));
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
        if (take != null) {
            look(TimeMoves.by(event, view, shareAt(event.getX())));
            event.consume();
        }
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
                .flatMap(each -> shown.finding(each.code())
                        .map(found -> found.title() + ", " + Print.moment(each.fromSeconds())))
                .orElse("");
    }

    private void key(KeyEvent event) {
        if (take != null) {
            TimeMoves.by(event, view, cursorShare()).ifPresent(other -> {
                look(other);
                event.consume();
            });
        }
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
        LanePainter painter = new LanePainter(g, this::color, em(), shown, view, window);
        for (int c = 0; c < lanes; c++) {
            painter.paint(c, left(), top + c * laneHeight, plotWidth(), laneHeight - (lanes > 1 ? 4 : 0));
        }
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.RIGHT);
        g.setFont(strongFont());
        g.fillText("dBFS", left() - 0.4 * em(), 0.6 * em());
        g.setFont(labelFont());
        paintTime(g, height - 0.7 * em());
        paintCursors(g, top, plotHeight);
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
        if (take.header().frames() == 0) {
            return;
        }
        double rate = take.header().sampleRateHz();
        g.setFill(color(Ink.SECOND));
        g.setTextAlign(TextAlignment.CENTER);
        TimeAxis axis = new TimeAxis(view.from() / rate, view.frames() / rate);
        for (TimeAxis.Mark mark : axis.marks(plotWidth() / (7 * em()))) {
            double x = left() + mark.share() * plotWidth();
            g.fillText(mark.label(), Math.min(left() + plotWidth() - 1.5 * em(), Math.max(left() + em(), x)), y);
        }
    }
}
