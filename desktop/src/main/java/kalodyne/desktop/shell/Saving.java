package kalodyne.desktop.shell;

import java.io.File;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;
import kalodyne.core.files.Progress;
import kalodyne.core.files.WholeFile;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;

/** Asks where files are to be written, or read from, and writes them beside everything else. */
final class Saving {
    private final StudioModel studio;
    private final Jobs jobs;
    private final Supplier<Window> window;

    Saving(StudioModel studio, Jobs jobs, Supplier<Window> window) {
        this.studio = studio;
        this.jobs = jobs;
        this.window = window;
    }

    // --- asking ------------------------------------------------------------------------------------------------

    /** Where a file of a kind is to be written. */
    Optional<Path> choose(String title, String kind, String extension, String name) {
        FileChooser chooser = chooser(title, papers());
        chooser.getExtensionFilters().add(new ExtensionFilter(kind, "*" + extension));
        chooser.setInitialFileName(name + extension);
        return Optional.ofNullable(chooser.showSaveDialog(window.get()))
                .map(File::toPath)
                .map(file -> ending(file, extension));
    }

    /** Who types a name without its ending means the same; but then nobody was asked about a file that has it. */
    private static Path ending(Path file, String extension) {
        Path whole = file.resolveSibling(file.getFileName() + extension);
        return file.toString().endsWith(extension) || Files.exists(whole) ? file : whole;
    }

    Optional<Path> chooseFolder(String title) {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle(title);
        existing(papers()).ifPresent(chooser::setInitialDirectory);
        return Optional.ofNullable(chooser.showDialog(window.get())).map(File::toPath);
    }

    Optional<Path> chooseToRead(String title, ExtensionFilter kinds) {
        FileChooser chooser = chooser(title, studio.folder());
        chooser.getExtensionFilters().addAll(List.of(kinds, new ExtensionFilter("All files", "*.*")));
        return Optional.ofNullable(chooser.showOpenDialog(window.get())).map(File::toPath);
    }

    private FileChooser chooser(String title, Path folder) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        existing(folder).ifPresent(chooser::setInitialDirectory);
        return chooser;
    }

    private Path papers() {
        return studio.preferences().papersOf(studio.folder());
    }

    private static Optional<File> existing(Path folder) {
        return Optional.of(folder.toFile()).filter(File::isDirectory);
    }

    // --- writing -----------------------------------------------------------------------------------------------

    static void write(Path file, String text) throws IOException {
        WholeFile.write(file, ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8)));
    }

    /** Writes something short. */
    @FunctionalInterface
    interface Writing {
        void write() throws IOException;
    }

    /** Writes something, and tells what of it is missing. */
    @FunctionalInterface
    interface LongWriting {
        List<Path> write(Progress progress) throws IOException;
    }

    void write(Path place, Writing writing) {
        writeLong(place, progress -> {
            writing.write();
            return List.of();
        });
    }

    void writeLong(Path place, LongWriting writing) {
        jobs.run("Writing " + place.getFileName(), writing::write)
                .then(missing -> {
                    if (missing.isEmpty()) {
                        studio.tell("Written out", place.toString());
                    } else {
                        studio.notice(
                                "Written out without what could not be read",
                                place + ", without " + missing.get(0)
                                        + (missing.size() > 1 ? " and " + (missing.size() - 1) + " more" : "")
                                        + ". Put it back where it was and write once more.");
                    }
                })
                .otherwise(failure -> studio.notice(
                        "This could not be written", place + ": Free some space, or choose another folder."))
                .whenStopped(() -> studio.tell(
                        "Nothing was written", "It was stopped before " + place.getFileName() + " was whole."));
    }
}
