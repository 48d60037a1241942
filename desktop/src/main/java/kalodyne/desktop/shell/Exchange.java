package kalodyne.desktop.shell;

import java.io.File;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.stage.DirectoryChooser;
import javafx.stage.FileChooser;
import javafx.stage.FileChooser.ExtensionFilter;
import javafx.stage.Window;
import kalodyne.core.exchange.AnyStudio;
import kalodyne.core.exchange.ImportPlan;
import kalodyne.core.exchange.ImportPlan.Mode;
import kalodyne.core.exchange.StudioTables;
import kalodyne.core.exchange.StudioWriter;
import kalodyne.core.files.WholeFile;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;

/** Brings studios and tables into the open studio, and writes it out in open formats. */
final class Exchange {
    private final StudioModel studio;
    private final Jobs jobs;
    private final Overlay overlay;
    private final Supplier<Window> window;

    Exchange(StudioModel studio, Jobs jobs, Overlay overlay, Supplier<Window> window) {
        this.studio = studio;
        this.jobs = jobs;
        this.overlay = overlay;
        this.window = window;
    }

    List<Command> commands() {
        return List.of(
                Command.of("Save a copy of this studio…", "Shortcut+Shift+S", this::saveCopy),
                Command.of("Bring in a studio or a table…", "Shortcut+I", this::chooseIncoming),
                Command.of("Write out as JSON…", "Shortcut+E", this::writeJson),
                Command.of("Write out gear and leads as tables…", null, this::writeTables));
    }

    private void chooseIncoming() {
        FileChooser chooser = chooser("Bring in");
        chooser.getExtensionFilters()
                .addAll(
                        new ExtensionFilter(
                                "Studios and tables", "*.json", "*.csv", "*.tsv", "*" + StudioFile.EXTENSION),
                        new ExtensionFilter("All files", "*.*"));
        File chosen = chooser.showOpenDialog(window.get());
        if (chosen != null) {
            bringIn(chosen.toPath());
        }
    }

    /** What a file would change in the studio as it was when the file was read. */
    private record Incoming(Studio present, Studio incoming, Map<Mode, ImportPlan> plans) {
        static Incoming of(Studio present, Studio incoming) {
            Map<Mode, ImportPlan> plans = new EnumMap<>(Mode.class);
            for (Mode mode : Mode.values()) {
                plans.put(mode, ImportPlan.of(present, incoming, mode));
            }
            return new Incoming(present, incoming, plans);
        }

        /** The studio as it then is; one that was edited meanwhile keeps those edits. */
        Studio result(Mode mode, Studio now) {
            return now.equals(present)
                    ? plans.get(mode).result()
                    : ImportPlan.of(now, incoming, mode).result();
        }
    }

    /** Reads a file and shows what would come in from it. */
    void bringIn(Path file) {
        String name = file.getFileName().toString();
        Studio present = studio.studio();
        jobs.run(
                "Reading " + name,
                progress -> Incoming.of(present, AnyStudio.read(file)),
                new Jobs.Listener<Incoming>() {
                    @Override
                    public void delivered(Incoming incoming) {
                        show(name, incoming);
                    }

                    @Override
                    public void failed(Exception failure) {
                        studio.notice("This could not be brought in", StudioModel.firstLines(failure.getMessage()));
                    }

                    @Override
                    public void stopped() {
                        // Nothing came in.
                    }
                });
    }

    private void show(String name, Incoming incoming) {
        ImportPage page = new ImportPage(
                name,
                incoming.plans(),
                mode -> studio.change(null, "bring in " + name, incoming.result(mode, studio.studio())),
                overlay::lift);
        overlay.lay(page, Pos.TOP_CENTER);
        page.focus();
    }

    private void saveCopy() {
        FileChooser chooser = chooser("Save a copy");
        chooser.getExtensionFilters().add(new ExtensionFilter("Kalodyne studios", "*" + StudioFile.EXTENSION));
        chooser.setInitialFileName(studio.studio().name() + StudioFile.EXTENSION);
        File chosen = chooser.showSaveDialog(window.get());
        if (chosen != null) {
            saveCopy(chosen.toPath());
        }
    }

    void saveCopy(Path file) {
        Studio written = studio.studio();
        write(file, () -> StudioFile.write(file, written));
    }

    private void writeJson() {
        FileChooser chooser = chooser("Write out as JSON");
        chooser.getExtensionFilters().add(new ExtensionFilter("Studios in JSON", "*.json"));
        chooser.setInitialFileName(studio.studio().name() + ".json");
        File chosen = chooser.showSaveDialog(window.get());
        if (chosen != null) {
            writeJson(chosen.toPath());
        }
    }

    void writeJson(Path file) {
        Studio written = studio.studio();
        write(file, () -> write(file, StudioWriter.write(written)));
    }

    private void writeTables() {
        DirectoryChooser chooser = new DirectoryChooser();
        chooser.setTitle("Write out gear and leads as tables");
        folder().ifPresent(chooser::setInitialDirectory);
        File chosen = chooser.showDialog(window.get());
        if (chosen != null) {
            writeTables(chosen.toPath());
        }
    }

    void writeTables(Path folder) {
        Studio written = studio.studio();
        write(folder, () -> {
            write(folder.resolve("devices.csv"), StudioTables.devices(written.devices()));
            write(folder.resolve("leads.csv"), StudioTables.leads(written.leads()));
        });
    }

    private static void write(Path file, String text) throws IOException {
        WholeFile.write(file, ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8)));
    }

    @FunctionalInterface
    private interface Writing {
        void write() throws IOException;
    }

    private void write(Path place, Writing writing) {
        jobs.run(
                "Writing " + place.getFileName(),
                progress -> {
                    writing.write();
                    return place;
                },
                new Jobs.Listener<Path>() {
                    @Override
                    public void delivered(Path written) {
                        studio.tell("Written out", written.toString());
                    }

                    @Override
                    public void failed(Exception failure) {
                        studio.notice(
                                "This could not be written", place + ": Free some space, or choose another folder.");
                    }

                    @Override
                    public void stopped() {
                        // A half is never left: files are put in place whole.
                    }
                });
    }

    private FileChooser chooser(String title) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        folder().ifPresent(chooser::setInitialDirectory);
        return chooser;
    }

    private Optional<File> folder() {
        return Optional.of(studio.file().getParent().toFile()).filter(File::isDirectory);
    }
}
