package kalodyne.desktop.control;

import java.util.Optional;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.ScrollEvent;

/** How the wheel and the keys move what is seen of a time: nearer and further away, along, all of it. */
public final class TimeMoves {
    private static final double NEARER = 1.5;
    private static final double STEP = 0.2;

    private TimeMoves() {}

    /**
     * By the wheel: along with Shift or sideways, else nearer round where the mouse is.
     *
     * @param share where that is: 0 at the left edge, 1 at the right
     */
    public static TimeView by(ScrollEvent event, TimeView view, double share) {
        if (event.getDeltaX() != 0 || event.isShiftDown()) {
            double by = event.getDeltaX() != 0 ? event.getDeltaX() : event.getDeltaY();
            return view.moved(-Math.signum(by) * STEP);
        }
        return event.getDeltaY() == 0 ? view : view.zoomed(event.getDeltaY() > 0 ? NEARER : 1 / NEARER, share);
    }

    /**
     * By a key; empty where it moves nothing.
     *
     * @param share what stays in its place when it goes nearer
     */
    public static Optional<TimeView> by(KeyEvent event, TimeView view, double share) {
        if (event.isShortcutDown()) {
            return Optional.empty();
        }
        return switch (event.getCode()) {
            case LEFT -> Optional.of(view.moved(-STEP));
            case RIGHT -> Optional.of(view.moved(STEP));
            case UP -> Optional.of(view.zoomed(NEARER, share));
            case DOWN -> Optional.of(view.zoomed(1 / NEARER, share));
            case HOME -> Optional.of(view.whole());
            default -> Optional.empty();
        };
    }
}
