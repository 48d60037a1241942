package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import kalodyne.core.demo.Boathouse;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.levels.LevelsRoom;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.model.TakesModel;
import kalodyne.desktop.shell.Appearance;
import kalodyne.desktop.shell.MainWindow;
import kalodyne.desktop.takes.TakesRoom;

/** Builds every part of the program and joins them: the one place where all meet. */
public final class Workbench implements AutoCloseable {
    private final Path dataFolder;
    private final StudioModel studio;
    private final TakesModel takes;
    private final Jobs jobs = new Jobs();
    private final Appearance appearance = new Appearance();
    private final MainWindow window;

    /**
     * Builds the program for a setup.
     *
     * @param dataFolder for the demonstration studio, should it be asked for
     */
    public Workbench(Path dataFolder, OpenedSetup opened) {
        this.dataFolder = dataFolder;
        Clock clock = Clock.system(ZoneId.systemDefault());
        this.studio = new StudioModel(opened.setup(), opened.file(), clock);
        studio.noticeProperty().set(opened.notice());
        this.takes = new TakesModel(studio, jobs, clock);
        this.window = new MainWindow(
                studio,
                jobs,
                appearance,
                List.of(new LevelsRoom(studio), new TakesRoom(studio, takes)),
                this::openDemo);
    }

    private void openDemo(boolean afresh) {
        Path folder = dataFolder.resolve("demo");
        jobs.run("Making the demonstration studio", progress -> demoFile(folder, afresh), new Jobs.Listener<Path>() {
            @Override
            public void delivered(Path file) {
                studio.open(file);
            }

            @Override
            public void failed(Exception failure) {
                String text = folder + " cannot be written. Free some space, or set KALODYNE_HOME to another folder.";
                studio.noticeProperty()
                        .set(Optional.of(new Notice("The demonstration studio could not be made", text)));
            }

            @Override
            public void stopped() {
                // Nothing was opened: the present setup is still there.
            }
        });
    }

    /** The setup file of the demonstration studio, which is made if it is not there. */
    static Path demoFile(Path folder, boolean afresh) throws IOException {
        Path file = folder.resolve("boathouse.json");
        return Files.exists(file) && !afresh ? file : Boathouse.build(folder);
    }

    public MainWindow window() {
        return window;
    }

    public StudioModel studio() {
        return studio;
    }

    public TakesModel takes() {
        return takes;
    }

    public Appearance appearance() {
        return appearance;
    }

    public Jobs jobs() {
        return jobs;
    }

    @Override
    public void close() {
        jobs.close();
        studio.close();
    }
}
