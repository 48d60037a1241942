package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Screen;
import javafx.stage.Stage;

/** The window's life: built, shown, closed. */
public final class DesktopApp extends Application {
    private static Path dataFolder;
    private static CompletableFuture<OpenedStudio> opened;
    private Workbench workbench;

    /**
     * Opens the window and waits until it is closed. To be called once in a program's life: JavaFX starts only once.
     *
     * @param studio opens the studio, on a thread of its own
     * @throws IOException where it cannot be opened; then there was no window
     */
    static void show(Path folder, Callable<OpenedStudio> studio) throws IOException {
        dataFolder = folder;
        // Read while the toolkit starts, which takes about as long.
        opened = new CompletableFuture<>();
        Thread reader = new Thread(() -> read(studio), "studio-reader");
        reader.setDaemon(true);
        reader.start();
        launch(DesktopApp.class);
        requireOpened();
    }

    private static void read(Callable<OpenedStudio> studio) {
        try {
            opened.complete(studio.call());
        } catch (Exception e) {
            opened.completeExceptionally(e);
        }
    }

    private static void requireOpened() throws IOException {
        try {
            opened.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof IOException unreadable) {
                throw unreadable;
            }
            throw e;
        }
    }

    @Override
    public void start(Stage stage) {
        try {
            workbench = new Workbench(dataFolder, opened.join());
        } catch (CompletionException e) {
            // Whoever waits for the window's end will say why.
            Platform.exit();
            return;
        }
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
        if (Boolean.getBoolean("kalodyne.leave-when-shown")) {
            // For measuring the start: a window has been shown once its first frame was drawn.
            stage.setOnShown(event -> Platform.runLater(Platform::exit));
        }
        stage.show();
    }

    @Override
    public void stop() {
        if (workbench != null) {
            workbench.close();
        }
    }
}
