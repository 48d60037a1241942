package kalodyne.desktop.takes;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.MadeUpPlayer;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.recording.InputDevice;
import kalodyne.core.recording.LiveMeter;
import kalodyne.core.recording.Recording;
import kalodyne.core.recording.SimulatedInput;
import kalodyne.desktop.model.StudioModel;
import kalodyne.desktop.model.TakesModel;

/** Recording a take of the run that is looked at: listening to an input, then keeping what comes, until it is stopped. */
public final class RecordingModel implements AutoCloseable {
    private static final int USUAL_RATE = 48_000;

    private final StudioModel studio;
    private final TakesModel takes;
    private final Supplier<List<InputDevice>> systemInputs;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", State.IDLE);
    private final ReadOnlyObjectWrapper<List<InputDevice>> inputs;
    private InputDevice device;
    private OptionalInt channel = OptionalInt.empty();
    private Optional<Attempt> listening = Optional.empty();
    private boolean isClosed;

    /** What the simulated interface plays; read by its thread. */
    private volatile SimulatedInput.Playing playing;

    /** How far it has come. */
    public enum State {
        /** Nobody listens. */
        IDLE,
        /** The input is being opened. */
        OPENING,
        /** The meter moves; nothing is kept. */
        LISTENING,
        /** What comes is kept. */
        RECORDING
    }

    /** One opening of an input. */
    private static final class Attempt {
        private final Recording recording;
        private final LevelPlan run;
        private final Path file;
        private boolean isKept;

        Attempt(Path file, OptionalInt channel, LevelPlan run) {
            this.file = file;
            this.recording = new Recording(file, channel);
            this.run = run;
        }
    }

    /** How fast the simulated interface plays; tests do not wait for it. */
    private static final double SIMULATED_SPEED =
            Double.parseDouble(System.getProperty("kalodyne.simulated-speed", "1"));

    /** The simulated interface, and what the system has. */
    public RecordingModel(StudioModel studio, TakesModel takes, Supplier<List<InputDevice>> systemInputs) {
        this.studio = studio;
        this.takes = takes;
        this.systemInputs = systemInputs;
        device = new SimulatedInput(() -> playing, SIMULATED_SPEED, OptionalDouble.empty());
        inputs = new ReadOnlyObjectWrapper<>(this, "inputs", List.of(device));
        studio.revisionProperty().addListener(change -> follow());
    }

    /** While somebody listens, the run is followed; to another run nobody listened. */
    private void follow() {
        if (listening.isPresent()) {
            run().filter(plan -> isListenedTo(plan.trace().key())).ifPresentOrElse(this::play, this::stop);
        }
    }

    /** The simulated interface plays a run with its knobs where they stand. */
    private void play(LevelPlan plan) {
        Rig rig = studio.levels().rig();
        playing = new SimulatedInput.Playing(plan, Listening.to(rig, plan), MadeUpPlayer.of(rig, plan));
    }

    private boolean isListenedTo(String key) {
        return listening.orElseThrow().run.trace().key().equals(key);
    }

    private Optional<LevelPlan> run() {
        return studio.reading().map(reading -> reading.plan()).filter(LevelPlan::isRecorded);
    }

    /** Whether there is a run to record. */
    public boolean isPossible() {
        return run().isPresent() && !studio.isReadOnly();
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    public State state() {
        return state.get();
    }

    /** All that can be recorded from; the simulated interface first. */
    public ReadOnlyObjectProperty<List<InputDevice>> inputsProperty() {
        return inputs.getReadOnlyProperty();
    }

    public InputDevice device() {
        return device;
    }

    /** Which channel of the input is recorded, from 0; all of them where empty. */
    public OptionalInt channel() {
        return channel;
    }

    /** What the run's end should show. */
    public LevelPlan plan() {
        return listening.map(each -> each.run).orElseGet(() -> run().orElseThrow());
    }

    /** Asks the system what it has, and listens to the input that was used last. */
    public void open() {
        if (!isPossible()) {
            studio.notice(
                    studio.isReadOnly() ? "You can look, but not change anything" : "There is nothing to record",
                    studio.isReadOnly()
                            ? "A take could not be kept. Open a studio of your own first."
                            : "Choose a run that goes to a track, then record.");
            return;
        }
        Thread asking = new Thread(() -> {
            List<InputDevice> found = systemInputs.get();
            studio.onScreen(() -> show(found));
        });
        asking.setDaemon(true);
        asking.start();
        listen();
    }

    private void show(List<InputDevice> found) {
        List<InputDevice> all = new ArrayList<>();
        all.add(inputs.get().get(0));
        all.addAll(found);
        if (!names(all).equals(names(inputs.get()))) {
            inputs.set(List.copyOf(all));
        }
    }

    private static List<String> names(List<InputDevice> devices) {
        return devices.stream().map(InputDevice::name).toList();
    }

    /** Listens to another input. */
    public void choose(InputDevice chosen, OptionalInt chosenChannel) {
        device = chosen;
        channel = chosenChannel;
        if (state() != State.RECORDING) {
            stop();
            listen();
        }
    }

    private void listen() {
        LevelPlan plan = run().orElseThrow();
        play(plan);
        Attempt begun = new Attempt(takes.fileFor(plan), channel, plan);
        listening = Optional.of(begun);
        state.set(State.OPENING);
        InputDevice from = device;
        int rate = plan.trace().sampleRateHz().orElse(USUAL_RATE);
        Thread thread = new Thread(() -> run(begun, from, rate), "recording");
        thread.setDaemon(true);
        thread.start();
    }

    private void run(Attempt begun, InputDevice from, int rate) {
        try {
            Recording.Ended ended = begun.recording.run(
                    from,
                    rate,
                    () -> studio.onScreen(() -> {
                        if (listening.filter(begun::equals).isPresent()) {
                            state.set(State.LISTENING);
                        }
                    }));
            studio.onScreen(() -> ended(begun, ended));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void ended(Attempt begun, Recording.Ended ended) {
        if (isClosed) {
            // The take is in the log since it began; it is read at the next start.
            return;
        }
        if (listening.filter(begun::equals).isPresent()) {
            listening = Optional.empty();
            state.set(State.IDLE);
        }
        if (begun.isKept) {
            takes.finish(begun.file, ended.frames() > 0);
        }
        ended.trouble()
                .ifPresent(trouble -> studio.notice(
                        ended.frames() > 0 ? "The recording ended early; what came was kept" : "Nothing was recorded",
                        trouble));
    }

    /** From now on what comes is kept, as a new take of the run. */
    public void record() {
        listening.filter(each -> state() == State.LISTENING).ifPresent(each -> {
            each.isKept = true;
            takes.begin(each.run, each.file);
            each.recording.keep();
            state.set(State.RECORDING);
        });
    }

    /** Ends the recording, or the listening. */
    public void stop() {
        listening.ifPresent(each -> each.recording.stop());
        if (state() != State.RECORDING) {
            listening = Optional.empty();
            state.set(State.IDLE);
        }
    }

    /** What the meter shows; empty before the input is open. */
    public Optional<LiveMeter.Reading> meter() {
        return listening.flatMap(each -> each.recording.meter());
    }

    /** How long the meter has listened, or the take is, in seconds. */
    public double seconds(LiveMeter.Reading reading) {
        int rate = listening.map(each -> each.recording.sampleRateHz()).orElse(0);
        return rate == 0 ? 0 : (double) reading.frames() / rate;
    }

    @Override
    public void close() {
        isClosed = true;
        listening.ifPresent(each -> each.recording.stop());
    }
}
