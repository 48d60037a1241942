package kalodyne.core.levels.rig;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kalodyne.core.joint.Spot;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.PointId;
import kalodyne.core.levels.gain.Sound;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/** A point while a flow is put together: it knows what feeds it by marks. */
final class PointDraft {
    /** What one draft gives to another. */
    record Link(PointId from, Gain gain, Gain rise, boolean isInverted) {
        static Link of(PointId from, double db) {
            return new Link(from, new Gain(db), Gain.NONE, false);
        }
    }

    private final PointId id;
    private final String station;
    private final String label;
    private final List<Link> links = new ArrayList<>();
    private Optional<Sound> sound = Optional.empty();
    private Optional<KnobDraft> knob = Optional.empty();
    private Gain gain = Gain.NONE;
    private Optional<Level> ceiling = Optional.empty();
    private Level inputNoise = Level.SILENCE;
    private Level outputNoise = Level.SILENCE;
    private Optional<End> end = Optional.empty();

    PointDraft(PointId id, String station, String label) {
        this.id = id;
        this.station = station;
        this.label = label;
    }

    PointId id() {
        return id;
    }

    String station() {
        return station;
    }

    String label() {
        return label;
    }

    List<Link> links() {
        return links;
    }

    PointDraft fedBy(Link link) {
        links.add(link);
        return this;
    }

    Optional<Sound> sound() {
        return sound;
    }

    PointDraft with(Sound newSound) {
        sound = Optional.of(newSound);
        return this;
    }

    Optional<KnobDraft> knob() {
        return knob;
    }

    PointDraft turnedBy(Optional<Spot> newKnob) {
        knob = newKnob.map(KnobDraft::of);
        return this;
    }

    PointDraft turnedBy(KnobDraft newKnob) {
        knob = Optional.of(newKnob);
        return this;
    }

    Gain gain() {
        return gain;
    }

    PointDraft with(Gain newGain) {
        gain = newGain;
        return this;
    }

    Optional<Level> ceiling() {
        return ceiling;
    }

    PointDraft clippingAt(Optional<Level> newCeiling) {
        ceiling = newCeiling;
        return this;
    }

    Level inputNoise() {
        return inputNoise;
    }

    Level outputNoise() {
        return outputNoise;
    }

    PointDraft noisy(Level input, Level output) {
        inputNoise = input;
        outputNoise = output;
        return this;
    }

    Optional<End> end() {
        return end;
    }

    /** Where a run ends; which point it is at is told later. */
    PointDraft ending(End newEnd) {
        end = Optional.of(newEnd);
        return this;
    }

    PointDraft passingOn() {
        end = Optional.empty();
        return this;
    }
}
