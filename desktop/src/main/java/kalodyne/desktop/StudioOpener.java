package kalodyne.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.files.json.Problem;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.gear.Names;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.setup.Setup;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.shell.MainWindow;

/** Opens another studio in the window, beside the screen's thread. */
final class StudioOpener implements MainWindow.Opener {
    private final StudioModel studio;
    private final Jobs jobs;
    private final Path demoFolder;
    private final ViewSettings settings;
    private final Clock clock;

    StudioOpener(StudioModel studio, Jobs jobs, Path dataFolder, ViewSettings settings, Clock clock) {
        this.settings = settings;
        this.studio = studio;
        this.jobs = jobs;
        this.demoFolder = dataFolder.resolve("demo");
        this.clock = clock;
    }

    @Override
    public void open(Path file) {
        if (!file.toAbsolutePath().normalize().equals(studio.file()) || studio.isReadOnly()) {
            run(
                    "Opening " + file.getFileName(),
                    "This studio could not be opened",
                    () -> OpenedStudio.named(file, clock),
                    () -> {});
        }
    }

    @Override
    public void begin(Path file) {
        Setup first = studio.preferences().begun(Setup.empty());
        run("Beginning " + file.getFileName(), "This studio could not be begun", () -> begun(file, first), () -> {});
    }

    /** A file that is there may be anything: it is not written over. */
    private OpenedStudio begun(Path file, Setup first) throws UnreadableFile {
        if (Files.exists(file)) {
            throw new UnreadableFile(
                    file, Problem.ofWhole("There is a file of this name.", "Open it, or choose another name."));
        }
        String name =
                file.getFileName().toString().replace(StudioFile.EXTENSION, "").strip();
        Studio begun = Studio.of(name.isEmpty() ? Studio.empty().name() : shortened(name), first);
        return OpenedStudio.of(StudioFile.open(file, begun, clock));
    }

    private static String shortened(String name) {
        return name.substring(0, Math.min(name.length(), Names.LONGEST_NAME));
    }

    @Override
    public void openDemo(boolean afresh) {
        Path file = demoFile(demoFolder).toAbsolutePath().normalize();
        boolean isShown = afresh && file.equals(studio.file());
        if (isShown) {
            // It is about to be written anew, and nobody else may hold it meanwhile.
            studio.letGo();
        }
        run(
                "Making the demonstration studio",
                "The demonstration studio could not be made",
                () -> OpenedStudio.named(demoFile(demoFolder, afresh), clock),
                isShown ? () -> takeBack(file) : () -> {});
    }

    /** Opens again what was let go for something that came to nothing; what was said of that stays. */
    private void takeBack(Path file) {
        Optional<Notice> said = studio.noticeProperty().get();
        jobs.run("Opening " + file.getFileName(), progress -> OpenedStudio.named(file, clock))
                .then(again -> show(new OpenedStudio(again.studio(), said.or(again::notice))))
                .otherwise(failure -> {

                    // It can still be looked at; the first failure was told.
                })
                .whenStopped(() -> takeBack(file));
    }

    /** Shows a studio that is open; closes the present one. */
    void show(OpenedStudio opened) {
        studio.show(opened.studio());
        studio.noticeProperty().set(opened.notice());
        settings.opened(studio.file());
    }

    @Override
    public List<Path> recent() {
        return settings.recent().stream()
                .filter(file -> !file.equals(studio.file()))
                .toList();
    }

    private static Path demoFile(Path folder) {
        return folder.resolve("boathouse" + StudioFile.EXTENSION);
    }

    /** The file of the demonstration studio, which is made if it is not there. */
    static Path demoFile(Path folder, boolean afresh) throws IOException {
        Path file = demoFile(folder);
        return Files.exists(file) && !afresh ? file : Boathouse.build(folder);
    }

    /**
     * Opens something.
     *
     * @param ifNot what to say where that fails
     * @param otherwise what to do then, or when somebody stops it
     */
    private void run(String title, String ifNot, Callable<OpenedStudio> open, Runnable otherwise) {
        jobs.run(title, progress -> open.call())
                .then(opened -> show(opened))
                .otherwise(failure -> {
                    String text = failure instanceof UnreadableFile
                            ? failure.getMessage()
                            : demoFolder
                                    + " cannot be written. Free some space, or set KALODYNE_HOME to another folder.";
                    studio.notice(ifNot, text);
                    otherwise.run();
                })
                .whenStopped(() -> otherwise.run());
    }
}
