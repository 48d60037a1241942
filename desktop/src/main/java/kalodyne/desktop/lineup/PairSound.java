package kalodyne.desktop.lineup;

import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.recording.PairPlayback;
import kalodyne.core.recording.PairPlayback.Voice;
import kalodyne.core.recording.Speakers;
import kalodyne.desktop.model.Deafness;
import kalodyne.desktop.model.StudioModel;

/** Hearing a place of two recordings: the one, the other, both. */
public final class PairSound {
    private final Speakers speakers;
    private final StudioModel studio;
    private final ReadOnlyObjectWrapper<Optional<Heard>> heard =
            new ReadOnlyObjectWrapper<>(this, "heard", Optional.empty());
    private Optional<PairPlayback> playback = Optional.empty();
    private final Deafness deafness;

    /** What is heard, and where. */
    public record Heard(PairView place, Voice voice) {}

    PairSound(Speakers speakers, StudioModel studio) {
        this.speakers = speakers;
        this.studio = studio;
        deafness = new Deafness(speakers, studio);
    }

    public ReadOnlyObjectProperty<Optional<Heard>> heardProperty() {
        return heard.getReadOnlyProperty();
    }

    /** Fades to it where something of the same place is heard; ends where it is heard already. */
    public void hear(PairView place, Voice voice) {
        Optional<Heard> now = heard.get();
        if (now.isPresent() && now.get().place().equals(place)) {
            if (now.get().voice() == voice) {
                stop();
            } else {
                playback.ifPresent(each -> each.hear(voice));
                heard.set(Optional.of(new Heard(place, voice)));
            }
            return;
        }
        stop();
        place.seen().ifPresent(seen -> {
            PairPlayback begun = new PairPlayback(seen.place().sampleRateHz(), seen.reference(), seen.other(), voice);
            playback = Optional.of(begun);
            heard.set(Optional.of(new Heard(place, voice)));
            Thread thread = new Thread(() -> run(begun), "hearing both");
            thread.setDaemon(true);
            thread.start();
        });
    }

    private void run(PairPlayback begun) {
        try {
            begun.run(speakers);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        studio.onScreen(() -> deafness.tell("The place that would be heard is shown all the same."));
    }

    void exchange(PairView place, PairView.Seen seen) {
        boolean isHeard = heard.get().filter(each -> each.place().equals(place)).isPresent();
        if (isHeard) {
            playback.ifPresent(each -> each.exchange(seen.other()));
        }
    }

    public void stop() {
        playback.ifPresent(PairPlayback::stop);
        playback = Optional.empty();
        heard.set(Optional.empty());
    }

    /** Where in the place it is, in seconds; empty where nothing is heard there. */
    public Optional<Double> position(PairView place) {
        return heard.get()
                .filter(each -> each.place().equals(place))
                .flatMap(each -> playback)
                .map(PairPlayback::position);
    }
}
