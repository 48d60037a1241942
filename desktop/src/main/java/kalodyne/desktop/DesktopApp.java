package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.concurrent.Callable;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Screen;
import javafx.stage.Stage;

/** The window's life: built, shown, closed. */
public final class DesktopApp extends Application {
    /** For measuring the start: leaves when this is shown, the "window" or the "studio" in it. */
    private static final String LEAVE_WHEN_SHOWN = System.getProperty("kalodyne.leave-when-shown", "");

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
        ViewSettings settings = new ViewSettings(dataFolder);
        var look = workbench.appearance().lookProperty();
        look.set(settings.read());
        look.addListener((property, before, now) -> settings.write(now));
        stage.setTitle("Kalodyne");
        stage.setScene(workbench.window().scene());
        var screen = Screen.getPrimary().getVisualBounds();
        stage.setWidth(Math.min(1280, screen.getWidth()));
        stage.setHeight(Math.min(800, screen.getHeight()));
        stage.setMinWidth(900);
        stage.setMinHeight(600);
        stage.show();
        leaveIfShown("window");
        if (isThere) {
            leaveIfShown("studio");
        } else {
            // A large studio takes longer than the window, which does not wait for it.
            awaited.whenThere(this::arrived, Platform::exit);
        }
    }

    private void arrived() {
        // Another one may have been opened meanwhile.
        if (workbench.studio().isAwaited()) {
            workbench.show(awaited.take());
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
