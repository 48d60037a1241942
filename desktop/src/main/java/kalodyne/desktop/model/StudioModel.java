package kalodyne.desktop.model;

import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.SimpleObjectProperty;
import kalodyne.core.findings.Remedy;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules.Checked;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.levels.Trace;
import kalodyne.core.levels.gain.Knob;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.studio.OpenStudio;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.units.LevelUnit;

/** The open setup: its runs, the one that is looked at, what is computed from it, and every command that changes it. */
public final class StudioModel implements AutoCloseable {
    private final Clock clock;
    private final Executor screen;

    private final ReadOnlyObjectWrapper<Studio> document = new ReadOnlyObjectWrapper<>(this, "studio");
    private final ReadOnlyObjectWrapper<Optional<RunLevels>> reading =
            new ReadOnlyObjectWrapper<>(this, "reading", Optional.empty());
    private final ObjectProperty<Preferences> preferences =
            new SimpleObjectProperty<>(this, "preferences", Preferences.USUAL);
    private final ReadOnlyLongWrapper revision = new ReadOnlyLongWrapper(this, "revision");
    private final ReadOnlyLongWrapper pointed = new ReadOnlyLongWrapper(this, "pointed");
    private final ReadOnlyIntegerWrapper focus = new ReadOnlyIntegerWrapper(this, "focus", 0);
    private final Notices notices = new Notices();
    private final StudioKeeping keeping;

    private Setup setup = Setup.empty();
    private String setupId = "";
    private String runKey = "";
    private int runPlace;
    private final PluggedLevels plugged = new PluggedLevels();
    private SetupLevels levels;
    private final Helps helps;

    /**
     * A model of a studio that is open; closes it in the end.
     *
     * @param clock tells when something was kept
     */
    public StudioModel(OpenStudio open, Clock clock) {
        this(open, clock, Platform::runLater);
    }

    /**
     * The same where the screen is something else.
     *
     * @param screen runs what it is given one after the other, on the thread that everything here is called on
     */
    public StudioModel(OpenStudio open, Clock clock, Executor screen) {
        this.clock = clock;
        this.screen = screen;
        this.keeping = new StudioKeeping(clock, screen, notices);
        this.helps = new Helps(this::refresh, screen);
        preferences.addListener((property, before, now) -> prefer(now.levels()));
        keeping.begin(open, this::refresh);
    }

    /** How one likes to work. */
    public ObjectProperty<Preferences> preferencesProperty() {
        return preferences;
    }

    public Preferences preferences() {
        return preferences.get();
    }

    /** What was worked out has words in it: with another unit all of it is told anew. */
    private void prefer(LevelUnit unit) {
        if (unit != LevelUnit.inUse()) {
            LevelUnit.use(unit);
            refresh();
        }
    }

    /** Shows another studio, and closes the one before. */
    public void show(OpenStudio other) {
        letGo();
        setupId = "";
        runKey = "";
        keeping.begin(other, this::refresh);
    }

    /** Closes the file while going on to show what was in it, until something else is opened. */
    public void letGo() {
        keeping.letGo();
    }

    // --- what is shown -----------------------------------------------------------------------------------------

    /** All that is owned and how it is connected. */
    public ReadOnlyObjectProperty<Studio> studioProperty() {
        return document.getReadOnlyProperty();
    }

    public Studio studio() {
        return document.get();
    }

    /** The setup that is looked at. */
    public Setup setup() {
        return setup;
    }

    /** The file that keeps the studio. */
    public Path file() {
        return keeping.file();
    }

    /** Where that lies; what is recorded and written out lies there too. */
    public Path folder() {
        return file().toAbsolutePath().getParent();
    }

    public boolean isReadOnly() {
        return keeping.isReadOnly();
    }

    /** The run that is looked at with all that is computed from it; empty where the setup has no run. */
    public ReadOnlyObjectProperty<Optional<RunLevels>> readingProperty() {
        return reading.getReadOnlyProperty();
    }

    public LocalDate today() {
        return LocalDate.now(clock);
    }

    public Optional<RunLevels> reading() {
        return reading.get();
    }

    /**
     * Rises whenever the setup, the run that is looked at, or what is computed from it may be another one: after all of
     * them have been brought up to date.
     */
    public ReadOnlyLongProperty revisionProperty() {
        return revision.getReadOnlyProperty();
    }

    /** Whether the studio is still being read: there is nothing to show yet. */
    public ReadOnlyBooleanProperty awaitedProperty() {
        return keeping.awaitedProperty();
    }

    public boolean isAwaited() {
        return keeping.awaitedProperty().get();
    }

    /** "All changes kept · 12:04", or why not. */
    public ReadOnlyStringProperty keptProperty() {
        return keeping.keptProperty();
    }

    /** The levels of all that is plugged. */
    public SetupLevels levels() {
        return levels;
    }

    /** What is plugged, each part that hangs together by itself. */
    public List<Checked> joints() {
        return plugged.joints();
    }

    /** The runs that can be looked at: what is recorded first, then what is heard. */
    public List<RunChoice> runs() {
        return RunChoice.all(levels);
    }

    /** Index of the station on which every room is focused. */
    public ReadOnlyIntegerProperty focusProperty() {
        return focus.getReadOnlyProperty();
    }

    /** The same, of the stations that there are. */
    public int focus() {
        int stations =
                reading().map(run -> run.plan().trace().stations().size()).orElse(1);
        return Math.min(focus.get(), stations - 1);
    }

