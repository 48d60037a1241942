package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
        this.studio = new StudioModel(opened.setup(), setupFile, clock);
        studio.noticeProperty().set(opened.notice());
        this.takes = new TakesModel(studio, jobs, clock);
        this.window = new MainWindow(
                studio,
                jobs,
                appearance,
                List.of(new LevelsRoom(studio), new TakesRoom(studio, takes)),
                this::openDemo);
    }

    private record Opened(Setup setup, Optional<Notice> notice) {}

    /** A setup that cannot be read is put aside whole, and work begins with an empty one. */
    private static Opened open(Path file) {
        if (!Files.exists(file)) {
            return new Opened(Setup.empty(), Optional.empty());
        }
        try {
            return new Opened(SetupReader.read(file), Optional.empty());
        } catch (UnreadableSetup e) {
            return new Opened(Setup.empty(), Optional.of(putAside(file, e)));
        }
    }

    private static Notice putAside(Path file, UnreadableSetup problem) {
        String stamp = LocalDateTime.now(ZoneId.systemDefault())
                .format(DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss", Locale.ROOT));
        Path aside = file.resolveSibling(file.getFileName() + ".unreadable-" + stamp);
        try {
            Files.copy(file, aside, StandardCopyOption.COPY_ATTRIBUTES);
            return new Notice(
                    "Your setup could not be read",
                    problem.problems().get(0).what() + " A copy of it lies in " + aside + "; here is an empty one.");
        } catch (IOException e) {
            return new Notice(
                    "Your setup could not be read",
                    problem.getMessage() + " Copy the file elsewhere before you change anything.");
        }
    }

    private void openDemo(boolean afresh) {
        Path folder = dataFolder.resolve("demo");
        jobs.run(
                "Making the demonstration studio",
                progress -> demoFile(folder, afresh),
                studio::open,
                failure -> studio.noticeProperty()
                        .set(
                                Optional.of(
                                        new Notice(
                                                "The demonstration studio could not be made",
                                                folder
                                                        + " cannot be written. Free some space, or set KALODYNE_HOME to another folder."))));
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
