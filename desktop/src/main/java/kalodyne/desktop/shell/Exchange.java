package kalodyne.desktop.shell;

import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.stage.FileChooser.ExtensionFilter;
import kalodyne.core.files.json.UnreadableFile;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.StudioFile;
import kalodyne.core.studio.exchange.Arrival;
import kalodyne.core.studio.exchange.ImportPlan;
import kalodyne.core.studio.exchange.ImportPlan.Mode;
import kalodyne.core.studio.exchange.Parcel;
import kalodyne.core.studio.exchange.StudioTables;
import kalodyne.core.studio.exchange.StudioWriter;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.Notice;
import kalodyne.desktop.model.StudioModel;

/** Brings studios and tables into the open studio, and writes it out in open formats. */
final class Exchange {
    private static final String BRING_IN = "bring in ";

    private final StudioModel studio;
    private final Jobs jobs;
    private final Overlay overlay;
    private final Saving saving;

    Exchange(StudioModel studio, Jobs jobs, Overlay overlay, Saving saving) {
        this.studio = studio;
        this.jobs = jobs;
        this.overlay = overlay;
        this.saving = saving;
    }

    List<Command> commands() {
        return List.of(
                Command.of("Save a copy of this studio…", "Shortcut+Shift+S", this::saveCopy),
                Command.of("Bring in a studio or a table…", "Shortcut+I", this::chooseIncoming),
                Command.of("Write out as JSON…", "Shortcut+E", this::writeJson),
                Command.of("Write out gear and leads as tables…", null, this::writeTables));
    }

    private void chooseIncoming() {
        saving.chooseToRead(
                        "Bring in",
                        new ExtensionFilter(
                                "Studios, tables and parcels",
                                "*.json",
                                "*.csv",
                                "*.tsv",
                                "*" + Parcel.EXTENSION,
                                "*" + StudioFile.EXTENSION))
                .ifPresent(this::bringIn);
    }

    /** What a file would change in the studio as it was when the file was read; a parcel has recordings beside. */
    private record Incoming(Studio present, Arrival arrival, Map<Mode, ImportPlan> plans) {
        static Incoming of(Studio present, Path file) throws UnreadableFile {
            Arrival arrival = Arrival.read(file);
            Map<Mode, ImportPlan> plans = new EnumMap<>(Mode.class);
            for (Mode mode : Mode.values()) {
                plans.put(mode, ImportPlan.of(present, arrival.studio(), mode));
            }
            return new Incoming(present, arrival, plans);
        }

        /** The studio as it then is; one that was edited meanwhile keeps those edits. */
        Studio result(Mode mode, Studio now) {
            return now.equals(present)
                    ? plans.get(mode).result()
                    : ImportPlan.of(now, arrival.studio(), mode).result();
        }
    }

    /** Reads a file and shows what would come in from it. */
    void bringIn(Path file) {
        String name = file.getFileName().toString();
        Studio present = studio.studio();
        jobs.run("Reading " + name, progress -> Incoming.of(present, file))
                .then(incoming -> show(name, incoming))
                .otherwise(failure ->
                        studio.notice("This could not be brought in", Notice.firstLines(failure.getMessage())));
    }

    private void show(String name, Incoming incoming) {
        ImportPage page = new ImportPage(name, incoming.plans(), mode -> take(name, incoming, mode), overlay::lift);
        overlay.lay(page, Pos.TOP_CENTER);
        page.focus();
    }

    private void take(String name, Incoming incoming, Mode mode) {
        if (incoming.arrival().parcel().isEmpty()) {
            studio.change(null, BRING_IN + name, incoming.result(mode, studio.studio()));
            return;
        }
        Path folder = studio.folder();
        jobs.run("Unpacking " + name, progress -> incoming.arrival().unpacked(folder, progress))
                .then(unpacked -> studio.change(
                        null,
                        BRING_IN + name,
                        ImportPlan.of(studio.studio(), unpacked, mode).result()))
                .otherwise(failure -> studio.notice(
                        "Nothing was brought in",
                        "The recordings in " + name + " could not be unpacked: " + failure.getMessage()
                                + ". See that the disk has room and that you may write in " + folder + "."))
                .whenStopped(() -> studio.tell("Nothing was brought in", "What was unpacked was removed again."));
    }

    private void saveCopy() {
        saving.choose(
                        "Save a copy",
                        "Kalodyne studios",
                        StudioFile.EXTENSION,
                        studio.studio().name())
                .ifPresent(this::saveCopy);
    }

    void saveCopy(Path file) {
        Studio written = studio.studio();
        saving.write(file, () -> StudioFile.write(file, written));
    }

    private void writeJson() {
        saving.choose(
                        "Write out as JSON",
                        "Studios in JSON",
                        ".json",
                        studio.studio().name())
                .ifPresent(this::writeJson);
    }

    void writeJson(Path file) {
        Studio written = studio.studio();
        saving.write(file, () -> Saving.write(file, StudioWriter.write(written)));
    }

    private void writeTables() {
        saving.chooseFolder("Write out gear and leads as tables").ifPresent(this::writeTables);
    }

    void writeTables(Path folder) {
        Studio written = studio.studio();
        saving.write(folder, () -> {
            Saving.write(folder.resolve("devices.csv"), StudioTables.devices(written.devices()));
            Saving.write(folder.resolve("leads.csv"), StudioTables.leads(written.leads()));
        });
    }
}
