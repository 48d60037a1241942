package kalodyne.core.levels.gain;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Level;

/**
 * A place in a flow where something happens to the level.
 *
 * @param id its mark in the flow: "interface.pre-1"
 * @param station the device or lead that it belongs to
 * @param label as shown under it
 * @param sound what comes in here, where nothing feeds it
 * @param feeds what it is fed by; empty exactly where a sound comes in
 * @param knob index of the control that acts here
 * @param gain what it adds beside its control
 * @param ceiling the level behind it that clips; empty where nothing can
 * @param inputNoise noise that it adds before its gain
 * @param outputNoise noise that it adds behind its gain
 */
public record Point(
        PointId id,
        String station,
        String label,
        Optional<Sound> sound,
        List<Feed> feeds,
        OptionalInt knob,
        Gain gain,
        Optional<Level> ceiling,
        Level inputNoise,
        Level outputNoise) {
    public Point {
        feeds = List.copyOf(feeds);
        if (sound.isPresent() != feeds.isEmpty()) {
            throw new IllegalArgumentException("“" + id + "” needs either a sound or something that feeds it");
        }
    }

    public Point withFeeds(List<Feed> newFeeds) {
        return new Point(id, station, label, sound, newFeeds, knob, gain, ceiling, inputNoise, outputNoise);
    }

    public Point with(Sound newSound) {
        return with(newSound, ceiling);
    }

    public Point with(Sound newSound, Optional<Level> newCeiling) {
        return new Point(
                id, station, label, Optional.of(newSound), feeds, knob, gain, newCeiling, inputNoise, outputNoise);
    }

    /** With another most that it passes on. */
    public Point clippingAt(Level newCeiling) {
        return new Point(
                id, station, label, sound, feeds, knob, gain, Optional.of(newCeiling), inputNoise, outputNoise);
    }

    /** With another noise before its gain. */
    public Point hissing(Level newInputNoise) {
        return new Point(id, station, label, sound, feeds, knob, gain, ceiling, newInputNoise, outputNoise);
    }

    /** Whether several ways come together here. */
    public boolean isBus() {
        return feeds.size() > 1;
    }
}
