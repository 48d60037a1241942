package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.concurrent.Callable;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.shell.Appearance.Look;
import kalodyne.desktop.shell.Appearance.Theme;

/** The window's life: built, shown, closed. */
public final class DesktopApp extends Application {
    /** For measuring the start: leaves when this is shown, the "window" or the "studio" in it. */
    private static final String LEAVE_WHEN_SHOWN = System.getProperty("kalodyne.leave-when-shown", "");

    private static final double USUAL_WIDTH = 1280;
    private static final double USUAL_HEIGHT = 800;

    /** So much of the window must be on a screen, that a hand can hold it. */
    private static final double GRIP = 40;

    private static Path dataFolder;
    private static AwaitedStudio awaited;
    private Workbench workbench;

    /**
     * Opens the window and waits until it is closed. To be called once in a program's life: JavaFX starts only once.
     *
     * @param studio opens the studio, on a thread of its own
     * @throws IOException where it cannot be opened
     */
    static void show(Path folder, Callable<OpenedStudio> studio) throws IOException {
        dataFolder = folder;
        awaited = new AwaitedStudio(studio);
        launch(DesktopApp.class);
        awaited.end();
    }

    @Override
    public void start(Stage stage) {
        if (awaited.hasFailed()) {
            // Whoever waits for the window's end says why.
            Platform.exit();
            return;
        }
        boolean isThere = awaited.isThere();
        workbench = new Workbench(
                dataFolder,
                isThere ? awaited.take() : OpenedStudio.awaited(dataFolder, Clock.system(ZoneId.systemDefault())));
        ViewSettings settings = workbench.settings();
        var look = workbench.appearance().lookProperty();
        look.set(settings.look());
        look.addListener((property, before, now) -> {
            settings.keep(now);
            followSystem(now);
        });
        stage.setTitle("Kalodyne");
        workbench.jobs().statusProperty().addListener((property, before, now) -> stage.setTitle(title(now)));
        stage.setScene(workbench.window().scene());
        stage.setMinWidth(900);
        stage.setMinHeight(600);
        place(stage, settings);
        stage.show();
        followSystem(look.get());
        leaveIfShown("window");
        if (isThere) {
            workbench.takeUp();
            leaveIfShown("studio");
        } else {
            // A large studio takes longer than the window, which does not wait for it.
            awaited.whenThere(this::arrived, Platform::exit);
        }
    }

    /** Long work shows how far it is, also where the window is only a name in a list. */
    private static String title(Jobs.Status status) {
        return status.isIdle()
                ? "Kalodyne"
                : Math.round(100 * status.done()) + " % · " + status.title() + " · Kalodyne";
    }

    /** Where it stood last, if that is still on a screen; one goes on in the room in which one left. */
    private void place(Stage stage, ViewSettings settings) {
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        stage.setWidth(Math.min(USUAL_WIDTH, screen.getWidth()));
        stage.setHeight(Math.min(USUAL_HEIGHT, screen.getHeight()));
        settings.place()
                .filter(place ->
                        Screen.getScreensForRectangle(
                                        place.getMinX(), place.getMinY(), place.getWidth(), place.getHeight())
                                .stream()
                                .anyMatch(each -> each.getVisualBounds()
                                        .contains(place.getMinX() + GRIP, place.getMinY() + GRIP)))
                .ifPresent(place -> {
                    stage.setX(place.getMinX());
                    stage.setY(place.getMinY());
                    stage.setWidth(place.getWidth());
                    stage.setHeight(place.getHeight());
                });
        stage.setMaximized(settings.isMaximized());
        workbench.window().enter(settings.room());
        stage.setOnHiding(event -> {
            settings.keep(
                    new Rectangle2D(stage.getX(), stage.getY(), stage.getWidth(), stage.getHeight()),
                    stage.isMaximized(),
                    workbench.window().room());
            workbench.leave();
        });
    }

    /** The system is asked off the screen's thread: it may take its time. Who chose light or dark need not wait for it. */
    private void followSystem(Look look) {
        if (look.theme() != Theme.SYSTEM) {
            return;
        }
        Thread asking = new Thread(
                () -> {
                    boolean isDark = SystemTheme.isDark();
                    Platform.runLater(
                            () -> workbench.appearance().systemDarkProperty().set(isDark));
                },
                "system theme");
        asking.setDaemon(true);
        asking.start();
    }

    private void arrived() {
        // Another one may have been opened meanwhile.
        if (workbench.studio().isAwaited()) {
            workbench.show(awaited.take());
            workbench.takeUp();
            leaveIfShown("studio");
        }
    }

    private static void leaveIfShown(String what) {
        if (LEAVE_WHEN_SHOWN.equals(what)) {
            new AnimationTimer() {
                private int frames;

                @Override
                public void handle(long now) {
                    // The first frame after this one has everything on it; when the next begins, it was drawn.
                    if (++frames > 2) {
                        Platform.exit();
                    }
                }
            }.start();
        }
    }

    @Override
    public void stop() {
        if (workbench != null) {
            workbench.close();
        }
    }
}
