package kalodyne.desktop.log;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.gear.Control;
import kalodyne.core.runsheet.Recall;
import kalodyne.core.sound.SoundFiles;
import kalodyne.core.sound.SoundStream;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.exchange.SetupTables;
import kalodyne.core.studio.log.Entry;
import kalodyne.core.studio.log.Habits;
import kalodyne.core.studio.log.LogBook;
import kalodyne.core.studio.log.Trend;
import kalodyne.core.studio.log.UnreadTakes;
import kalodyne.core.studio.setup.Setup;
import kalodyne.core.takes.Overview;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.StudioModel;

/** The log: what is searched for in it, what is looked at, how that differs from now or from something else. */
public final class LogModel {
    private final StudioModel studio;
    private final Jobs jobs;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", State.NONE);

    private boolean isLookedAt;
    private boolean isOfAll;
    private String words = "";
    private Optional<Entry> chosen = Optional.empty();
    private Optional<Entry> other = Optional.empty();
    private LogBook book;
    private List<Entry> shown = List.of();
    private Habits habits;
    private final AtomicReference<Path> wantedShape = new AtomicReference<>();

    /** While these are the same the log is. */
    private Object madeOf;

    /**
     * What is shown.
     *
     * @param shown entries that have the words, newest first
     * @param count how many there are in all
     * @param chosen the one that is looked at
     * @param back what to do so that everything stands as it did then
     * @param other what it is compared with, if anything
     * @param apart what is different between the two
     * @param habits what keeps going wrong
     */
    public record State(
            List<Entry> shown,
            int count,
            Optional<Entry> chosen,
            Recall back,
            Optional<Entry> other,
            Recall apart,
            Habits habits) {
        private static final Recall NO_DIFFERENCE = new Recall(List.of());
        static final State NONE = new State(
                List.of(),
                0,
                Optional.empty(),
                NO_DIFFERENCE,
                Optional.empty(),
                NO_DIFFERENCE,
                Habits.of(List.of(), List.of()));

        public State {
            shown = List.copyOf(shown);
        }
    }

