package kalodyne.desktop.takes;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import kalodyne.core.recording.Playback;
import kalodyne.core.recording.Speakers;
import kalodyne.desktop.model.Deafness;
import kalodyne.desktop.model.StudioModel;

/** Hearing a stretch of a take. */
public final class PlaybackModel implements AutoCloseable {
    private final StudioModel studio;
    private final Speakers speakers;
    private final ReadOnlyBooleanWrapper playing = new ReadOnlyBooleanWrapper(this, "playing");
    private Optional<Playback> playback = Optional.empty();
    private final Deafness deafness;

    /** Plays through the given speakers. */
    public PlaybackModel(StudioModel studio, Speakers speakers) {
        this.studio = studio;
        this.speakers = speakers;
        deafness = new Deafness(speakers, studio);
    }

    public ReadOnlyBooleanProperty playingProperty() {
        return playing.getReadOnlyProperty();
    }

    /** Plays a stretch, in place of what plays. */
    public void play(Path file, double fromSeconds, double toSeconds, boolean isLooped) {
        stop();
        Playback begun = new Playback(file, fromSeconds, toSeconds, isLooped);
        playback = Optional.of(begun);
        playing.set(true);
        Thread thread = new Thread(() -> run(begun), "playback");
        thread.setDaemon(true);
        thread.start();
    }

    private void run(Playback begun) {
        try {
            begun.run(speakers);
            studio.onScreen(() -> ended(begun, Optional.empty()));
        } catch (IOException e) {
            studio.onScreen(() -> ended(begun, Optional.of(String.valueOf(e.getMessage()))));
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void ended(Playback begun, Optional<String> trouble) {
        if (playback.filter(begun::equals).isPresent()) {
            playback = Optional.empty();
            playing.set(false);
        }
        trouble.ifPresent(text -> studio.notice("This take could not be played", text));
        deafness.tell("The place that would be heard is shown all the same.");
    }

    /** Ends what plays. */
    public void stop() {
        playback.ifPresent(Playback::stop);
        playback = Optional.empty();
        playing.set(false);
    }

    /** Where it is in the take, in seconds; empty where nothing plays. */
    public Optional<Double> position() {
        return playback.map(Playback::position);
    }

    @Override
    public void close() {
        stop();
    }
}
