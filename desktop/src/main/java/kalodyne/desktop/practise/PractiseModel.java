package kalodyne.desktop.practise;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.function.LongSupplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.demo.Boathouse;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.SetupLevels;
import kalodyne.core.practice.Exercise;
import kalodyne.core.practice.Exercises;
import kalodyne.core.studio.Studio;
import kalodyne.core.studio.practised.Answer;
import kalodyne.core.studio.practised.Repetition;
import kalodyne.core.studio.setup.Setup;
import kalodyne.desktop.job.Jobs;
import kalodyne.desktop.model.HearModel;
import kalodyne.desktop.model.HearOffer;
import kalodyne.desktop.model.StudioModel;

/** A sitting of five minutes: one exercise after the other, each answer kept as it is given. */
public final class PractiseModel {
    static final Duration SITTING = Duration.ofMinutes(5);

    private final StudioModel studio;
    private final Jobs jobs;
    private final HearModel hear;
    private final Clock clock;
    private final LongSupplier seeds;
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(this, "state", State.OUTSIDE);
    private Optional<Exercises> exercises = Optional.empty();

    /** Counts what is asked: only the latest is waited for. */
    private int asked;

    /** All that is answered in one sitting is one step to take back. */
    private Object sitting = new Object();

    /**
     * How far a sitting is.
     *
     * @param isInside whether one is in a sitting
     * @param exercise what is asked; empty while it is being made
     * @param answer the index that was chosen; empty until then
     * @param asked how many were answered so far
     * @param right how many of them rightly
     * @param over when the sitting ends
     */
    record State(
            boolean isInside, Optional<Exercise> exercise, OptionalInt answer, int asked, int right, Instant over) {
        static final State OUTSIDE = new State(false, Optional.empty(), OptionalInt.empty(), 0, 0, Instant.MIN);

        boolean isAnswered() {
            return answer.isPresent();
        }

        boolean isRight() {
            return isAnswered() && answer.getAsInt() == exercise.orElseThrow().right();
        }

        private State asking(Optional<Exercise> next) {
            return new State(true, next, OptionalInt.empty(), asked, right, over);
        }

        private State answered(int chosen) {
            boolean isHit = chosen == exercise.orElseThrow().right();
            return new State(true, exercise, OptionalInt.of(chosen), asked + 1, right + (isHit ? 1 : 0), over);
        }
    }

    /**
     * A model.
     *
     * @param seeds for what is drawn
     */
    public PractiseModel(StudioModel studio, Jobs jobs, HearModel hear, Clock clock, LongSupplier seeds) {
        this.studio = studio;
        this.jobs = jobs;
        this.hear = hear;
        this.clock = clock;
        this.seeds = seeds;
    }

    ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }

    State state() {
        return state.get();
    }

    /** What was answered so far. */
    List<Answer> answers() {
        return studio.studio().practised();
    }

    StudioModel studio() {
        return studio;
    }

    HearModel hear() {
        return hear;
    }

    Clock clock() {
        return clock;
    }

    /** Begins a sitting with something that keeps going wrong. */
    public void begin(String topic) {
        begin(Optional.of(topic));
    }

    /** Begins a sitting in the setup that is looked at. */
    void begin() {
        begin(Optional.empty());
    }

    private void begin(Optional<String> first) {
        sitting = new Object();
        exercises = Optional.empty();
        state.set(new State(
                true,
                Optional.empty(),
                OptionalInt.empty(),
                0,
                0,
                clock.instant().plus(SITTING)));
        ask(first);
    }

    /** Goes on with the next one, or ends the sitting where its time is over. */
    void next() {
        hear.stop();
        if (clock.instant().isBefore(state().over())) {
            state.set(state().asking(Optional.empty()));
            ask(Optional.empty());
        } else {
            leave();
        }
    }

    private void ask(Optional<String> wanted) {
        int asking = ++asked;
        SetupLevels levels = studio.levels();
        Repetition repetition = new Repetition(answers());
        Random random = new Random(seeds.getAsLong());
        String topic = wanted.orElseGet(() -> repetition.next(Exercises.topics(), clock.instant(), random));
        int strength = repetition.strength(topic);
        int number = random.nextInt(Integer.MAX_VALUE);
        Optional<Exercises> known = exercises;
        jobs.runBriefly(
                progress -> {
                    Exercises from = known.orElseGet(() -> Exercises.in(levels, shipped()));
                    return new Made(from, from.make(topic, strength, number));
                },
                made -> {
                    if (asking == asked && state().isInside()) {
                        exercises = Optional.of(made.from());
                        state.set(state().asking(Optional.of(made.exercise())));
                    }
                });
    }

    private record Made(Exercises from, Exercise exercise) {}

    private static SetupLevels shipped() {
        Studio boathouse = Boathouse.studio();
        Setup setup = boathouse.setups().get(0);
        Patch patch = boathouse.patch(setup);
        return SetupLevels.of(JointRules.check(patch), patch, setup.settings());
    }

    /** Answers, and keeps that. */
    void answer(int chosen) {
        Optional<Exercise> asked = state().exercise();
        if (asked.isEmpty()
                || state().isAnswered()
                || chosen >= asked.get().choices().size()) {
            return;
        }
        Exercise exercise = asked.get();
        state.set(state().answered(chosen));
        if (!studio.isReadOnly()) {
            List<Answer> more = new ArrayList<>(answers());
            more.add(new Answer(
                    moment(),
                    exercise.topic(),
                    (int) exercise.number(),
                    exercise.strength(),
                    chosen == exercise.right()));
            studio.change(sitting, "practise", studio.studio().withPractised(more));
        }
    }

    /** Later than all before: a clock may have been set back. */
    private Instant moment() {
        Instant now = clock.instant();
        return answers().stream()
                .map(Answer::at)
                .max(Instant::compareTo)
                .map(last -> last.plusMillis(1))
                .filter(after -> after.isAfter(now))
                .orElse(now);
    }

    /** Hears what is asked, or stops. */
    void playOrStop() {
        if (hear.isHearing()) {
            hear.stop();
        } else {
            state().exercise()
                    .flatMap(Exercise::sound)
                    .ifPresent(clip -> hear.hear(HearOffer.ofClip("this exercise", clip)));
        }
    }

    /** Ends the sitting. */
    void leave() {
        hear.stop();
        State last = state();
        state.set(new State(false, Optional.empty(), OptionalInt.empty(), last.asked(), last.right(), last.over()));
    }
}
