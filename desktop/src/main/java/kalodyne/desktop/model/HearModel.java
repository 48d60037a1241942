package kalodyne.desktop.model;

import java.io.IOException;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import kalodyne.core.hearing.Listening;
import kalodyne.core.hearing.MadeUpPlayer;
import kalodyne.core.hearing.Material;
import kalodyne.core.hearing.players.Round;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.levels.RunLevels;
import kalodyne.core.recording.LiveHearing;
import kalodyne.core.recording.Speakers;
import kalodyne.core.units.Gain;
import kalodyne.desktop.job.Jobs;

/** Hearing what a run does to a sound while its knobs are turned: one run at a time, played by a made-up player. */
public final class HearModel implements AutoCloseable {
    /** Where the volume stands at first, below full scale: soft in most headphones. */
    public static final double FIRST_VOLUME_DB = -24;

    private static final int RATE_HZ = 48_000;
    private static final double ROUND_SECONDS = 600;

    private final StudioModel studio;
    private final Jobs jobs;
    private final Speakers speakers;
    private final ReadOnlyBooleanWrapper hearing = new ReadOnlyBooleanWrapper(this, "hearing");
    private Optional<LiveHearing> live = Optional.empty();
    private String run = "";
    private double volumeDb = FIRST_VOLUME_DB;
    private final Deafness deafness;

    /** Heard through the given speakers. */
    public HearModel(StudioModel studio, Jobs jobs, Speakers speakers) {
        this.studio = studio;
        this.jobs = jobs;
        this.speakers = speakers;
        deafness = new Deafness(speakers, studio);
        studio.readingProperty().addListener(change -> follow());
    }

    public ReadOnlyBooleanProperty hearingProperty() {
        return hearing.getReadOnlyProperty();
    }

    public double volumeDb() {
        return volumeDb;
    }

    /** A hand on the volume. */
    public void volume(double db) {
        volumeDb = db;
        live.ifPresent(each -> each.volume(new Gain(db).ratio()));
    }

    /** Begins to hear the run that is looked at, or ends. */
    public void toggle() {
        if (hearing.get()) {
            stop();
        } else {
            studio.reading().map(RunLevels::plan).ifPresent(this::begin);
        }
    }

    private void begin(LevelPlan plan) {
        String key = plan.trace().key();
        run = key;
        hearing.set(true);
        MadeUpPlayer player = MadeUpPlayer.of(studio.levels().rig(), plan);
        jobs.runBriefly(progress -> player.round(RATE_HZ), round -> play(key, round));
    }

    /** Unless it was ended, or another run was begun, before the player was there. */
    private void play(String key, Round round) {
        Optional<LevelPlan> plan = present();
        if (!hearing.get() || !run.equals(key) || live.isPresent() || plan.isEmpty()) {
            return;
        }
        LiveHearing begun = new LiveHearing(
                () -> Material.played(round::at, RATE_HZ, ROUND_SECONDS),
                Listening.to(studio.levels().rig(), plan.get()),
                new Gain(volumeDb).ratio());
        live = Optional.of(begun);
        Thread thread = new Thread(() -> run(begun), "hearing");
        thread.setDaemon(true);
        thread.start();
    }

    private void run(LiveHearing begun) {
        try {
            begun.run(speakers);
            studio.onScreen(() -> deafness.tell(""));
        } catch (IOException e) {
            throw new IllegalStateException("a made-up player reads nothing", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** The run that is heard, with its controls where they stand; empty where another one is looked at. */
    private Optional<LevelPlan> present() {
        return studio.reading()
                .map(RunLevels::plan)
                .filter(plan -> plan.trace().key().equals(run));
    }

    private void follow() {
        if (hearing.get()) {
            present()
                    .ifPresentOrElse(
                            plan -> live.ifPresent(each ->
                                    each.hear(Listening.to(studio.levels().rig(), plan))),
                            this::stop);
        }
    }

    /** Ends what is heard. */
    public void stop() {
        live.ifPresent(LiveHearing::stop);
        live = Optional.empty();
        hearing.set(false);
    }

    @Override
    public void close() {
        stop();
    }
}
