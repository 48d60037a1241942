package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.setup.Setup;
import kalodyne.core.setup.SetupReader;
import kalodyne.core.setup.UnreadableSetup;
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
     * @param setupFile is created with the first edit if it is not there
     */
    public Workbench(Path dataFolder, Path setupFile) {
        this.dataFolder = dataFolder;
        Clock clock = Clock.system(ZoneId.systemDefault());
        Opened opened = open(setupFile);
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

    private record Opened(Setup setup, Path file, Optional<Notice> notice) {}

    /** A setup that cannot be read stays as it is; work begins with an empty one in a file beside it. */
    private static Opened open(Path file) {
        if (!Files.exists(file)) {
            return new Opened(Setup.empty(), file, Optional.empty());
        }
        try {
            return new Opened(SetupReader.read(file), file, Optional.empty());
        } catch (UnreadableSetup e) {
            Path beside = unusedBeside(file);
            String text = e.problems().get(0).what() + " It was left as it is: " + file
                    + ". What you do now is kept beside it, in " + beside.getFileName() + ".";
            return new Opened(Setup.empty(), beside, Optional.of(new Notice("Your setup could not be read", text)));
        }
    }

    private static Path unusedBeside(Path file) {
        String name = file.getFileName().toString().replaceFirst("\\.json$", "");
        return IntStream.iterate(2, number -> number + 1)
                .mapToObj(number -> file.resolveSibling(name + "-" + number + ".json"))
                .filter(candidate -> !Files.exists(candidate))
                .findFirst()
                .orElseThrow();
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