    /** Focuses every room on a station; one that somebody points at again counts too. */
    public void pointAt(int station) {
        focusOn(station);
        pointed.set(pointed.get() + 1);
    }

    /** Focuses every room on a station, without anybody having pointed there. */
    public void focusOn(int station) {
        focus.set(station);
    }

    /** Rises with every pointing. */
    public ReadOnlyLongProperty pointedProperty() {
        return pointed.getReadOnlyProperty();
    }

    /** What went wrong last, until it is dismissed. */
    public ObjectProperty<Optional<Notice>> noticeProperty() {
        return notices.property();
    }

    /** What undo would take back: "turn the gain". */
    public Optional<String> undoable() {
        return keeping.undoable();
    }

    /** What redo would do again. */
    public Optional<String> redoable() {
        return keeping.redoable();
    }

    // --- commands ----------------------------------------------------------------------------------------------

    public void undo() {
        keeping.undo();
    }

    public void redo() {
        keeping.redo();
    }

    /** Changes the studio as one step of a gesture, all of whose steps are undone together; null for an edit of its own. */
    public void change(Object gesture, String description, Studio after) {
        keeping.change(gesture, description, after);
    }

    /** Tells that something went wrong. */
    public void notice(String title, String text) {
        notices.problem(title, text);
    }

    /** Runs something on the screen's thread, later. */
    public void onScreen(Runnable task) {
        screen.execute(task);
    }

    /** Tells that something was done. */
    public void tell(String title, String text) {
        notices.done(title, text);
    }

    /**
     * What is looked at.
     *
     * @param station of the run, on which every room is focused
     */
    public record Looked(String setup, String run, int station) {}

    public Looked looked() {
        return new Looked(setupId, runKey, focus.get());
    }

    /** Looks at what was looked at before, as far as it is still there. */
    public void look(Looked before) {
        if (!before.setup().equals(setupId) || !before.run().equals(runKey)) {
            setupId = before.setup();
            runKey = before.run();
            refresh();
        }
        if (runKey.equals(before.run())) {
            focusOn(Math.max(0, before.station()));
        }
    }

    public void showSetup(String id) {
        setupId = id;
        runKey = "";
        refresh();
    }

    /** What can be done with setups as a whole. */
    public SetupEdits setups() {
        return new SetupEdits(this);
    }

    /** Adds a setup and looks at it. */
    void add(String description, Setup another) {
        if (!isReadOnly()) {
            setupId = another.id();
        }
        change(null, description, studio().with(another));
    }

    public void showRun(String key) {
        runKey = key;
        refresh();
    }

    /** Changes the setup that is looked at. */
    public void edit(String description, UnaryOperator<Setup> change) {
        change(null, description, studio().with(change.apply(setup)));
    }

    /** Turns one control. */
    public void turn(Object gesture, Spot control, double position) {
        turn(gesture, "turn " + words(control), Map.of(control, position));
    }

    private String words(Spot control) {
        return reading()
                .flatMap(present -> present.plan().flow().knob(control))
                .map(Knob::words)
                .orElse("the " + control.part());
    }

    /** Does what a finding proposes. */
    public void apply(Remedy remedy) {
        turn(null, "follow the advice", Turning.positions(remedy));
    }

    /** All controls of the setup. */
    public void setAllAsAdvised() {
        turn(null, "set all as advised", levels.advised().positions());
    }

    private void turn(Object gesture, String description, Map<Spot, Double> positions) {
        change(gesture, description, studio().with(new Turning(studio(), setup).to(positions)));
    }

    /** Changes how the controls of what is plugged should be set. */
    public void editSettings(String description, UnaryOperator<Settings> change) {
        edit(description, each -> each.withSettings(change.apply(each.settings())));
    }

    private void refresh() {
        document.set(keeping.studio());
        setup = studio().setup(setupId)
                .or(() -> studio().setups().stream().findFirst())
                .orElseGet(Setup::empty);
        setupId = setup.id();
        levels = plugged.of(studio(), setup);
        List<RunChoice> choices = runs();
        String before = runKey;
        Optional<RunChoice> run = choices.stream()
                .filter(choice -> choice.key().equals(runKey))
                .findFirst()
                .or(() -> atItsPlace(choices));
        runKey = run.map(RunChoice::key).orElse("");
        run.ifPresent(shown -> runPlace = choices.indexOf(shown));
        Optional<RunLevels> now = run.flatMap(this::levelsOf);
        now.ifPresent(shown -> keepFocus(shown, !runKey.equals(before)));
        reading.set(now);
        revision.set(revision.get() + 1);
    }

    private Optional<RunLevels> levelsOf(RunChoice choice) {
        return levels.trace(choice.key()).map(trace -> helped(trace, levels.run(trace)));
    }

    private RunLevels helped(Trace trace, RunLevels run) {
        return run.advice().obstacle().isEmpty() ? run : run.helpedBy(helps.of(levels, setup.settings(), trace));
    }

    /** Of another run, on the device that records or is listened to. */
    private void keepFocus(RunLevels shown, boolean isAnother) {
        int stations = shown.plan().trace().stations().size();
        if (isAnother || focus.get() >= stations) {
            focus.set(Math.max(0, stations - 2));
        }
    }

    /** What now stands where the run stood that is no longer known by its key: the renamed one, or its neighbour. */
    private Optional<RunChoice> atItsPlace(List<RunChoice> runs) {
        return runs.isEmpty() ? Optional.empty() : Optional.of(runs.get(Math.min(runPlace, runs.size() - 1)));
    }

    @Override
    public void close() {
        letGo();
    }
}
