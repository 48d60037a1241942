package kalodyne.desktop;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.file.Path;
import java.util.List;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javafx.stage.StageStyle;
import javax.imageio.ImageIO;
import kalodyne.command.Output;
import kalodyne.core.files.WholeFile;
import kalodyne.core.recording.Speakers;
import kalodyne.desktop.model.Preferences;
import kalodyne.desktop.shell.Appearance.Look;

/** Shows the window, waits until it has come to rest, and writes what it shows. */
public final class PictureApp extends Application {
    /** So many frames with nothing left to do: layout, fonts and canvases have settled. */
    private static final int FRAMES_AT_REST = 12;

    private static Order order;
    private static int status;

    /**
     * What picture is wanted.
     *
     * @param dataFolder for what the program keeps meanwhile
     * @param commands of the window, to be run before, in this order
     * @param afterSeconds how long to wait then
     */
    record Order(
            Path dataFolder,
            OpenedStudio studio,
            String room,
            List<String> commands,
            double afterSeconds,
            int width,
            int height,
            Look look,
            Path file) {}

    /** Makes the picture. To be called once in a program's life: JavaFX starts only once. */
    static int take(Order wanted) {
        order = wanted;
        launch(PictureApp.class);
        return status;
    }

    @Override
    public void start(Stage stage) {
        Workbench workbench = new Workbench(order.dataFolder(), order.studio());
        workbench.appearance().lookProperty().set(order.look());
        // Whether this computer has an output says nothing about what is pictured.
        Preferences preferences = workbench.studio().preferences();
        workbench.studio().preferencesProperty().set(preferences.heardThrough(Speakers.SIMULATED));
        workbench.window().enter(order.room());
        stage.initStyle(StageStyle.UNDECORATED);
        stage.setScene(workbench.window().scene());
        stage.setX(0);
        stage.setY(0);
        stage.setWidth(order.width());
        stage.setHeight(order.height());
        stage.show();
        order.commands().stream()
                .filter(name -> !workbench.window().perform(name))
                .forEach(name -> {
                    Output.standard()
                            .complain("There is no command “" + name + "” there. Ctrl+K lists those that are.");
                    status = Output.NOT_READ;
                });
        new AnimationTimer() {
            private final long began = System.nanoTime();
            private int atRest;

            @Override
            public void handle(long now) {
                atRest = workbench.jobs().isIdle() ? atRest + 1 : 0;
                if (atRest > FRAMES_AT_REST && System.nanoTime() - began > order.afterSeconds() * 1e9) {
                    stop();
                    write(stage.getScene().snapshot(null));
                    workbench.close();
                    Platform.exit();
                }
            }
        }.start();
    }

    private static void write(WritableImage image) {
        int width = (int) image.getWidth();
        int height = (int) image.getHeight();
        int[] pixels = new int[width * height];
        image.getPixelReader().getPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), pixels, 0, width);
        BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        picture.setRGB(0, 0, width, height, pixels, 0, width);
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            if (!ImageIO.write(picture, "png", bytes)) {
                throw new IOException("no writer for PNG");
            }
            WholeFile.write(order.file(), ByteBuffer.wrap(bytes.toByteArray()));
        } catch (IOException e) {
            Output.standard().complain(order.file() + ": the picture could not be written. Choose another folder.");
            status = Output.NOT_READ;
        }
    }
}
