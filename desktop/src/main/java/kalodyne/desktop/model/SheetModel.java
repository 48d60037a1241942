package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongSupplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.files.FileNames;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.runsheet.Countdown;
import kalodyne.core.runsheet.FaultSearch;
import kalodyne.core.runsheet.Order;
import kalodyne.core.runsheet.Recall;
import kalodyne.core.runsheet.RunSheet;
import kalodyne.core.runsheet.Searches;
import kalodyne.core.runsheet.Session;
import kalodyne.core.runsheet.SessionPlan;
import kalodyne.core.runsheet.SheetMaker;
import kalodyne.core.runsheet.SheetProgress;
import kalodyne.core.runsheet.SheetRig;
import kalodyne.core.runsheet.Step;
import kalodyne.core.runsheet.Symptom;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.runsheet.Tick.Outcome;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;

/** The run sheet of the setup that is looked at, how far it is done, and every command on it. */
public final class SheetModel {
    private static final String PHOTOS = "photos";

    private final StudioModel studio;
    private final Clock clock;
    private final LongSupplier nanos;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", State.NONE);

    /** Waits that go on, by the steps that wait. */
    private final Map<String, Countdown> waits = new HashMap<>();

    private Optional<String> chosen = Optional.empty();
    private Optional<FaultSearch> search = Optional.empty();
    private boolean isLookedAt;
    private SheetRig rig;

    /** Of a setup whose levels are these nothing changes in a sheet but for what is intended. */
    private Object madeOf;

    private RunSheet made;

    /**
     * What is shown.
     *
     * @param sheet the steps
     * @param session the time that it is being gone through now, if that is so
     * @param progress how far it is done
     * @param step the one that is looked at: the chosen one, else the next one
     * @param search what leads on from it where something else was noticed than should be
     * @param recall what changed since the last time that it was gone through
     * @param lastTime when that was, as the session that was closed last
     */
    public record State(
            RunSheet sheet,
            Optional<Session> session,
            SheetProgress progress,
            Optional<Step> step,
            Optional<FaultSearch> search,
            Recall recall,
            Optional<Session> lastTime) {
        static final State NONE = of(new RunSheet("", List.of(), List.of(), List.of(), List.of()));

        private static State of(RunSheet sheet) {
            return new State(
                    sheet,
                    Optional.empty(),
                    SheetProgress.of(sheet, Optional.empty()),
                    Optional.empty(),
                    Optional.empty(),
                    new Recall(List.of()),
                    Optional.empty());
        }

        public boolean isOver() {
            return session.isPresent() && progress.now().isEmpty();
        }

        /** What is kept of the step that is looked at. */
        public Optional<Tick> tick(Step of) {
            return session.flatMap(each -> each.tick(of.id()));
        }
    }

