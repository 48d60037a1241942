package kalodyne.core.levels.run;

import java.util.Optional;
import kalodyne.core.gear.Control;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;

/**
 * An input socket with the gain stage behind it.
 *
 * @param device whose input it is: "Interface"
 * @param socket which of its inputs: "line socket 3"
 * @param kind what the socket is made for
 * @param impedance that the source sees
 * @param socketCeiling the level at the socket that clips however far the gain is down, where the maker tells it
 * @param gain the gain control
 * @param ceiling the level behind the gain that clips
 * @param equivalentInputNoise noise re the input at full gain (EIN), 20 Hz to 20 kHz
 * @param outputNoise noise behind the gain that the gain does not change
 */
public record Input(
        String device,
        String socket,
        InputKind kind,
        Impedance impedance,
        Optional<Level> socketCeiling,
        Control gain,
        Level ceiling,
        Level equivalentInputNoise,
        Level outputNoise) {

    /** The noise behind the gain stage: √((EIN·G)² + N²). */
    public Level noiseBehindGain() {
        return equivalentInputNoise.plus(gain.gain()).withUncorrelated(outputNoise);
    }

    public Input withGain(Control newGain) {
        return new Input(
                device, socket, kind, impedance, socketCeiling, newGain, ceiling, equivalentInputNoise, outputNoise);
    }

    public Input withDevice(String newDevice) {
        return new Input(
                newDevice, socket, kind, impedance, socketCeiling, gain, ceiling, equivalentInputNoise, outputNoise);
    }

    public Input withSocket(String newSocket) {
        return new Input(
                device, newSocket, kind, impedance, socketCeiling, gain, ceiling, equivalentInputNoise, outputNoise);
    }

    public Input withImpedance(Impedance newImpedance) {
        return new Input(
                device, socket, kind, newImpedance, socketCeiling, gain, ceiling, equivalentInputNoise, outputNoise);
    }

    public Input withSocketCeiling(Optional<Level> newSocketCeiling) {
        return new Input(
                device, socket, kind, impedance, newSocketCeiling, gain, ceiling, equivalentInputNoise, outputNoise);
    }

    public Input withCeiling(Level newCeiling) {
        return new Input(
                device, socket, kind, impedance, socketCeiling, gain, newCeiling, equivalentInputNoise, outputNoise);
    }

    public Input withEquivalentInputNoise(Level newEquivalentInputNoise) {
        return new Input(
                device, socket, kind, impedance, socketCeiling, gain, ceiling, newEquivalentInputNoise, outputNoise);
    }

    public Input withOutputNoise(Level newOutputNoise) {
        return new Input(
                device, socket, kind, impedance, socketCeiling, gain, ceiling, equivalentInputNoise, newOutputNoise);
    }
}
