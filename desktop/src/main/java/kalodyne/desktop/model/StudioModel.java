package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import kalodyne.core.findings.Remedy;
import kalodyne.core.run.Run;
import kalodyne.core.run.Station;
import kalodyne.core.setup.Setup;
import kalodyne.core.setup.SetupReader;
import kalodyne.core.setup.SetupWriter;
import kalodyne.core.units.UnreadableQuantity;
import kalodyne.desktop.edit.EditHistory;
import kalodyne.desktop.edit.SetupKeeper;

/** The open setup: its runs, the one that is looked at, what is computed from it, and every command that changes it. */
public final class StudioModel implements AutoCloseable {
    private static final String NOT_KEPT = "Your changes cannot be kept";

    private final EditHistory<Setup> history;
    private final SetupKeeper keeper;
    private final Clock clock;

    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>(this, "file");
    private final ReadOnlyObjectWrapper<Optional<RunReading>> reading =
            new ReadOnlyObjectWrapper<>(this, "reading", Optional.empty());
    private final ReadOnlyLongWrapper revision = new ReadOnlyLongWrapper(this, "revision");
    private final ReadOnlyStringWrapper kept = new ReadOnlyStringWrapper(this, "kept", "All changes kept");
    private final ObjectProperty<Station.Part> focus = new SimpleObjectProperty<>(this, "focus", Station.Part.INPUT);
    private final ObjectProperty<Optional<Notice>> notice =
            new SimpleObjectProperty<>(this, "notice", Optional.empty());
    private String runName = "";
    private int runPlace;
    private boolean opening;

    /**
     * A model of a setup that lies, or will lie, in a file.
     *
     * @param clock tells when something was kept
     */
    public StudioModel(Setup setup, Path file, Clock clock) {
        this.clock = clock;
        this.history = new EditHistory<>(setup);
        this.file.set(file);
        this.keeper = new SetupKeeper(outcome -> Platform.runLater(() -> showKept(outcome)));
        history.documentProperty().addListener((property, before, after) -> {
            refresh();
            if (!opening) {
                keeper.keep(after, this.file.get());
            }
        });
        refresh();
    }

    // --- what is shown -----------------------------------------------------------------------------------------

    public ReadOnlyObjectProperty<Setup> setupProperty() {
        return history.documentProperty();
    }

    public Setup setup() {
        return history.document();
    }

    /** The file that keeps the setup. */
    public ReadOnlyObjectProperty<Path> fileProperty() {
        return file.getReadOnlyProperty();
    }

    /** The run that is looked at with all that is computed from it; empty where the setup has no run. */
    public ReadOnlyObjectProperty<Optional<RunReading>> readingProperty() {
        return reading.getReadOnlyProperty();
    }

    public Optional<RunReading> reading() {
        return reading.get();
    }

    /**
     * Rises whenever the setup, the run that is looked at, or what is computed from it may be another one: after all of
     * them have been brought up to date.
     */
    public ReadOnlyLongProperty revisionProperty() {
        return revision.getReadOnlyProperty();
    }

    /** "All changes kept · 12:04", or why not. */
    public ReadOnlyStringProperty keptProperty() {
        return kept.getReadOnlyProperty();
    }

    /** The station on which every room is focused. */
    public ObjectProperty<Station.Part> focusProperty() {
        return focus;
    }

    /** What went wrong last, until it is dismissed. */
    public ObjectProperty<Optional<Notice>> noticeProperty() {
        return notice;
    }

    public EditHistory<Setup> history() {
        return history;
    }

    // --- commands ----------------------------------------------------------------------------------------------

    public void showRun(String name) {
        runName = name;
        refresh();
    }

    /** Changes the run that is looked at. */
    public void editRun(String description, UnaryOperator<Run> change) {
        gesture(null, description, change);
    }

    /** Changes the run as one step of a gesture, all of whose steps are undone together. */
    public void gesture(Object gesture, String description, UnaryOperator<Run> change) {
        reading().ifPresent(present -> {
            Run changed = change.apply(present.run());
            String before = runName;
            runName = changed.name();
            history.gesture(gesture, description, setup().replacing(before, changed));
        });
    }

    /** Changes the setup. */
    public void edit(String description, UnaryOperator<Setup> change) {
        history.edit(description, change.apply(setup()));
    }

    /** Turns one control of the run. */
    public void turn(Object gesture, String control, double position) {
        gesture(gesture, "turn the " + control, run -> run.turned(Map.of(control, position)));
    }

