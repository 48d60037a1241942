package kalodyne.core.levels.run;

import java.util.Optional;
import kalodyne.core.gear.Control;
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

    /**
     * The same source found to be louder: peak and average rise; its noise stays, but never above the average. Its output
     * can evidently give that much.
     */
    public Source louderBy(Gain gain) {
        Level peak = levels.peak().plus(gain);
        Level average = levels.average().plus(gain);
        Level floor = levels.floor().compareTo(average) > 0 ? average : levels.floor();
        boolean passesCeiling = gain.db() > 0 && peak.compareTo(ceiling) > 0;
        return new Source(
                name,
                socket,
                new SignalLevels(peak, average, floor),
                passesCeiling ? peak : ceiling,
                impedance,
                volume);
    }

    public Source withName(String newName) {
        return new Source(newName, socket, levels, ceiling, impedance, volume);
    }

    public Source withSocket(String newSocket) {
        return new Source(name, newSocket, levels, ceiling, impedance, volume);
    }

    public Source withCeiling(Level newCeiling) {
        return new Source(name, socket, levels, newCeiling, impedance, volume);
    }

    public Source withImpedance(Impedance newImpedance) {
        return new Source(name, socket, levels, ceiling, newImpedance, volume);
    }
}
