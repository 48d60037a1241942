package kalodyne.desktop.model;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.LongSupplier;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.PowerSource;
import kalodyne.core.gear.Powering;
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
import kalodyne.core.runsheet.Task;
import kalodyne.core.runsheet.Tick;
import kalodyne.core.runsheet.Tick.Outcome;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.setup.Setup;

/** The run sheet of the setup that is looked at, how far it is done, and every command on it. */
public final class SheetModel {
    private final StudioModel studio;
    private final Clock clock;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", State.NONE);

    private final StepWaits waits;

    private Optional<String> chosen = Optional.empty();
    private Optional<FaultSearch> search = Optional.empty();
    private boolean isLookedAt;
    private boolean isShort;
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

        /** What the step that is looked at is a part of. */
        public Optional<Task> task() {
            return step.flatMap(sheet::taskOf);
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
        this.waits = new StepWaits(nanos);
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
        List<Session> before = setup.closedSessions();
        Optional<Session> last = before.stream().reduce((first, second) -> second);
        RunSheet shown = isShort ? made.shortAfter(before) : made;
        SheetProgress progress = SheetProgress.of(shown, session);
        Optional<Step> step = chosen.flatMap(shown::step).or(progress::now);
        state.set(new State(
                shown, session, progress, step, search, last.map(this::recall).orElse(new Recall(List.of())), last));
    }

    private Recall recall(Session last) {
        return Recall.between(
                last.stand(), studio.setup().stand(), studio.studio().words());
    }

    /** Whether only what differs from last time is shown, and every step of safety. */
    public boolean isShort() {
        return isShort && state().lastTime().isPresent();
    }

    public void showShort(boolean isWished) {
        isShort = isWished;
        chosen = Optional.empty();
        refresh();
    }

    // --- looking -----------------------------------------------------------------------------------------------

    /** Looks at a step; at the next one again where none is given. */
    public void choose(Optional<Step> step) {
        chosen = step.map(Step::id);
        search = Optional.empty();
        refresh();
    }

    /** Looks at the task so many further on, or back: at what is open of it. */
    public void move(int tasks) {
        List<Task> all = state().sheet().tasks();
        state().task()
                .map(all::indexOf)
                .map(at -> all.get(Math.max(0, Math.min(all.size() - 1, at + tasks))))
                .ifPresent(task -> choose(Optional.of(openOf(task))));
    }

    private Step openOf(Task task) {
        return task.parts().stream()
                .filter(this::isOpen)
                .findFirst()
                .orElse(task.parts().get(0));
    }

    private boolean isOpen(Step step) {
        SheetProgress.State progress = state().progress().of(step);
        return progress != SheetProgress.State.DONE && progress != SheetProgress.State.SKIPPED;
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

    /**
     * Ticks what is open of the task that is looked at, as far as nothing else is in the way; a step that waits begins to.
     */
    public void done() {
        if (state().session().isEmpty()) {
            begin();
            return;
        }
        state().task().ifPresent(task -> {
            List<Step> open = task.parts().stream().filter(this::isOpen).toList();
            List<Step> free =
                    open.stream().takeWhile(step -> isFree(step, task)).toList();
            boolean isWaiting = free.stream().anyMatch(step -> step.pause().isPresent() && !waits.isOver(step));
            if (isWaiting) {
                free.forEach(waits::begin);
                refresh();
            } else if (!free.isEmpty()) {
                tick(
                        free,
                        Outcome.DONE,
                        "tick",
                        free.size() == open.size() ? task.title() : free.get(0).title());
            }
        });
    }

    /** What must be done before a task and is not: where nothing of it can be done yet. */
    public List<Order> inTheWayOf(Task task) {
        return task.parts().stream()
                .filter(this::isOpen)
                .findFirst()
                .filter(first -> !isFree(first, task))
                .map(this::inTheWay)
                .orElse(List.of());
    }

    /** Whether nothing stands in the way of a step but what is done in the same go. */
    private boolean isFree(Step step, Task task) {
        Set<String> own = task.parts().stream().map(Step::id).collect(Collectors.toSet());
        return inTheWay(step).stream().allMatch(order -> own.contains(order.before()));
    }

    /** Ticks one part of a task alone, or opens it again. */
    public void turn(Step part, boolean isDone) {
        if (!isDone) {
            tick(List.of(part), Outcome.OPEN, "open again", part.title());
        } else if (inTheWay(part).isEmpty()) {
            tick(List.of(part), Outcome.DONE, "tick", part.title());
        } else {
            choose(Optional.of(part));
        }
    }

    public void skip() {
        state().task()
                .ifPresent(task -> tick(
                        task.parts().stream().filter(this::isOpen).toList(), Outcome.SKIPPED, "skip", task.title()));
    }

    /** Takes back that a task was done. */
    public void undo() {
        state().task().ifPresent(task -> tick(task.parts(), Outcome.OPEN, "open again", task.title()));
    }

    private void tick(List<Step> steps, Outcome outcome, String what, String title) {
        if (steps.isEmpty()) {
            return;
        }
        Set<String> ids = steps.stream().map(Step::id).collect(Collectors.toSet());
        ids.forEach(waits::end);
        // Who looks at another one goes on doing so when a wait is over.
        boolean isLookedAt = chosen.filter(id -> !ids.contains(id)).isEmpty();
        if (isLookedAt) {
            search = Optional.empty();
        }
        if (isLookedAt && outcome != Outcome.OPEN) {
            chosen = Optional.empty();
        }
        change(what + " “" + title + "”", session -> {
            Session now = session;
            for (Step step : steps) {
                now = now.with(step, outcome, clock.instant());
            }
            return now;
        });
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
        return waits.left(step);
    }

    /** Whether something waits, looked at or not. */
    public boolean isWaiting() {
        return waits.isAny(state().sheet());
    }

    /** Ticks what has waited long enough. */
    public void pass() {
        state().sheet().steps().stream()
                .filter(waits::isOver)
                .filter(step -> state().progress().of(step) != SheetProgress.State.DONE)
                .findFirst()
                .ifPresent(step -> tick(List.of(step), Outcome.DONE, "tick", step.title()));
    }

    // --- searching ---------------------------------------------------------------------------------------------

    /** Something else was noticed in the task that is looked at: in the part of it that may show this. */
    public void notice(Symptom symptom) {
        state().task()
                .flatMap(task -> task.parts().stream()
                        .filter(part -> part.symptoms().contains(symptom))
                        .reduce((first, second) -> second))
                .or(() -> state().step())
                .ifPresent(step -> {
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
            String kept = Photos.add(studio.folder(), photo);
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

    /** Where a photograph lies. */
    public Path fileOf(String photo) {
        return studio.folder().resolve(photo);
    }

    /** Mark of what is recorded part by part: a drum machine, else what is played into the first track; empty for nothing. */
    public String playedInParts() {
        List<String> players = studio.levels().traces().stream()
                .filter(trace -> studio.levels().isRecorded(trace))
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

    /** What a device runs on where its owner says nothing; empty where nobody knows. */
    public Optional<PowerSource> usualSource(String device) {
        return Optional.ofNullable(rig)
                .filter(each -> each.has(device))
                .flatMap(each -> each.usualPowering(device))
                .map(Powering::source);
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