    /**
     * A model.
     *
     * @param clock tells when something was done
     * @param nanos a counter that only goes forward, for waiting
     */
    public SheetModel(StudioModel studio, Clock clock, LongSupplier nanos) {
        this.studio = studio;
        this.clock = clock;
        this.nanos = nanos;
        studio.revisionProperty().addListener(change -> refresh());
        refresh();
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public State state() {
        return state.get();
    }

    /** From now on it is kept up to date: a sheet nobody looks at and nobody goes through is not made. */
    public void look() {
        isLookedAt = true;
        refresh();
    }

    private void refresh() {
        Setup setup = studio.setup();
        if (!isLookedAt && setup.session().isEmpty()) {
            state.set(State.NONE);
            return;
        }
        List<Object> from = List.of(studio.levels(), setup.sessionPlan(), setup.name());
        if (!from.equals(madeOf)) {
            rig = new SheetRig(
                    setup.name(), studio.levels().rig().patch(), studio.joints(), studio.levels(), setup.sessionPlan());
            made = SheetMaker.of(rig);
            madeOf = from;
        }
        Optional<Session> session = setup.session();
        SheetProgress progress = SheetProgress.of(made, session);
        Optional<Step> step = chosen.flatMap(made::step).or(progress::now);
        Optional<Session> last =
                setup.sessions().stream().filter(Session::isOver).reduce((first, second) -> second);
        state.set(new State(
                made, session, progress, step, search, last.map(this::recall).orElse(new Recall(List.of())), last));
    }

    private Recall recall(Session last) {
        return Recall.between(
                last.stand(), studio.setup().stand(), studio.studio().words());
    }

    // --- looking -----------------------------------------------------------------------------------------------

    /** Looks at a step; at the next one again where none is given. */
    public void choose(Optional<Step> step) {
        chosen = step.map(Step::id);
        search = Optional.empty();
        refresh();
    }

    /** Looks at the step so many further on, or back. */
    public void move(int steps) {
        List<Step> all = state().sheet().steps();
        state().step()
                .map(all::indexOf)
                .ifPresent(at -> choose(Optional.of(all.get(Math.max(0, Math.min(all.size() - 1, at + steps))))));
    }

    // --- going through it --------------------------------------------------------------------------------------

    /** Begins to go through it. */
    public void begin() {
        if (state().session().isEmpty() && !state().sheet().steps().isEmpty()) {
            List<String> taken =
                    studio.setup().sessions().stream().map(Session::name).toList();
            Setup setup = studio.setup();
            Session fresh = new Session(
                    Studio.freeName("Session " + (taken.size() + 1), taken),
                    clock.instant(),
                    false,
                    List.of(),
                    setup.wiring(),
                    setup.settings());
            studio.edit("begin the run sheet", each -> each.with(fresh));
        }
    }

    /** Closes it; it stays in the log with the rig as it now is. */
    public void finish() {
        state().session().ifPresent(session -> {
            waits.clear();
            chosen = Optional.empty();
            search = Optional.empty();
            studio.edit(
                    "close the run sheet",
                    setup -> setup.with(
                            session.with(setup.wiring(), setup.settings()).over()));
        });
    }

    /** What is in the way of a step: what must be done before it and is not. */
    public List<Order> inTheWay(Step step) {
        return state().progress().inTheWay(step);
    }

    /** Ticks the step that is looked at; one that waits begins to, one that something is in the way of stays. */
    public void done() {
        if (state().session().isEmpty()) {
            begin();
            return;
        }
        state().step().ifPresent(step -> {
            boolean isDone = state().progress().of(step) == SheetProgress.State.DONE;
            if (isDone || !inTheWay(step).isEmpty()) {
                return;
            }
            if (step.pause().isPresent() && !isWaited(step)) {
                waits.putIfAbsent(step.id(), new Countdown(step.pause().get(), nanos));
                refresh();
                return;
            }
            tick(step, Outcome.DONE, "tick");
        });
    }

    public void skip() {
        state().step().ifPresent(step -> tick(step, Outcome.SKIPPED, "skip"));
    }

    /** Takes back that a step was done. */
    public void undo() {
        state().step().ifPresent(step -> tick(step, Outcome.OPEN, "open again"));
    }

    private void tick(Step step, Outcome outcome, String what) {
        waits.remove(step.id());
        // Who looks at another one goes on doing so when a wait is over.
        boolean isLookedAt = chosen.filter(id -> !id.equals(step.id())).isEmpty();
        if (isLookedAt) {
            search = Optional.empty();
        }
        if (isLookedAt && outcome != Outcome.OPEN) {
            chosen = Optional.empty();
        }
        change(what + " “" + step.title() + "”", session -> session.with(step, outcome, clock.instant()));
    }

    private void change(String description, UnaryOperator<Session> change) {
        state().session()
                .ifPresent(session -> studio.edit(
                        description,
                        setup -> setup.with(change.apply(session).with(setup.wiring(), setup.settings()))));
    }

    // --- waiting -----------------------------------------------------------------------------------------------

    /** What is left to wait in a step; empty where nothing waits. */
    public Optional<Duration> left(Step step) {
        return Optional.ofNullable(waits.get(step.id())).map(Countdown::left);
    }

    /** Whether something waits, looked at or not. */
    public boolean isWaiting() {
        return state().sheet().steps().stream().map(Step::id).anyMatch(waits::containsKey);
    }

    private boolean isWaited(Step step) {
        return Optional.ofNullable(waits.get(step.id()))
                .filter(Countdown::isOver)
                .isPresent();
    }

    /** Ticks what has waited long enough. */
    public void pass() {
        state().sheet().steps().stream()
                .filter(this::isWaited)
                .filter(step -> state().progress().of(step) != SheetProgress.State.DONE)
                .findFirst()
                .ifPresent(step -> tick(step, Outcome.DONE, "tick"));
    }

    // --- searching ---------------------------------------------------------------------------------------------

    /** Something else was noticed in the step that is looked at. */
    public void notice(Symptom symptom) {
        state().step().ifPresent(step -> {
            chosen = Optional.of(step.id());
            search = Optional.of(new Searches(rig).of(step, symptom));
            change(
                    "note “" + symptom.word() + "”",
                    session -> session.changing(step, clock.instant(), tick -> tick.noticing(symptom)));
            refresh();
        });
    }

    public void answer(boolean isSo) {
        search = search.map(each -> each.answered(isSo));
        refresh();
    }

    public void backInSearch() {
        search = search.map(FaultSearch::back);
        refresh();
    }

    public void endSearch() {
        search = Optional.empty();
        chosen = Optional.empty();
        refresh();
    }

    // --- what is kept of a step --------------------------------------------------------------------------------

    public void note(Step step, String words) {
        boolean isSame = state().tick(step).map(Tick::note).orElse("").equals(words);
        if (!isSame) {
            change("note", session -> session.changing(step, clock.instant(), tick -> tick.withNote(words)));
        }
    }

    /** Copies a photograph beside the studio and keeps it with a step. */
    public void addPhoto(Step step, Path photo) {
        try {
            Path folder = Files.createDirectories(studio.folder().resolve(PHOTOS));
            Path target = free(folder, photo.getFileName().toString());
            Files.copy(photo, target);
            String kept = PHOTOS + "/" + target.getFileName();
            change(
                    "add a photograph",
                    session -> session.changing(step, clock.instant(), tick -> {
                        List<String> more = new ArrayList<>(tick.photos());
                        more.add(kept);
                        return tick.withPhotos(more);
                    }));
        } catch (IOException e) {
            studio.notice(
                    "The photograph was not added",
                    photo + " could not be copied beside the studio: " + e.getMessage()
                            + ". See that it is still there and that the disk has room.");
        }
    }

    private static Path free(Path folder, String name) {
        Path wanted = folder.resolve(name);
        for (int number = 2; Files.exists(wanted); number++) {
            Path plain = Path.of(name);
            wanted = folder.resolve(FileNames.stem(plain) + " " + number + FileNames.ending(plain));
        }
        return wanted;
    }

    /** Where a photograph lies. */
    public Path fileOf(String photo) {
        return studio.folder().resolve(photo);
    }

    /** Mark of what is recorded part by part: a drum machine, else what is played into the first track; empty for nothing. */
    public String playedInParts() {
        List<String> players = studio.levels().traces().stream()
                .filter(trace -> studio.levels().plan(trace).isRecorded())
                .flatMap(trace -> trace.marks().get(0).stream())
                .toList();
        return players.stream()
                .filter(id -> studio.studio()
                        .device(id)
                        .filter(device -> device.kind() == DeviceKind.DRUM_MACHINE)
                        .isPresent())
                .findFirst()
                .or(() -> players.stream().findFirst())
                .orElse("");
    }

    /** The marks of all that record something. */
    public Set<String> recording() {
        return rig == null ? Set.of() : rig.recording();
    }

    // --- what is intended --------------------------------------------------------------------------------------

    public SessionPlan sessionPlan() {
        return studio.setup().sessionPlan();
    }

    public void intend(String description, UnaryOperator<SessionPlan> change) {
        SessionPlan changed = change.apply(sessionPlan());
        if (!changed.equals(sessionPlan())) {
            studio.edit(description, setup -> setup.with(changed));
        }
    }
}
