package kalodyne.desktop.control;

import java.util.function.BiConsumer;
import javafx.animation.AnimationTimer;

/**
 * A hand that turns something, as one gesture: only to where it is not yet, and once a frame at the most, since a mouse asks more
 * often than anybody can see.
 */
public final class TurnDrag {
    private final BiConsumer<Object, Double> turn;
    private Object gesture;
    private double reached;
    private boolean isBehind;

    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            catchUp();
        }
    };

    /**
     * A hand that holds nothing yet.
     *
     * @param turn is given the gesture and the new position
     */
    public TurnDrag(BiConsumer<Object, Double> turn) {
        this.turn = turn;
    }

    /**
     * Takes hold.
     *
     * @param position where it stands; NaN where nobody knows: then each place is another one
     */
    public void begin(double position) {
        gesture = new Object();
        reached = position;
    }

    public boolean isHeld() {
        return gesture != null;
    }

    /** Turns there with the next frame, unless the hand is elsewhere by then. */
    public void to(double position) {
        if (position != reached) {
            reached = position;
            isBehind = true;
            timer.start();
        }
    }

    /** Lets go where the hand is now. */
    public void end() {
        catchUp();
        gesture = null;
    }

    /** Lets go where it stood before. */
    public void back(double before) {
        reached = before;
        isBehind = true;
        end();
    }

    private void catchUp() {
        timer.stop();
        if (isBehind) {
            isBehind = false;
            turn.accept(gesture, reached);
        }
    }
}
