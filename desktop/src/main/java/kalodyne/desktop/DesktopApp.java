package kalodyne.desktop;

import java.nio.file.Path;
import java.util.concurrent.CompletableFuture;
import java.util.function.Supplier;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Screen;
import javafx.stage.Stage;

/** The window's life: built, shown, closed. */
public final class DesktopApp extends Application {
    private static Path dataFolder;
    private static CompletableFuture<OpenedStudio> opened;
    private Workbench workbench;

    /** Opens the window and waits until it is closed. To be called once in a program's life: JavaFX starts only once. */
    static void show(Path folder, Supplier<OpenedStudio> studio) {
        dataFolder = folder;
        // Read while the toolkit starts, which takes about as long.
        opened = CompletableFuture.supplyAsync(studio);
        launch(DesktopApp.class);
    }

    @Override
    public void start(Stage stage) {
        workbench = new Workbench(dataFolder, opened.join());
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
        workbench.close();
    }
}
