package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.gear.Run;
import kalodyne.core.setup.Take;
import kalodyne.core.takes.TakeReader;
import kalodyne.core.takes.TakeReport;
import kalodyne.core.verdict.TakeVerdict;
import kalodyne.desktop.job.Jobs;

/** The takes of the run that is looked at, the one that is shown, what was measured in it and what it says. */
public final class TakesModel {
    private final StudioModel studio;
    private final Jobs jobs;
    private final Clock clock;
    private final Map<Path, Measured> measured = new HashMap<>();

    /** Not tried again until somebody selects such a take. */
    private final Set<Path> unreadable = new HashSet<>();

    private final ReadOnlyObjectWrapper<Optional<Shown>> shown =
            new ReadOnlyObjectWrapper<>(this, "shown", Optional.empty());
    private Optional<Take> selected = Optional.empty();
    private String shownRun = "";

    /** A report stays good while the file is as long and as old as it was. */
    private record Measured(TakeReport report, long size, long modified) {}

    /**
     * A take on the screen.
     *
     * @param take which one
     * @param report what was measured
     * @param verdict what it says about the run as it stands now
     */
    public record Shown(Take take, TakeReport report, TakeVerdict verdict) {}

    public TakesModel(StudioModel studio, Jobs jobs, Clock clock) {
        this.studio = studio;
        this.jobs = jobs;
        this.clock = clock;
        studio.readingProperty().addListener((property, before, after) -> refresh());
        refresh();
    }

    /** The take that is shown; empty where the run has none or while it is being read. */
    public ReadOnlyObjectProperty<Optional<Shown>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public Optional<Shown> shown() {
        return shown.get();
    }

    /** The takes of the run, newest first. */
    public List<Take> takes() {
        return studio.reading()
                .map(reading -> studio.setup().takesOf(reading.run().name()))
                .map(TakesModel::newestFirst)
                .orElse(List.of());
    }

    private static List<Take> newestFirst(List<Take> takes) {
        return IntStream.range(0, takes.size())
                .mapToObj(i -> takes.get(takes.size() - 1 - i))
                .toList();
    }

    public void select(Take take) {
        selected = Optional.of(take);
        unreadable.remove(fileOf(take));
        refresh();
    }

    /** Reads a recording and, if it can be read, adds it to the run with the knobs as they stand. */
    public void add(Path recording) {
        Optional<RunReading> reading = studio.reading();
        if (reading.isEmpty()) {
            studio.noticeProperty()
                    .set(Optional.of(
                            new Notice("There is no run yet", "A take belongs to a run. Add one in Levels first.")));
            return;
        }
        Run run = reading.get().run();
        read(recording.toAbsolutePath().normalize(), report -> {
            int number = studio.setup().takesOf(run.name()).size() + 1;
            Take take = new Take(
                    "Take " + number,
                    run.name(),
                    stored(recording),
                    clock.instant().truncatedTo(ChronoUnit.SECONDS),
                    run.positions());
            selected = Optional.of(take);
            studio.edit("add a take", setup -> setup.with(take));
        });
    }

    /** Takes the shown take out of the log; the recording stays. */
    public void remove() {
        shown().ifPresent(present -> {
            selected = Optional.empty();
            studio.edit("remove a take", setup -> setup.without(present.take()));
        });
    }

    /** Relative to the setup where it lies beneath it, so that the folder can be moved. */
    private String stored(Path recording) {
        Path folder = studio.fileProperty().get().toAbsolutePath().getParent();
        Path absolute = recording.toAbsolutePath().normalize();
        return absolute.startsWith(folder)
                ? folder.relativize(absolute).toString().replace('\\', '/')
                : absolute.toString();
    }

    private Path fileOf(Take take) {
        return studio.fileProperty()
                .get()
                .toAbsolutePath()
                .getParent()
                .resolve(take.file())
                .normalize();
    }

    private void refresh() {
        List<Take> takes = takes();
        String run = studio.reading().map(reading -> reading.run().name()).orElse("");
        if (selected.filter(takes::contains).isEmpty() || !run.equals(shownRun)) {
            selected = takes.stream().findFirst();
            shownRun = run;
        }
        if (selected.isEmpty()) {
            shown.set(Optional.empty());
            return;
        }
        Path file = fileOf(selected.get());
        Measured known = measured.get(file);
        if (known != null && isFresh(file, known)) {
            show(selected.get(), known.report());
        } else {
            shown.set(Optional.empty());
            if (!unreadable.contains(file)) {
                read(file, report -> refresh());
            }
        }
    }

    private void show(Take take, TakeReport report) {
        studio.reading()
                .ifPresent(reading -> shown.set(
                        Optional.of(new Shown(take, report, TakeVerdict.of(reading.run(), take.positions(), report)))));
    }

    private void read(Path file, Consumer<TakeReport> then) {
        jobs.run(
                "Reading " + file.getFileName(),
                progress -> {
                    TakeReport report = TakeReader.read(file, progress);
                    return new Measured(
                            report,
                            Files.size(file),
                            Files.getLastModifiedTime(file).toMillis());
                },
                result -> {
                    measured.put(file, result);
                    then.accept(result.report());
                },
                failure -> {
                    unreadable.add(file);
                    studio.noticeProperty()
                            .set(Optional.of(
                                    new Notice("This take could not be read", String.valueOf(failure.getMessage()))));
                });
    }

    private static boolean isFresh(Path file, Measured known) {
        try {
            return Files.size(file) == known.size()
                    && Files.getLastModifiedTime(file).toMillis() == known.modified();
        } catch (IOException e) {
            // It is gone: what was measured is still worth showing.
            return true;
        }
    }
}
