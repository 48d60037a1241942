package kalodyne.desktop;

import java.nio.file.Path;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Screen;
import javafx.stage.Stage;

/** The window's life: built, shown, closed. */
public final class DesktopApp extends Application {
    private Workbench workbench;

    /** Opens the window and waits until it is closed. */
    static void show(Path dataFolder, Path setupFile) {
        launch(DesktopApp.class, dataFolder.toString(), setupFile.toString());
    }

    @Override
    public void start(Stage stage) {
        Path dataFolder = Path.of(getParameters().getRaw().get(0));
        workbench = new Workbench(dataFolder, Path.of(getParameters().getRaw().get(1)));
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
