package kalodyne.desktop.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.application.Platform;
import javafx.event.EventHandler;
import javafx.event.EventType;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.input.InputEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.robot.Robot;
import javafx.stage.Stage;
import javafx.stage.Window;
import kalodyne.core.testing.Demo;
import kalodyne.desktop.OpenedStudio;
import kalodyne.desktop.Workbench;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/**
 * The program in a real window of 1280 × 800, on files of its own. An exception on the screen's thread fails the test when
 * the desk is closed.
 */
public final class Desk implements AutoCloseable {
    private static final int LONGEST_WAIT_SECONDS = 45;
    private static final int LONGEST_EVENT_SECONDS = 2;

    private final FxRobot robot = new FxRobot();
    private final List<Throwable> failures = Collections.synchronizedList(new ArrayList<>());
    private final Stage stage;
    private final Workbench workbench;

    /** Presses keys as the system would. */
    private final Robot system;

    private Desk(Path folder, OpenedStudio opened) {
        try {
            stage = FxToolkit.registerPrimaryStage();
        } catch (TimeoutException e) {
            throw new IllegalStateException(e);
        }
        system = onScreen(Robot::new);
        workbench = onScreen(() -> {
            Thread.currentThread().setUncaughtExceptionHandler((thread, failure) -> failures.add(failure));
            Workbench built = new Workbench(folder, opened);
            stage.setScene(built.window().scene());
            stage.setX(0);
            stage.setY(0);
            stage.setWidth(1280);
            stage.setHeight(800);
            stage.show();
            stage.toFront();
            // Another test may have shown a window of its own: without a window manager the keys would stay with that.
            stage.requestFocus();
            return built;
        });
        rest();
    }

    /** On a studio file that is there. */
    public static Desk on(Path folder, Path studio) throws IOException {
        return new Desk(folder, OpenedStudio.named(studio, Clock.system(ZoneId.systemDefault())));
    }

    public static Desk demo(Path folder) throws IOException {
        return on(folder, Demo.in(folder));
    }

    /** On the user's own studio, in a folder that may have one or not. */
    public static Desk own(Path folder) {
        return new Desk(folder, OpenedStudio.own(folder, Clock.system(ZoneId.systemDefault())));
    }

    /** Before the studio is there. */
    public static Desk awaiting(Path folder) {
        return new Desk(folder, OpenedStudio.awaited(folder, Clock.system(ZoneId.systemDefault())));
    }

    public Workbench workbench() {
        return workbench;
    }

    public FxRobot robot() {
        return robot;
    }

    public Stage stage() {
        return stage;
    }

    /** Does something on the screen's thread and gives its result. */
    public static <T> T onScreen(Callable<T> action) {
        return WaitForAsyncUtils.waitForAsyncFx(1000L * LONGEST_WAIT_SECONDS, action);
    }

    /** Waits until the window has nothing left to do. */
    public void rest() {
        until(() -> onScreen(() -> workbench.jobs().isIdle()));
        laidOut();
        laidOut();
    }

    /** Waits until the window is laid out anew. */
    private void laidOut() {
        CountDownLatch done = new CountDownLatch(1);
        Runnable seen = done::countDown;
        Optional<Scene> showing = onScreen(() -> {
            Optional<Scene> scene = Optional.ofNullable(stage.getScene()).filter(each -> stage.isShowing());
            scene.ifPresent(each -> each.addPostLayoutPulseListener(seen));
            Platform.requestNextPulse();
            return scene;
        });
        if (showing.isPresent()) {
            await(done, LONGEST_EVENT_SECONDS);
            onScreen(() -> {
                showing.get().removePostLayoutPulseListener(seen);
                return null;
            });
        }
    }

