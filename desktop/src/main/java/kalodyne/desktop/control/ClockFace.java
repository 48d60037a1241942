package kalodyne.desktop.control;

import java.util.function.BiConsumer;
import javafx.geometry.VPos;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;
import kalodyne.core.gear.Control;
import kalodyne.core.gear.Dial;
import kalodyne.core.units.Gain;

/**
 * A knob as a clock: the hand is where it stands, the mark on the rim where it should. The hand follows the mouse by
 * quarter hours, with Shift freely; so do the arrow keys and the wheel; with Ctrl the keys turn by a decibel.
 */
public final class ClockFace extends PaintedRegion {
    private static final int HOURS = 12;
    private static final double FINE_SHARE = 1.0 / 15;

    private final BiConsumer<Object, Double> turned;
    private Control present;
    private Control advised;
    private boolean hasHand;
    private final TurnDrag hand = new TurnDrag(this::turn);

    /**
     * A face.
     *
     * @param turned is given the gesture that a turn belongs to and the new position
     */
    public ClockFace(BiConsumer<Object, Double> turned) {
        this.turned = turned;
        getStyleClass().add("clock-face");
        setFocusTraversable(true);
        setCursor(Cursor.HAND);
        setAccessibleRole(AccessibleRole.SLIDER);
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(event -> hand.end());
        setOnScroll(this::scroll);
        setOnKeyPressed(this::key);
        focusedProperty().addListener(change -> repaint());
    }

    /**
     * Shows a control and where it should stand.
     *
     * @param isMissed whether nobody said where it stands: then it has no hand
     */
    public void show(Control control, Control advice, boolean isMissed) {
        present = control;
        advised = advice;
        hasHand = !isMissed;
        setAccessibleText(
                control.name() + ", " + (isMissed ? "not known" : control.reading()) + ", advised " + advice.reading());
        notifyAccessibleAttributeChanged(AccessibleAttribute.VALUE);
        repaint();
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return switch (attribute) {
            case VALUE -> present == null ? 0.0 : present.position();
            case MIN_VALUE -> 0.0;
            case MAX_VALUE -> 1.0;
            default -> super.queryAccessibleAttribute(attribute, parameters);
        };
    }

    private void press(MouseEvent event) {
        if (event.getButton() == MouseButton.PRIMARY) {
            requestFocus();
            hand.begin(hasHand ? present.position() : Double.NaN);
            event.consume();
        }
    }

    private void drag(MouseEvent event) {
        if (hand.isHeld()) {
            double position = positionAt(event.getX(), event.getY());
            hand.to(event.isShiftDown() ? position : present.dial().nearestQuarter(position));
            event.consume();
        }
    }

    /** The position whose hand points to a place; in the gap at the bottom, the nearer end. */
    private double positionAt(double x, double y) {
        double hours = Math.atan2(x - getWidth() / 2, getHeight() / 2 - y) / (2 * Math.PI) * HOURS;
        Dial dial = present.dial();
        double sweep = dial.sweepMinutes() / 60.0;
        double along = floorMod(hours - dial.startMinutes() / 60.0, HOURS);
        double gap = HOURS - sweep;
        if (along > sweep) {
            return along < sweep + gap / 2 ? 1 : 0;
        }
        return along / sweep;
    }

    private void scroll(ScrollEvent event) {
        if (event.getDeltaY() != 0) {
            nudge(Math.signum(event.getDeltaY()), event.isShiftDown());
            event.consume();
        }
    }

