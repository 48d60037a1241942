package kalodyne.desktop.lineup;

import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import kalodyne.core.lineup.ClockLine;
import kalodyne.core.lineup.PairPlace;
import kalodyne.desktop.job.PartReader;

/** A place of both recordings as it is seen: the reference, and the other one by the clock that it has now. */
public final class PairView {
    private final PartReader reader;
    private final ReadOnlyObjectWrapper<Optional<Seen>> seen =
            new ReadOnlyObjectWrapper<>(this, "seen", Optional.empty());

    /** A place that nothing is seen of yet; what is read is delivered on the screen. */
    PairView(Executor screen) {
        reader = new PartReader(screen);
    }

    /** The samples of both. */
    public static final class Seen {
        private final PairPlace place;
        private final float[][] reference;
        private final float[][] other;
        /** Looked for once: it is drawn many times a second. */
        private final float referencePeak;

        private final float otherPeak;

        Seen(PairPlace place, float[][] reference, float[][] other) {
            this.place = place;
            this.reference = reference;
            this.other = other;
            referencePeak = PairPlace.peak(reference);
            otherPeak = PairPlace.peak(other);
        }

        public PairPlace place() {
            return place;
        }

        /** Left and right; not to be changed. */
        public float[][] reference() {
            return reference;
        }

        /** Left and right; not to be changed. */
        public float[][] other() {
            return other;
        }

        /** The largest sample of the reference here. */
        public float referencePeak() {
            return referencePeak;
        }

        /** The largest sample of the other one here. */
        public float otherPeak() {
            return otherPeak;
        }
    }

    public ReadOnlyObjectProperty<Optional<Seen>> seenProperty() {
        return seen.getReadOnlyProperty();
    }

    public Optional<Seen> seen() {
        return seen.get();
    }

    public Optional<PairPlace> place() {
        return seen().map(Seen::place);
    }

    /** Its middle, in seconds of the reference. */
    Optional<Double> middle() {
        return place().map(place -> place.fromSeconds() + 0.5 * place.seconds());
    }

    void clear() {
        reader.forget();
        seen.set(Optional.empty());
    }

    void show(PairPlace place, ClockLine clock) {
        reader.read(
                progress -> new Seen(place, place.reference(), place.other(clock)),
                ready -> seen.set(Optional.of(ready)));
    }

    /** The other one by another clock; what plays is exchanged too. */
    void exchange(ClockLine clock, PairSound sound) {
        Optional<Seen> present = seen();
        present.ifPresent(before -> reader.read(
                progress -> new Seen(
                        before.place(), before.reference(), before.place().other(clock)),
                ready -> {
                    seen.set(Optional.of(ready));
                    sound.exchange(this, ready);
                }));
    }
}