    /** Does what a finding proposes. */
    public void apply(Remedy remedy) {
        editRun("follow the advice", run -> run.turned(remedy.turns()));
    }

    public void setAllAsAdvised() {
        reading()
                .ifPresent(present ->
                        editRun("set all as advised", run -> present.advice().followedOn(run)));
    }

    /** Adds a run and looks at it. */
    public void addRun(Run run) {
        Setup more = setup().with(run);
        runName = more.runs().get(more.runs().size() - 1).name();
        history.edit("add a run", more);
    }

    /** Gives the run another name; says why not, where it cannot have it. */
    public Optional<String> renameRun(String typed) {
        return renamed(typed, name -> {
            if (!name.equals(runName) && setup().run(name).isPresent()) {
                throw new UnreadableQuantity("Another run has this name.", "Write another one.");
            }
            editRun("rename the run", run -> run.withName(name));
        });
    }

    /** Gives the setup another name; says why not, where it cannot have it. */
    public Optional<String> renameSetup(String typed) {
        return renamed(typed, name -> edit("rename the setup", setup -> setup.named(setup.studio(), name)));
    }

    /** Gives the studio another name; says why not, where it cannot have it. */
    public Optional<String> renameStudio(String typed) {
        return renamed(typed, name -> edit("rename the studio", setup -> setup.named(name, setup.name())));
    }

    private static Optional<String> renamed(String typed, Consumer<String> rename) {
        try {
            rename.accept(Setup.checkedName(typed));
            return Optional.empty();
        } catch (UnreadableQuantity e) {
            return Optional.of(e.problem());
        }
    }

    public void removeRun() {
        reading()
                .ifPresent(present -> edit(
                        "remove the run", setup -> setup.without(present.run().name())));
    }

    /** Opens another setup; from then on it is kept in its own file. */
    public void open(Path other) {
        try {
            show(SetupReader.read(other), other);
            notice.set(Optional.empty());
        } catch (IOException e) {
            notice.set(Optional.of(new Notice("This setup could not be opened", firstLines(e.getMessage()))));
        }
    }

    /** Writes the setup to another file as well; goes on in the present one. */
    public void saveCopy(Path copy) {
        try {
            SetupWriter.write(setup(), copy);
        } catch (IOException e) {
            notice.set(Optional.of(
                    new Notice("The copy could not be written", copy + ": " + reason(e) + ". Choose another folder.")));
        }
    }

    private void show(Setup other, Path itsFile) {
        opening = true;
        try {
            file.set(itsFile);
            runName = "";
            history.restart(other);
            refresh();
        } finally {
            opening = false;
        }
    }

    private void refresh() {
        Optional<Run> run = setup().run(runName).or(this::atItsPlace);
        runName = run.map(Run::name).orElse("");
        run.ifPresent(shown -> runPlace = setup().runs().indexOf(shown));
        reading.set(run.map(RunReading::of));
        revision.set(revision.get() + 1);
    }

    /** What now stands where the run stood that is no longer known by its name: the renamed one, or its neighbour. */
    private Optional<Run> atItsPlace() {
        List<Run> runs = setup().runs();
        return runs.isEmpty() ? Optional.empty() : Optional.of(runs.get(Math.min(runPlace, runs.size() - 1)));
    }

    private void showKept(SetupKeeper.Outcome outcome) {
        if (outcome.isKept()) {
            kept.set("All changes kept · " + LocalTime.now(clock).truncatedTo(ChronoUnit.MINUTES));
            if (notice.get().filter(present -> present.title().equals(NOT_KEPT)).isPresent()) {
                notice.set(Optional.empty());
            }
        } else {
            kept.set("Changes are not kept");
            notice.set(Optional.of(new Notice(
                    NOT_KEPT,
                    outcome.file() + ": " + reason(outcome.failure())
                            + ". Free some space or save a copy elsewhere; the next change tries again.")));
        }
    }

    private static String reason(IOException failure) {
        return failure.getMessage() == null || failure.getMessage().isBlank()
                ? "it cannot be written"
                : failure.getClass().getSimpleName().replace("Exception", "") + ", " + failure.getMessage();
    }

    private static String firstLines(String message) {
        String[] lines = message.split("\n", -1);
        int shown = Math.min(3, lines.length);
        String text = String.join("\n", Arrays.copyOf(lines, shown));
        return lines.length > shown ? text + "\n… and " + (lines.length - shown) + " more." : text;
    }

    @Override
    public void close() {
        keeper.close();
    }
}