    public LogModel(StudioModel studio, Jobs jobs) {
        this.studio = studio;
        this.jobs = jobs;
        studio.revisionProperty().addListener(change -> refresh());
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public State state() {
        return state.get();
    }

    /** From now on it is kept up to date. */
    public void look() {
        isLookedAt = true;
        refresh();
    }

    private List<Setup> setups() {
        return isOfAll ? studio.studio().setups() : List.of(studio.setup());
    }

    private void refresh() {
        if (!isLookedAt) {
            return;
        }
        List<Setup> setups = setups();
        Map<String, String> runs = studio.levels().runNames();
        List<Object> from = new ArrayList<>(List.of(studio.studio().devices(), runs));
        setups.forEach(setup -> from.addAll(List.of(setup.name(), setup.takes(), setup.sessions())));
        if (!from.equals(madeOf)) {
            madeOf = from;
            book = LogBook.of(studio.studio(), setups, runs);
            habits = Habits.of(
                    book.entries(),
                    setups.stream().flatMap(setup -> setup.sessions().stream()).toList());
            shown = book.find(words);
        }
        chosen = chosen.flatMap(this::again)
                .filter(shown::contains)
                .or(() -> shown.stream().findFirst());
        other = other.flatMap(this::again).filter(each -> !chosen.equals(Optional.of(each)));
        state.set(new State(
                shown,
                book.entries().size(),
                chosen,
                chosen.map(this::back).orElse(State.NO_DIFFERENCE),
                other,
                chosen.flatMap(one -> other.map(two -> Recall.between(
                                one.stand(), two.stand(), studio.studio().words())))
                        .orElse(State.NO_DIFFERENCE),
                habits));
    }

    /** The same entry as it is now: its note or its setup's name may be another one. */
    private Optional<Entry> again(Entry before) {
        return book.entries().stream()
                .filter(each -> each.setupId().equals(before.setupId())
                        && each.name().equals(before.name())
                        && each.at().equals(before.at())
                        && each.about().equals(before.about()))
                .findFirst();
    }

    private Recall back(Entry then) {
        return setup(then)
                .map(setup -> Recall.between(
                        then.stand(), setup.stand(), studio.studio().words()))
                .orElse(State.NO_DIFFERENCE);
    }

    private Optional<Setup> setup(Entry entry) {
        return studio.studio().setup(entry.setupId());
    }

    // --- looking -----------------------------------------------------------------------------------------------

    /** Shows what has these words. */
    public void search(String typed) {
        words = typed;
        if (isLookedAt) {
            shown = book.find(words);
        }
        refresh();
    }

    public boolean isOfAll() {
        return isOfAll;
    }

    /** Shows the log of all setups, or of the one that is looked at. */
    public void showAll(boolean all) {
        isOfAll = all;
        refresh();
    }

    public void choose(Entry entry) {
        chosen = Optional.of(entry);
        refresh();
    }

    /** Compares what is looked at with something else; with nothing where empty. */
    public void compareWith(Optional<Entry> entry) {
        other = entry;
        refresh();
    }

    /** How the takes of the run came out of which one is looked at. */
    public Trend trend() {
        return chosen.map(entry -> Trend.of(book.entries(), entry)).orElse(new Trend(List.of()));
    }

    /** The knobs as they stood when it was done, as far as they are still there: by the device and the knob. */
    public Map<String, Control> knobs(Entry entry) {
        Map<String, Control> knobs = new TreeMap<>();
        entry.stand()
                .positions()
                .forEach((spot, position) -> studio.studio()
                        .device(spot.item())
                        .ifPresent(device -> device.control(spot.part())
                                .flatMap(control -> control.at(position))
                                .ifPresent(control -> knobs.put(device.name() + ", " + control.name(), control))));
        return knobs;
    }

    /** The takes of the setup that is looked at, as a table. */
    String takesTable() {
        return SetupTables.takes(
                studio.setup(), studio.levels().runNames(), studio.studio().words());
    }

    /** The recording of a take, where it is there. */
    public Optional<Path> recording(Entry entry) {
        return entry.take().map(take -> studio.folder().resolve(take.file())).filter(Files::isRegularFile);
    }

    /** Reads the shape of a take; nothing where it cannot be read. What nobody looks at any more is not read to its end. */
    public void shape(Entry entry, Consumer<Optional<Overview>> delivered) {
        Path file = studio.folder().resolve(entry.take().orElseThrow().file());
        wantedShape.set(file);
        jobs.runBriefly(
                progress -> {
                    try (SoundStream sound = SoundFiles.open(file)) {
                        return Optional.of(Overview.of(sound, done -> file.equals(wantedShape.get())));
                    } catch (IOException | CancellationException e) {
                        return Optional.<Overview>empty();
                    }
                },
                read -> {
                    if (file.equals(wantedShape.get())) {
                        delivered.accept(read);
                    }
                });
    }

    // --- going back --------------------------------------------------------------------------------------------

    /** Whether all of what is looked at was kept, or its knobs alone. */
    public boolean knowsPlugs() {
        return chosen.flatMap(entry -> entry.stand().wiring()).isPresent();
    }

    /** Describes the rig as it stood then: it is for hands to follow. */
    public void setAsThen() {
        chosen.ifPresent(entry -> setup(entry)
                .ifPresent(setup -> studio.change(
                        null,
                        "set everything as in " + entry.name(),
                        studio.studio().with(entry.restored(setup)))));
    }

    // --- reading -----------------------------------------------------------------------------------------------

    /** Reads every take that nobody has read, so that the log knows what was the case. */
    public void readAll() {
        Studio now = studio.studio();
        List<Setup> setups = setups();
        Path folder = studio.folder();
        jobs.run("Reading takes", progress -> UnreadTakes.read(now, setups, folder, progress))
                .then(read -> keep(read))
                .otherwise(
                        failure -> studio.notice("The takes could not be read", String.valueOf(failure.getMessage())));
    }

    private void keep(UnreadTakes read) {
        if (read.count() > 0) {
            studio.change(null, "keep what takes say", read.keptIn(studio.studio()));
        }
        if (read.unreadable() > 0) {
            studio.notice(
                    read.unreadable() == 1
                            ? "One take could not be read"
                            : read.unreadable() + " takes could not be read",
                    "Their recordings are gone or damaged. Look at them in Takes: it says what is wrong with each.");
        }
    }
}
