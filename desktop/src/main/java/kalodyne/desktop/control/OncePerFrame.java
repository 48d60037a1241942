package kalodyne.desktop.control;

import javafx.animation.AnimationTimer;

/** Does the latest of what is asked for, once a frame at the most: a mouse asks more often than anybody can see. */
public final class OncePerFrame {
    private Runnable wanted;

    private final AnimationTimer timer = new AnimationTimer() {
        @Override
        public void handle(long now) {
            rest();
        }
    };

    /** Does this with the next frame, unless something else is asked for before. */
    public void ask(Runnable action) {
        wanted = action;
        timer.start();
    }

    /** Does at once what is still to be done: the hand is taken off. */
    public void rest() {
        Runnable last = wanted;
        forget();
        if (last != null) {
            last.run();
        }
    }

    /** Leaves undone what is still to be done. */
    public void forget() {
        wanted = null;
        timer.stop();
    }
}