    private static boolean await(CountDownLatch latch, int seconds) {
        try {
            return latch.await(seconds, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** Waits until something is so. */
    public static void until(Callable<Boolean> condition) {
        try {
            WaitForAsyncUtils.waitFor(LONGEST_WAIT_SECONDS, TimeUnit.SECONDS, condition);
        } catch (TimeoutException e) {
            throw new AssertionError("it did not come about within " + LONGEST_WAIT_SECONDS + " s", e);
        }
    }

    @SuppressWarnings("TypeParameterUnusedInFormals") // as the robot's own query
    public <T extends Node> T find(String query) {
        T node = robot.lookup(query).query();
        assertThat(isShown(node)).as(query + " is shown").isTrue();
        return node;
    }

    public boolean shows(String query) {
        return robot.lookup(query).queryAll().stream().anyMatch(Desk::isShown);
    }

    private static boolean isShown(Node node) {
        for (Node each = node; each != null; each = each.getParent()) {
            if (!each.isVisible()) {
                return false;
            }
        }
        return node.getScene() != null;
    }

    public String text(String query) {
        Node node = find(query);
        return onScreen(() -> node instanceof TextInputControl field ? field.getText() : ((Labeled) node).getText());
    }

    /** Clicks in the middle of something, as the system's own events: the test robot would move there step by step. */
    public void click(String query) {
        clickIn(find(query));
        rest();
    }

    private void clickIn(Node node) {
        laidOut();
        onScreen(() -> {
            // What was just put in place has none before it is laid out.
            node.getScene().getRoot().applyCss();
            node.getScene().getRoot().layout();
            Bounds bounds = node.localToScreen(node.getBoundsInLocal());
            system.mouseMove(bounds.getCenterX(), bounds.getCenterY());
            return null;
        });
        laidOut();
        untilArrived(MouseEvent.MOUSE_PRESSED, 1, () -> {
            // The tip of what the mouse has left stays for a moment, and would take the click.
            List.copyOf(Window.getWindows()).stream()
                    .filter(Tooltip.class::isInstance)
                    .forEach(Window::hide);
            system.mousePress(MouseButton.PRIMARY);
        });
        // A finger stays down for a while: what the press changes is laid out before it is let go.
        laidOut();
        untilArrived(MouseEvent.MOUSE_RELEASED, 1, () -> system.mouseRelease(MouseButton.PRIMARY));
    }

    /** The system hands its events on when it has time, and what closes its own window never sees the last of them. */
    private static <E extends InputEvent> void untilArrived(EventType<E> kind, int count, Runnable action) {
        CountDownLatch arrived = new CountDownLatch(count);
        EventHandler<E> seen = event -> arrived.countDown();
        List<Scene> scenes = onScreen(() -> {
            List<Scene> open =
                    Window.getWindows().stream().map(Window::getScene).toList();
            open.forEach(scene -> scene.addEventFilter(kind, seen));
            action.run();
            return open;
        });
        await(arrived, LONGEST_EVENT_SECONDS);
        onScreen(() -> {
            scenes.forEach(scene -> scene.removeEventFilter(kind, seen));
            return null;
        });
    }

    /** Presses keys together and lets them go, as the system's own events: the test robot would wait after each of them. */
    public void press(KeyCode... keys) {
        push(keys);
        rest();
    }

    private void push(KeyCode... keys) {
        untilArrived(KeyEvent.KEY_RELEASED, keys.length, () -> {
            for (KeyCode key : keys) {
                system.keyPress(key);
            }
            for (int i = keys.length - 1; i >= 0; i--) {
                system.keyRelease(keys[i]);
            }
        });
    }

    /** Types over what stands in a field. */
    public void typeInto(String query, String text) {
        // Brings it into view, as Tab does.
        Node target = find(query);
        onScreen(() -> {
            target.requestFocus();
            return null;
        });
        rest();
        clickIn(target);
        rest();
        push(KeyCode.CONTROL, KeyCode.A);
        rest();
        // Signs that no keyboard layout is sure to have are pasted, as a musician would.
        TextInputControl field = find(query);
        onScreen(() -> {
            field.replaceSelection(text);
            return null;
        });
        push(KeyCode.ENTER);
        rest();
    }

    /** Chooses in a box of choices, as by its list, and waits for what comes of it. */
    public <C> void choose(String query, C wanted) {
        ComboBox<C> box = find(query);
        onScreen(() -> {
            box.setValue(wanted);
            return null;
        });
        rest();
    }

    /** A point of a node, from its upper left corner, on the screen. */
    public Point2D point(Node node, double x, double y) {
        Bounds bounds = onScreen(() -> node.localToScreen(node.getBoundsInLocal()));
        return new Point2D(bounds.getMinX() + x, bounds.getMinY() + y);
    }

    @Override
    public void close() {
        onScreen(() -> {
            stage.hide();
            workbench.close();
            return null;
        });
        assertThat(failures).isEmpty();
    }
}