    private void key(KeyEvent event) {
        if (event.isShortcutDown()) {
            keyWithShortcut(event);
            return;
        }
        switch (event.getCode()) {
            case UP, RIGHT -> nudge(1, event.isShiftDown());
            case DOWN, LEFT -> nudge(-1, event.isShiftDown());
            case HOME -> turn(new Object(), 0);
            case END -> turn(new Object(), 1);
            case ENTER -> turn(new Object(), advised.position());
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void keyWithShortcut(KeyEvent event) {
        switch (event.getCode()) {
            case UP -> nudgeByDecibel(1);
            case DOWN -> nudgeByDecibel(-1);
            default -> {
                return;
            }
        }
        event.consume();
    }

    /** What is shut opens by the least that can be set. */
    private void nudgeByDecibel(double db) {
        boolean isShut = Double.isInfinite(present.gain().db());
        if (present.taper().isStepped() || isShut) {
            nudge(db, false);
        } else {
            turn(this, present.taper().positionFor(present.gain().plus(new Gain(db))));
        }
    }

    private void nudge(double direction, boolean finely) {
        double step = present.dial().quarterHour() * (finely ? FINE_SHARE : 1);
        double from = finely ? present.position() : present.dial().nearestQuarter(present.position());
        double to = from + direction * step;
        // A switch rests at its clicks: a step must at least reach the next one.
        if (present.taper().isStepped() && present.taper().rest(clamp(to)) == present.position()) {
            to = nextClick(direction, step);
        }
        turn(this, to);
    }

    private double nextClick(double direction, double step) {
        double to = present.position();
        do {
            to += direction * step;
        } while (to > 0 && to < 1 && present.taper().rest(to) == present.position());
        return to;
    }

    private void turn(Object by, double position) {
        turned.accept(by, clamp(position));
    }

    private static double clamp(double position) {
        return Math.max(0, Math.min(1, position));
    }

    private static double floorMod(double value, double modulus) {
        return value - Math.floor(value / modulus) * modulus;
    }

    @Override
    protected void paint(GraphicsContext g, double width, double height) {
        if (present == null) {
            return;
        }
        double radius = Math.min(width, height) / 2 - 0.3 * em();
        double cx = width / 2;
        double cy = height / 2;
        g.setFill(color(Ink.CARD));
        g.fillOval(cx - radius, cy - radius, 2 * radius, 2 * radius);
        g.setStroke(color(isFocused() ? Ink.ACT : Ink.RULE));
        g.setLineWidth(isFocused() ? 2.5 : 1.2);
        g.strokeOval(cx - radius, cy - radius, 2 * radius, 2 * radius);
        g.setLineCap(StrokeLineCap.ROUND);
        Dial dial = present.dial();
        g.setStroke(color(Ink.SECOND));
        g.setLineWidth(1);
        for (int minutes = 0; minutes <= dial.sweepMinutes(); minutes += 60) {
            ray(g, cx, cy, angle(dial, (double) minutes / dial.sweepMinutes()), radius * 0.84, radius * 0.95);
        }
        g.setStroke(color(Ink.AIM_EDGE));
        g.setLineWidth(0.3 * em());
        ray(g, cx, cy, angle(dial, advised.position()), radius * 0.8, radius * 1.12);
        if (!hasHand) {
            g.setFill(color(Ink.SECOND));
            g.setTextAlign(TextAlignment.CENTER);
            g.setTextBaseline(VPos.CENTER);
            g.fillText("?", cx, cy);
            return;
        }
        g.setStroke(color(Ink.TEXT));
        g.setLineWidth(0.19 * em());
        ray(g, cx, cy, angle(dial, present.position()), 0, radius * 0.72);
        g.setFill(color(Ink.TEXT));
        g.fillOval(cx - 0.2 * em(), cy - 0.2 * em(), 0.4 * em(), 0.4 * em());
    }

    private static double angle(Dial dial, double position) {
        double hours = (dial.startMinutes() + position * dial.sweepMinutes()) / 60.0;
        return hours / HOURS * 2 * Math.PI;
    }

    private static void ray(GraphicsContext g, double cx, double cy, double angle, double from, double to) {
        double dx = Math.sin(angle);
        double dy = -Math.cos(angle);
        g.strokeLine(cx + dx * from, cy + dy * from, cx + dx * to, cy + dy * to);
    }
}
