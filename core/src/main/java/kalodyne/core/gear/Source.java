package kalodyne.core.gear;

import java.util.Optional;
import kalodyne.core.units.Gain;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;

/**
 * What is played, at the socket that it comes out of.
 *
 * @param name as its owner calls it: "Bass synth"
 * @param socket which of its outputs: "line out, left"
 * @param levels open-circuit, with the volume where it gives 0 dB: at its highest, for most
 * @param ceiling where its output clips
 * @param impedance of its output
 * @param volume its own level control, if it has one
 */
public record Source(
        String name, String socket, SignalLevels levels, Level ceiling, Impedance impedance, Optional<Control> volume) {

    public Source withLevels(SignalLevels newLevels) {
        return new Source(name, socket, newLevels, ceiling, impedance, volume);
    }

    public Source withVolume(Optional<Control> newVolume) {
        return new Source(name, socket, levels, ceiling, impedance, newVolume);
    }

    /** The same source played louder: peak and average rise; its noise stays, but never above the average. */
    public Source louderBy(Gain gain) {
        Level average = levels.average().plus(gain);
        Level floor = levels.floor().compareTo(average) > 0 ? average : levels.floor();
        return withLevels(new SignalLevels(levels.peak().plus(gain), average, floor));
    }
}
