package kalodyne.desktop.lineup;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleConsumer;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import kalodyne.core.lineup.PairPlace;
import kalodyne.desktop.control.PaintedRegion;
import kalodyne.desktop.control.TimeAxis;
import kalodyne.desktop.control.TimeMoves;
import kalodyne.desktop.control.TimeView;

/**
 * A place of two recordings over each other: the reference as a filled shape, the other one as a line. Dragging moves the other one by
 * hand; the wheel and the arrow keys go nearer and along.
 */
final class PairWave extends PaintedRegion {
    private static final double MIDDLE = 0.5;
    /** At first so much is seen, around the strongest moment. */
    private static final double SEEN_SECONDS = 0.09;
    /** The shapes may fill so much of the height. */
    private static final double FILLED = 0.92;

    private final DoubleConsumer moved;
    private Optional<PairView.Seen> seen = Optional.empty();
    private Optional<PairPlace> place = Optional.empty();
    private TimeView view = TimeView.whole(1);
    private OptionalDouble heardSeconds = OptionalDouble.empty();
    private double pressedX;
    private double draggedSeconds;
    private boolean isMovingAlong;

    /**
     * An empty one.
     *
     * @param moved told by how many seconds the other one was dragged later
     */
    PairWave(String id, DoubleConsumer moved) {
        this.moved = moved;
        setId(id);
        getStyleClass().add("pair-wave");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setFocusTraversable(true);
        setCursor(Cursor.H_RESIZE);
        setOnScroll(this::scrolled);
        setOnMousePressed(this::pressed);
        setOnMouseDragged(this::dragged);
        setOnMouseReleased(this::released);
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    }

    void show(Optional<PairView.Seen> present) {
        seen = present;
        Optional<PairPlace> of = present.map(PairView.Seen::place);
        if (!of.equals(place)) {
            place = of;
            present.ifPresent(this::lookAtStrongest);
        }
        setAccessibleText(
                place.map(each -> "Both recordings from second " + Math.round(each.fromSeconds()) + " of the reference")
                        .orElse("Nothing to see yet"));
        repaint();
    }

    private void lookAtStrongest(PairView.Seen both) {
        float[] samples = both.reference()[0];
        int strongest = 0;
        for (int i = 1; i < samples.length; i++) {
            strongest = Math.abs(samples[i]) > Math.abs(samples[strongest]) ? i : strongest;
        }
        double reach = SEEN_SECONDS / 6 * both.place().sampleRateHz();
        view = TimeView.whole(samples.length).round(strongest - reach, strongest + reach);
    }

    // --- where one looks ---------------------------------------------------------------------------------------

    void zoom(double factor) {
        look(view.zoomed(factor, MIDDLE));
    }

    void whole() {
        look(view.whole());
    }

    private void look(TimeView other) {
        view = other;
        repaint();
    }

    TimeView view() {
        return view;
    }

    /** Where it is heard now, in seconds of the place. */
    void heard(OptionalDouble seconds) {
        heardSeconds = seconds;
        repaint();
    }

    private void scrolled(ScrollEvent event) {
        look(TimeMoves.by(event, view, Math.max(0, Math.min(1, event.getX() / getWidth()))));
        event.consume();
    }

    private void key(KeyEvent event) {
        TimeMoves.by(event, view, MIDDLE).ifPresent(other -> {
            look(other);
            event.consume();
        });
    }

    // --- moving by hand ----------------------------------------------------------------------------------------

    private double secondsOf(double pixels) {
        return place.map(each -> pixels / getWidth() * view.frames() / each.sampleRateHz())
                .orElse(0.0);
    }

    private void pressed(MouseEvent event) {
        requestFocus();
        pressedX = event.getX();
        isMovingAlong = event.isShiftDown() || event.isSecondaryButtonDown();
        event.consume();
    }

    private void dragged(MouseEvent event) {
        if (isMovingAlong) {
            look(view.moved((pressedX - event.getX()) / getWidth()));
            pressedX = event.getX();
        } else {
            draggedSeconds = secondsOf(event.getX() - pressedX);
            repaint();
        }
    }

    private void released(MouseEvent event) {
        if (draggedSeconds != 0) {
            double by = draggedSeconds;
            draggedSeconds = 0;
            moved.accept(by);
        }
        event.consume();
    }

    // --- painting ----------------------------------------------------------------------------------------------

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        paintCard(g, width, height);
        if (seen.isEmpty()) {
            return;
        }
        PairView.Seen both = seen.get();
        double bottom = 1.6 * em();
        double plot = Math.max(1, height - bottom);
        int columns = (int) Math.max(1, width - 2);
        double middle = 0.5 * plot;
        paintReference(g, both, columns, middle);
        paintOther(g, both, columns, middle);
        g.setStroke(color(Ink.RULE));
        g.setLineWidth(1);
        g.strokeLine(1, Math.round(plot) + 0.5, width - 1, Math.round(plot) + 0.5);
        paintTime(g, both.place(), width, height - 0.75 * em());
        paintHeard(g, both.place(), width, plot);
    }

    private void paintReference(GraphicsContext g, PairView.Seen both, int columns, double middle) {
        float[][] ends = PairPlace.columns(both.reference(), view.from(), view.to(), columns);
        double scale = FILLED * middle / Math.max(1e-6, both.referencePeak());
        Color ink = color(Ink.AVERAGE);
        g.setFill(Color.color(ink.getRed(), ink.getGreen(), ink.getBlue(), 0.45));
        for (int column = 0; column < columns; column++) {
            double top = middle - scale * Math.max(0, ends[1][column]);
            double low = middle - scale * Math.min(0, ends[0][column]);
            g.fillRect(1.0 + column, top, 1, Math.max(1, low - top));
        }
    }

    /** Scaled to its own loudest moment: the eye compares shapes, not levels. */
    private void paintOther(GraphicsContext g, PairView.Seen both, int columns, double middle) {
        double shift = draggedSeconds * both.place().sampleRateHz();
        float[][] ends = PairPlace.columns(both.other(), view.from() - shift, view.to() - shift, columns);
        double scale = FILLED * middle / Math.max(1e-6, both.otherPeak());
        g.setStroke(color(Ink.PEAK));
        g.setLineWidth(1.4);
        for (float[] edge : ends) {
            g.beginPath();
            for (int column = 0; column < columns; column++) {
                double y = middle - scale * edge[column];
                if (column == 0) {
                    g.moveTo(1.5, y);
                } else {
                    g.lineTo(1.5 + column, y);
                }
            }
            g.stroke();
        }
    }

    private void paintTime(GraphicsContext g, PairPlace of, double width, double y) {
        double rate = of.sampleRateHz();
        g.setFill(color(Ink.SECOND));
        g.setFont(labelFont());
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.CENTER);
        TimeAxis axis = new TimeAxis(of.fromSeconds() + view.from() / rate, view.frames() / rate);
        for (TimeAxis.Mark mark : axis.marks(width / (8 * em()))) {
            double x = mark.share() * width;
            g.fillText(mark.label(), Math.min(width - 2.6 * em(), Math.max(2.6 * em(), x)), y);
        }
    }

    private void paintHeard(GraphicsContext g, PairPlace of, double width, double height) {
        if (heardSeconds.isPresent()) {
            double share = view.share(heardSeconds.getAsDouble() * of.sampleRateHz());
            if (share >= 0 && share <= 1) {
                g.setStroke(color(Ink.ACT));
                g.setLineWidth(2);
                g.strokeLine(share * width, 0, share * width, height);
            }
        }
    }
}
