package kalodyne.desktop.testing;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import javafx.animation.AnimationTimer;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.robot.Robot;
import kalodyne.core.studio.StudioFile;

/**
 * How smooth dragging is in a setup of forty joints: the times from frame to frame in the real window, in milliseconds. To be run
 * where nothing else is; figures only tell something beside others of the same machine.
 */
public final class Smoothness {
    private static final int MOVES = 240;
    private static final int WARM_MOVES = 120;
    private static final int EVERY_MILLIS = 16;

    private final Desk desk;
    private final Robot robot = Desk.onScreen(Robot::new);

    private Smoothness(Desk desk) {
        this.desk = desk;
    }

    public static void main(String[] arguments) throws IOException {
        Path folder = Files.createTempDirectory("kalodyne-smoothness");
        Path file = folder.resolve("large.kalodyne");
        StudioFile.write(file, LargeRig.of(40));
        try (Desk desk = Desk.on(folder, file)) {
            Smoothness smoothness = new Smoothness(desk);
            System.out.printf(
                    "%d joints, %d devices%n",
                    desk.workbench().studio().joints().size(),
                    desk.workbench().studio().studio().devices().size());
            System.out.println("corridor "
                    + Desk.onScreen(() -> ((javafx.scene.layout.Region) desk.find("#corridor")).getWidth()));
            smoothness.corridor();
            smoothness.map();
            smoothness.lead();
        }
        System.exit(0);
    }

    /** The peak behind the first control of the run, up and down. */
    private void corridor() {
        enter("levels");
        Node corridor = desk.find("#corridor");
        Point2D handle = handle(corridor);
        drag("corridor", handle, 0, 60);
    }

    /** Where the mouse becomes a hand: looked for as a user would, by going over the picture. */
    private Point2D handle(Node corridor) {
        Bounds all = Desk.onScreen(() -> corridor.localToScreen(corridor.getBoundsInLocal()));
        for (double x = all.getMinX() + 60; x < Math.min(1000, all.getMaxX()) - 60; x += 12) {
            for (double y = all.getMinY() + 20; y < all.getMaxY() - 40; y += 10) {
                Point2D here = new Point2D(x, y);
                move(here);
                if (Desk.onScreen(() -> corridor.getCursor() == javafx.scene.Cursor.V_RESIZE)) {
                    return here;
                }
            }
        }
        throw new IllegalStateException("nothing in the corridor can be dragged");
    }

    /** The map itself, to and fro. */
    private void map() {
        enter("hookup");
        Node map = desk.find("#rig-map");
        Bounds all = Desk.onScreen(() -> map.localToScreen(map.getBoundsInLocal()));
        drag("map, panned", new Point2D(all.getMinX() + 6, all.getCenterY()), 200, 150);
    }

    /** A lead from a socket, over all others. */
    private void lead() {
        Node card = desk.robot().lookup(".map-card").queryAll().stream()
                .filter(Node::isVisible)
                .findFirst()
                .orElseThrow();
        Bounds at = Desk.onScreen(() -> card.localToScreen(card.getBoundsInLocal()));
        drag("map, a lead drawn", new Point2D(at.getMaxX() - 6, at.getMaxY() - 12), 300, 150);
    }

    private void enter(String room) {
        Desk.onScreen(() -> {
            desk.workbench().window().enter(room);
            return null;
        });
        desk.rest();
        pause(1500);
    }

    /** Presses, moves to and fro, lets go; the frames of the first part are not counted. */
    private void drag(String what, Point2D from, double across, double down) {
        move(from);
        Desk.onScreen(() -> {
            robot.mousePress(MouseButton.PRIMARY);
            return null;
        });
        Frames frames = new Frames();
        for (int i = 0; i < WARM_MOVES + MOVES; i++) {
            if (i == WARM_MOVES) {
                Desk.onScreen(() -> {
                    frames.start();
                    return null;
                });
            }
            double turn = Math.sin(i / 20.0);
            robotMove(new Point2D(from.getX() + across * turn, from.getY() + down * turn));
            pause(EVERY_MILLIS);
        }
        Desk.onScreen(() -> {
            frames.stop();
            robot.mouseRelease(MouseButton.PRIMARY);
            return null;
        });
        frames.tell(what);
    }

    private void move(Point2D to) {
        robotMove(to);
        desk.rest();
    }

    private void robotMove(Point2D to) {
        javafx.application.Platform.runLater(() -> robot.mouseMove(to));
    }

    private static void pause(int millis) {
        try {
            Thread.sleep(millis);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** The times from one frame to the next. */
    private static final class Frames extends AnimationTimer {
        private final List<Double> millis = new ArrayList<>();
        private long last;

        @Override
        public void handle(long now) {
            long here = System.nanoTime();
            if (last != 0) {
                millis.add((here - last) / 1e6);
            }
            last = here;
        }

        void tell(String what) {
            Collections.sort(millis);
            System.out.printf(
                    Locale.ROOT,
                    "%s: %d frames, median %.1f ms, 95 %% below %.1f ms, longest %.1f ms, %d over 33 ms%n",
                    what,
                    millis.size(),
                    at(0.5),
                    at(0.95),
                    at(1),
                    millis.stream().filter(each -> each > 33).count());
        }

        private double at(double share) {
            return millis.get((int) Math.min(millis.size() - 1, share * millis.size()));
        }
    }
}
